import { BETWEENS, MOST_STEPS, NAMINGS, ROUNDINGS, SCALE_BOUNDS } from '@lettera/core/document';
import {
  boolean,
  described,
  integer,
  list,
  nullable,
  number,
  object,
  ref,
  text,
  type Schema,
} from './schema';

const metrics = object({ ascent: number, descent: number, lineGap: number });

const bounded = (schema: Schema, [minimum, maximum]: readonly [number, number]): Schema => ({
  ...schema,
  minimum,
  maximum,
});
const stepCount: Schema = bounded(integer, [0, MOST_STEPS]);
const ratio = bounded(number, SCALE_BOUNDS.ratio);
const scaleEnd = object({
  width: described(bounded(integer, SCALE_BOUNDS.width), 'CSS px'),
  base: described(bounded(number, SCALE_BOUNDS.base), 'CSS px'),
  ratio,
});
const seriesEnd = object({ base: bounded(number, SCALE_BOUNDS.displayBase), ratio });
const byStep = (values: Schema): Schema => ({ type: 'object', additionalProperties: values });
const oneOf = (values: readonly string[]): Schema => ({ type: 'string', enum: values });

/** What goes in and out of the API. */
export const schemas: Record<string, Schema> = {
  Problem: described(
    object(
      {
        type: described(text, 'Stable: urn:lettera:problem:<name>'),
        title: text,
        status: integer,
        detail: described(text, 'What was wrong, in plain words'),
        errors: list(object({ path: described(text, 'JSON Pointer'), message: text })),
        current: described(object({ revision: integer, document: ref('Document') }), 'With 409'),
      },
      ['type', 'title', 'status', 'detail'],
    ),
    'Problem details, RFC 9457',
  ),
  ProjectSummary: object({
    id: text,
    slug: text,
    name: text,
    revision: integer,
    createdAt: text,
    updatedAt: text,
  }),
  Project: {
    allOf: [
      ref('ProjectSummary'),
      object({
        document: ref('Document'),
        undo: nullable(described(text, 'What undo would take back')),
        redo: nullable(described(text, 'What redo would make again')),
        foundry: nullable(object({ allowedAt: text, allowedBy: text })),
      }),
    ],
  },
  Document: described(
    object({
      format: integer,
      name: text,
      languages: list(text),
      words: text,
      case: object({}),
      voices: object({}),
      scale: ref('Scale'),
      colours: object({}),
      styles: object({}),
      elements: object({}),
      delivery: object({}),
    }),
    'Everything a project decides. Parts are kept by key, so that a patch names what it changes.',
  ),
  Scale: described(
    object(
      {
        small: scaleEnd,
        large: scaleEnd,
        down: stepCount,
        up: stepCount,
        rounding: oneOf(ROUNDINGS),
        overrides: described(
          byStep(
            object(
              {
                small: bounded(number, SCALE_BOUNDS.size),
                large: bounded(number, SCALE_BOUNDS.size),
              },
              [],
            ),
          ),
          'Steps set by hand at an end, by step number',
        ),
        added: described(list(number), 'Steps half-way between two, such as 1.5'),
        display: described(
          object({ from: integer, small: seriesEnd, large: seriesEnd }),
          'A second series, which takes over from a step upward',
        ),
        names: object({ scheme: oneOf(NAMINGS), own: byStep(text) }),
        between: described(oneOf(BETWEENS), 'How sizes go between the ends'),
        changeAt: described(integer, 'Viewport width at which plain sizes change, CSS px'),
        containers: described(list(text), 'Selectors of what becomes a container'),
        crossing: described(boolean, 'Whether a larger step may be the smaller one at an end'),
        grid: described(bounded(number, SCALE_BOUNDS.grid), 'Baseline grid, CSS px'),
      },
      ['small', 'large', 'down', 'up', 'rounding', 'overrides'],
    ),
    'Sizes: base × ratio^n at both ends of a range of widths',
  ),
  Patch: described(
    list(object({ op: text, path: text, value: {} }, ['op', 'path'])),
    'JSON Patch, RFC 6902',
  ),
  Reading: object({
    family: described(text, 'Typographic family, name ID 16, else 1'),
    subfamily: described(text, 'Name ID 17, else 2'),
    fullName: text,
    postScriptName: text,
    format: { type: 'string', enum: ['ttf', 'otf', 'woff', 'woff2'] },
    bytes: integer,
    sha256: text,
    unitsPerEm: integer,
    ascent: described(number, 'Font units; typo with USE_TYPO_METRICS, otherwise hhea'),
    descent: described(number, 'Font units, negative below the baseline'),
    lineGap: number,
    hhea: metrics,
    typo: metrics,
    win: described(metrics, 'As in the file: descent is positive'),
    useTypoMetrics: boolean,
    xHeight: number,
    xHeightSource: { type: 'string', enum: ['table', 'outline'] },
    capHeight: number,
    capHeightSource: { type: 'string', enum: ['table', 'outline'] },
    italicAngle: number,
    weight: described(number, '1 to 1000'),
    width: described(number, 'Percent of normal'),
    style: { type: 'string', enum: ['normal', 'italic', 'oblique'] },
    class: nullable(described(text, 'The class that the file claims')),
    axes: list(object({ tag: text, min: number, default: number, max: number })),
    codePoints: described(integer, 'How many characters it maps'),
    glyphs: described(integer, 'How many glyphs it holds'),
    fsType: described(integer, 'Embedding rights, the bit field of OS/2'),
    licence: nullable(text),
    licenceUrl: nullable(text),
    copyright: nullable(text),
  }),
  TakenFile: {
    anyOf: [
      {
        allOf: [
          object({
            file: text,
            conflicts: described(list(text), 'Full names of faces that claim the same place'),
          }),
          ref('Reading'),
        ],
      },
      object({ file: text, refused: object({ reason: text, detail: text }) }),
    ],
  },
  FaceMeasures: described(
    object({
      xHeight: nullable(number),
      capHeight: nullable(number),
      ascender: nullable(described(number, 'Top of l')),
      descender: nullable(described(number, 'Foot of p, negative')),
      advance: nullable(described(number, 'Mean advance of running text')),
      width: nullable(described(number, 'Mean lower-case advance ÷ x-height')),
      stem: nullable(number),
      thin: nullable(number),
      thick: nullable(number),
      contrast: nullable(described(number, 'Thickest ÷ thinnest stroke of o')),
      colour: nullable(described(number, 'Stem ÷ x-height')),
      slope: described(number, 'Degrees, positive leaning right'),
      foot: nullable(described(number, 'Ink width of the foot ÷ stem')),
      footThickness: nullable(number),
      aperture: nullable(number),
      squareness: nullable(number),
      monospaced: boolean,
      lowerCase: { type: 'string', enum: ['none', 'capitals', 'own'] },
      figures: nullable(object({ spacing: text, form: text, offers: list(text) })),
      smallCaps: boolean,
    }),
    'Measured on outlines; lengths in em, null where the face lacks the letters',
  ),
  FamilyMeasures: object({
    regular: ref('FaceMeasures'),
    italic: nullable({ type: 'string', enum: ['drawn', 'sloped'] }),
    languages: described(list(text), 'BCP 47 tags of those it has every letter of'),
    characters: integer,
  }),
  FamilySheet: object({
    measures: ref('FamilyMeasures'),
    reading: ref('Reading'),
    characters: described(text, 'A unicode-range'),
    italicLetters: list(object({ letter: text, difference: number })),
  }),
  LibraryProgress: object({
    state: { type: 'string', enum: ['idle', 'measuring', 'stopped', 'done', 'failed'] },
    done: integer,
    of: integer,
    families: list(object({ id: text, measures: nullable(ref('FamilyMeasures')) })),
  }),
  TunedFace: object({
    weight: integer,
    slant: text,
    sizeAdjust: described(number, '1 is 100 %, as the overrides'),
    ascentOverride: number,
    descentOverride: number,
    lineGapOverride: number,
    meanError: described(number, 'Mean relative error of a word’s width, on held-out text'),
    p95Error: number,
    untunedError: number,
    words: integer,
    missing: list(text),
  }),
  LibraryFamily: object({
    id: text,
    name: text,
    class: text,
    licence: text,
    scripts: list(text),
    variable: boolean,
    files: list(
      object({
        name: text,
        script: text,
        style: text,
        weightMin: integer,
        weightMax: integer,
        bytes: integer,
        sha256: text,
      }),
    ),
  }),
};

import { Type } from '@sinclair/typebox';
import { FACE_CLASSES, type Face, type LibraryFamily, type LibraryFile } from '../document';
import type { LocalAdvances, LocalReading, TunedFace } from '../fallback';
import type { FaceReading } from '../font';
import type { FaceMeasures, FamilyMeasures, FamilySheet, WeightMeasures } from '../measure';
import {
  boolean,
  byKey,
  core,
  integer,
  list,
  nullable,
  number,
  oneOf,
  shapeOf,
  text,
} from './shape';

/** What is read and measured of fonts, as it goes over the wire. */

const metrics = Type.Object({ ascent: number(), descent: number(), lineGap: number() });
const heightSource = oneOf(['table', 'outline']);

export const Reading = shapeOf<FaceReading>()(
  Type.Object({
    family: text('Typographic family, name ID 16, else 1'),
    subfamily: text('Name ID 17, else 2'),
    fullName: text(),
    postScriptName: text(),
    format: oneOf(['ttf', 'otf', 'woff', 'woff2']),
    bytes: integer(),
    sha256: text(),
    unitsPerEm: integer(),
    ascent: number('Font units; typo with USE_TYPO_METRICS, otherwise hhea'),
    descent: number('Font units, negative below the baseline'),
    lineGap: number(),
    hhea: metrics,
    typo: metrics,
    win: metrics,
    useTypoMetrics: boolean(),
    xHeight: number(),
    xHeightSource: heightSource,
    capHeight: number(),
    capHeightSource: heightSource,
    italicAngle: number(),
    weight: number('1 to 1000'),
    width: number('Percent of normal'),
    style: oneOf(['normal', 'italic', 'oblique']),
    class: nullable(oneOf(FACE_CLASSES, 'The class that the file claims')),
    axes: list(Type.Object({ tag: text(), min: number(), default: number(), max: number() })),
    codePoints: integer('How many characters it maps'),
    characters: text('The characters that it maps, as a CSS unicode-range'),
    glyphs: integer('How many glyphs it holds'),
    fsType: integer('Embedding rights, the bit field of OS/2'),
    licence: nullable(text()),
    licenceUrl: nullable(text()),
    copyright: nullable(text()),
  }),
);

export const Measures = shapeOf<FaceMeasures>()(
  Type.Object(
    {
      xHeight: nullable(number()),
      capHeight: nullable(number()),
      ascender: nullable(number('Top of l')),
      descender: nullable(number('Foot of p, negative')),
      advance: nullable(number('Mean advance of running text')),
      width: nullable(number('Mean lower-case advance ÷ x-height')),
      stem: nullable(number()),
      thin: nullable(number()),
      thick: nullable(number()),
      contrast: nullable(number('Thickest ÷ thinnest stroke of o')),
      colour: nullable(number('Stem ÷ x-height')),
      slope: number('Degrees, positive leaning right'),
      foot: nullable(number('Ink width of the foot ÷ stem')),
      footThickness: nullable(number('Height of the foot beside the stroke ÷ stem')),
      footGrowth: nullable(number('Its height close to the stroke ÷ that at its end')),
      aperture: nullable(number()),
      squareness: nullable(number()),
      monospaced: boolean(),
      lowerCase: core<FaceMeasures['lowerCase']>('LowerCase'),
      figures: nullable(core<NonNullable<FaceMeasures['figures']>>('Figures')),
      smallCaps: boolean(),
    },
    { description: 'Measured on outlines; lengths in em, null where the face lacks the letters' },
  ),
);

export const Weight = shapeOf<WeightMeasures>()(
  Type.Object({
    weight: integer(),
    xHeight: nullable(number()),
    width: nullable(number()),
    stem: nullable(number()),
    thin: nullable(number()),
    thick: nullable(number()),
    contrast: nullable(number()),
    colour: nullable(number()),
  }),
);

export const LowerCase = oneOf(['none', 'capitals', 'own']);
export const Figures = Type.Object({ spacing: text(), form: text(), offers: list(text()) });

export const FamilyOfCase = shapeOf<FamilyMeasures>()(
  Type.Object({
    regular: core<FaceMeasures>('FaceMeasures'),
    weights: list(
      core<WeightMeasures>('WeightMeasures'),
      'What changes with weight, lightest first',
    ),
    italic: nullable(oneOf(['drawn', 'sloped'])),
    languages: list(text('BCP 47'), 'Languages that it has every letter of'),
    scripts: byKey(
      Type.Object({
        height: nullable(number('What carries the eye along a line: x-height, tooth height …')),
        thin: nullable(number()),
        thick: nullable(number()),
        advance: nullable(number('Mean advance of running text')),
        top: nullable(number('How high running text reaches with its marks')),
        bottom: nullable(number('How low it reaches, negative')),
      }),
      'What it is measured on in each script that it sets',
    ),
    characters: integer(),
  }),
);

export const Sheet = shapeOf<FamilySheet>()(
  Type.Object({
    measures: core<FamilyMeasures>('FamilyMeasures'),
    reading: core<FaceReading>('Reading'),
    characters: text('A unicode-range'),
    features: list(Type.Object({ tag: text(), name: text() }), 'OpenType features that it offers'),
    italicLetters: list(Type.Object({ letter: text(), difference: number() })),
  }),
);

const textFit = Type.Object(
  {
    mean: number('Mean relative error of a word’s width'),
    p95: number('Its 95th percentile'),
    lines: Type.Object({
      width: number('Mean relative error of a running line’s width'),
      bias: number('How much longer all lines are together'),
      counts: list(integer(), 'Lines at 320, 480, 640 and 760 px'),
    }),
  },
  { description: 'On text that was not tuned on, of which each kind counts alike' },
);

const kindFit = Type.Object({
  kind: oneOf(['copy', 'declaration', 'messages', 'names', 'amounts']),
  language: nullable(text('BCP 47 tag; null for the site’s own copy')),
  mean: number('Mean relative error of a word’s width'),
  p95: number('Its 95th percentile'),
  words: integer(),
});

const lineBox = Type.Object({ ascent: number(), descent: number(), lineGap: number() });

export const Tuned = shapeOf<TunedFace>()(
  Type.Object({
    weight: integer(),
    slant: oneOf(['normal', 'italic']),
    variant: oneOf(['regular', 'bold', 'italic', 'boldItalic']),
    parts: list(
      Type.Object({
        ratio: number('size-adjust; 1 is 100 %'),
        unicodeRange: nullable(text('Null for all other characters')),
      }),
    ),
    ratio: number('One ratio for all letters'),
    box: lineBox,
    untuned: textFit,
    one: textFit,
    fit: textFit,
    kinds: list(kindFit, 'As it is tuned, by kind of text'),
    webLines: list(integer()),
    steps: list(number(), 'Mean error of words with 1, 2 … groups'),
    each: number('The same with a ratio for every letter'),
    unevenness: number(),
    words: integer(),
    missing: list(text()),
    baselineAside: nullable(number('Em')),
  }),
);

export const Advances = shapeOf<LocalAdvances>()(
  Type.Object({
    advances: byKey(number(), 'Em, by character'),
    pairs: byKey(number(), 'What two characters add to their advances, em'),
    colour: nullable(number('Stem ÷ x-height')),
    lines: nullable(lineBox),
  }),
);

const measuredLocal = {
  local: text('Key of a set of local fonts'),
  variant: oneOf(['regular', 'bold', 'italic', 'boldItalic']),
};

export const MeasuredLocal = Type.Object(measuredLocal);

export const LocalReadingShape = shapeOf<LocalReading>()(
  Type.Object({ ...measuredLocal, advances: core<LocalAdvances>('LocalAdvances') }),
);

const libraryFile = {
  name: text(),
  script: text(),
  style: oneOf(['normal', 'italic']),
  weightMin: integer(),
  weightMax: integer(),
  bytes: integer(),
  sha256: text(),
};
const library = {
  id: text(),
  name: text(),
  class: text('The class that the library claims'),
  licence: text(),
  scripts: list(text()),
  drawnFor: Type.Optional(text('The script that it was drawn for; Latin when left out')),
  variable: boolean(),
};

export const FamilyOfLibrary = shapeOf<LibraryFamily>()(
  Type.Object({ ...library, files: list(shapeOf<LibraryFile>()(Type.Object(libraryFile))) }),
);

export const LibraryDetails = Type.Object({
  ...library,
  version: text(),
  licenceText: text(),
  files: list(Type.Object({ ...libraryFile, unicodeRange: text() })),
});

export const MeasuredFile = Type.Object({
  family: text(),
  face: Type.Unsafe<Face>({ type: 'object', description: 'As the document has it' }),
  fsType: integer('What the file says of being embedded: OS/2 “fsType”'),
  measures: core<FaceMeasures>('FaceMeasures'),
});

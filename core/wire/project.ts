import { Type, type Static } from '@sinclair/typebox';
import {
  BETWEENS,
  FEATURES_KEPT,
  FONT_DISPLAYS,
  LETTERS_KEPT,
  MOST_STEPS,
  NAMINGS,
  ROUNDINGS,
  RULE_WEIGHTS,
  SCALE_BOUNDS,
  SHEET_FORMS,
  SHEET_PLACES,
  type Delivery,
  type Patch,
  type ProjectDocument,
  type Scale,
} from '../document';
import {
  between,
  boolean,
  byKey,
  core,
  integer,
  list,
  nullable,
  number,
  oneOf,
  partsOf,
  shapeOf,
  text,
} from './shape';

import type { TakenFile } from './work';

/** Projects and their documents, as they go over the wire. */

const summary = {
  id: text(),
  slug: text('Short name, in addresses'),
  name: text(),
  revision: integer(),
  createdAt: text(),
  updatedAt: text(),
};

export const ProjectSummary = Type.Object(summary);

export const Project = Type.Object({
  ...summary,
  document: core<ProjectDocument>('Document'),
  undo: nullable(text('What undo would take back')),
  redo: nullable(text('What redo would make again')),
  foundry: nullable(Type.Object({ allowedAt: text(), allowedBy: text() })),
});

/** What a change has made of a project, for who has it as it was at the revision before. */
export const Change = Type.Object({
  revision: integer('The revision that it led to'),
  label: text('What it is called'),
  patch: core<Patch>('Patch'),
  undo: nullable(text('What undo would take back')),
  redo: nullable(text('What redo would make again')),
  updatedAt: text(),
});

/** Held to the class that validates it: a setting that is added there and not here is an error of types. */
const DeliveryShape = shapeOf<Delivery>()(
  Type.Object({
    layer: nullable(text('Cascade layer of the element rules')),
    display: oneOf(FONT_DISPLAYS),
    dark: boolean('Whether dark colours are delivered'),
    form: Type.Optional(oneOf(SHEET_FORMS, 'What the style sheet holds')),
    weight: Type.Optional(oneOf(RULE_WEIGHTS, 'Weight of its element rules')),
    linked: Type.Optional(oneOf(SHEET_PLACES, 'Where it is linked beside the site’s own')),
    siteLayer: Type.Optional(text('Cascade layer that the site’s own style sheets are put into')),
    leave: Type.Optional(list(text(), 'Selectors of texts left to the site’s own style sheets')),
    inheritOpen: Type.Optional(
      boolean(
        'Whether what styles leave open is inherited where it is linked after the site’s own',
      ),
    ),
    keepColoursOn: Type.Optional(
      list(text(), 'Selectors of backgrounds on which the site’s own colours stay'),
    ),
    keepDarkColours: Type.Optional(
      boolean('Whether the site’s own colours stay where visitors prefer a dark background'),
    ),
    names: Type.Optional(byKey(text(), 'Tokens by the names that a site reads')),
    prefix: Type.Optional(text('What the names of its custom properties begin with')),
    letters: Type.Optional(oneOf(LETTERS_KEPT, 'What the font files hold')),
    alsoLetters: Type.Optional(text('Characters that they hold besides')),
    laterLetters: Type.Optional(
      boolean('Whether letters of large scripts that no page has yet are in files of their own'),
    ),
    loanLetters: Type.Optional(boolean('Whether they hold the letters of names and loan words')),
    features: Type.Optional(oneOf(FEATURES_KEPT, 'Layout features that they keep')),
    boldItalics: Type.Optional(boolean('Whether bold inside italics has files of its own')),
    first: Type.Optional(list(text(), 'Text elements that are seen first')),
    visits: Type.Optional(text('Where the site’s visits are counted')),
    budget: Type.Optional(integer('What all font files are to stay under, bytes')),
  }),
);

/** Parts of a document are validated by its own classes; here stands what they are for. */
export const Document = partsOf<ProjectDocument>()(
  Type.Object(
    {
      format: integer(),
      name: text(),
      languages: list(text('BCP 47')),
      byLanguage: Type.Optional(
        byKey(Type.Unknown(), 'How text in some of them is set otherwise, by tag in small letters'),
      ),
      words: text('What the line-up sets in every face'),
      case: byKey(Type.Unknown(), 'Families in the case'),
      shortlist: Type.Optional(list(text())),
      contenders: Type.Optional(list(Type.Unknown())),
      pair: Type.Optional(Type.Unknown({ description: 'The voices that are paired' })),
      audience: Type.Optional(byKey(Type.Unknown(), 'Shares of visits by platform')),
      voices: byKey(Type.Unknown()),
      scale: core<Scale>('Scale'),
      colours: byKey(Type.Unknown()),
      styles: byKey(Type.Unknown()),
      pages: Type.Optional(byKey(Type.Unknown(), 'Pages of the site’s own')),
      typed: Type.Optional(byKey(Type.Unknown(), 'Text typed into pages')),
      elements: byKey(Type.Unknown()),
      narrowBelow: Type.Optional(
        integer('Viewport width under which styles are set as for narrow screens, CSS px'),
      ),
      widths: Type.Optional(
        byKey(Type.Unknown(), 'Widths at which the site is laid out otherwise'),
      ),
      print: Type.Optional(Type.Unknown({ description: 'How pages are printed' })),
      aside: Type.Optional(byKey(text(), 'Why marks are set aside')),
      delivery: DeliveryShape,
    },
    {
      description:
        'Everything a project decides. Parts are kept by key, so that a patch names what it changes, and in the order of their `place`, which is given to a part that is added without one.',
    },
  ),
);

const stepCount = between(integer(), [0, MOST_STEPS]);
const ratio = between(number(), SCALE_BOUNDS.ratio);
const scaleEnd = Type.Object({
  width: between(integer(), SCALE_BOUNDS.width, 'CSS px'),
  base: between(number(), SCALE_BOUNDS.base, 'CSS px'),
  ratio,
});
const seriesEnd = Type.Object({ base: between(number(), SCALE_BOUNDS.displayBase), ratio });
const size = between(number(), SCALE_BOUNDS.size);

export const ScaleShape = shapeOf<Scale>()(
  Type.Object(
    {
      small: scaleEnd,
      large: scaleEnd,
      down: stepCount,
      up: stepCount,
      rounding: oneOf(ROUNDINGS),
      root: Type.Optional(
        nullable(number('What 1rem is on the site, CSS px; null where it differs by width')),
      ),
      overrides: byKey(
        Type.Object({ small: Type.Optional(size), large: Type.Optional(size) }),
        'Steps set by hand at an end, by step number',
      ),
      added: Type.Optional(list(number(), 'Steps half-way between two, such as 1.5')),
      display: Type.Optional(
        Type.Object(
          { from: integer(), small: seriesEnd, large: seriesEnd },
          { description: 'A second series, which begins at a step upward' },
        ),
      ),
      names: Type.Optional(Type.Object({ scheme: oneOf(NAMINGS), own: byKey(text()) })),
      between: Type.Optional(oneOf(BETWEENS, 'How sizes go between the ends')),
      changeAt: Type.Optional(integer('Viewport width at which plain sizes change, CSS px')),
      containers: Type.Optional(list(text(), 'Selectors of what becomes a container')),
      floor: Type.Optional(number('What no step is smaller than, CSS px')),
      ceiling: Type.Optional(number('What no step is larger than, CSS px')),
      crossing: Type.Optional(boolean('Whether a larger step may be the smaller one at an end')),
      grid: Type.Optional(between(number(), SCALE_BOUNDS.grid, 'Baseline grid, CSS px')),
    },
    { description: 'Sizes: base × ratio^n at both ends of a range of widths' },
  ),
);

export const PatchShape = list(
  Type.Object({
    op: text(),
    path: text('JSON Pointer'),
    from: Type.Optional(text('JSON Pointer')),
    value: Type.Optional(Type.Unknown()),
  }),
  'JSON Patch, RFC 6902',
);

export const HistoryEntry = Type.Object({
  revision: integer(),
  kind: oneOf(['change', 'undo', 'redo']),
  label: text('What the change is called'),
  patch: core<Patch>('Patch'),
  at: text(),
});

/** A project as it stood. */
export const Revision = Type.Object({
  revision: integer(),
  document: core<ProjectDocument>('Document'),
});

/** A state of a project that was given a name, and the state itself. */
export const Waypoint = Type.Object({
  id: text(),
  name: text(),
  revision: integer('Revision that it names'),
  at: text(),
});
export const WaypointState = Type.Object({
  id: text(),
  document: core<ProjectDocument>('Document'),
});

/** A revision that was delivered, and when. */
export const MadeDelivery = Type.Object({
  revision: integer(),
  at: text(),
  characters: nullable(
    byKey(text(), 'Of its font files, as a unicode-range, by the key of their family'),
  ),
});

/** Running text in a language. */
export const LanguageText = Type.Object({ tag: text('BCP 47'), sentences: list(text()) });

export const Problem = Type.Object(
  {
    type: text('Stable: urn:lettera:problem:<name>'),
    title: text(),
    status: integer(),
    detail: text('What was wrong, in plain words'),
    errors: Type.Optional(list(Type.Object({ path: text('JSON Pointer'), message: text() }))),
    host: Type.Optional(text('The inner host that may be allowed')),
    current: Type.Optional(
      Type.Object(
        {
          revision: integer(),
          document: core<ProjectDocument>('Document'),
          undo: nullable(text()),
          redo: nullable(text()),
        },
        { description: 'With 409' },
      ),
    ),
    reason: Type.Optional(text('Of a font that cannot be used')),
    files: Type.Optional(
      list(core<Static<typeof TakenFile>>('TakenFile'), 'What became of each file of an upload'),
    ),
  },
  { description: 'Problem details, RFC 9457' },
);

export const Session = Type.Object({ tokenNeeded: boolean(), signedIn: boolean() });

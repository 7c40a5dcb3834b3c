import { Type, type Static } from '@sinclair/typebox';
import { boolean, byKey, integer, list, nullable, number, text } from './shape';

/** What goes between Lettera and pages of the running site. What comes from a page is held to these shapes. */

/** A live sheet that is open. */
export const LiveSheet = Type.Object({
  key: text('What stands in its address'),
  origins: list(text(), 'Where the site runs that may have it'),
  tried: boolean('Whether what is only being tried is shown there too'),
  startedAt: text('ISO 8601'),
  refused: integer('Requests that were refused'),
  refusedFrom: nullable(text('Where the last of them came from')),
});

/** A page of the running site that has the sheet now. */
const page = Type.Object({ address: text(), engine: text() });

/** The live sheet of a project, and who has it; and the addresses under which this Lettera is reached. */
export const LiveState = Type.Object({
  sheet: nullable(LiveSheet),
  pages: list(page),
  ended: list(Type.Object({ startedAt: text(), endedAt: text(), refused: integer() })),
  addresses: list(text(), 'Of this Lettera, as devices in the same network have it'),
});

/** A page that was read on the running site. */
export const LiveReading = Type.Object({
  address: text(),
  title: text(),
  at: text('ISO 8601'),
  widths: list(integer()),
  texts: integer(),
  bytes: integer(),
});

/** What a page needs to know to tell which text element a text is: nothing that the sheet does not say. */
export const LiveKinds = Type.Object({
  elements: byKey(
    Type.Object({
      name: text(),
      style: text(),
      selectors: list(text()),
      weight: Type.Optional(Type.Unknown()),
    }),
  ),
  styles: byKey(text(), 'Names'),
  delivery: Type.Object({
    weight: Type.Optional(text()),
    leave: Type.Optional(list(text())),
  }),
});

/** Where visits are counted, and what was counted on which day. */
export const VisitState = Type.Object({
  key: nullable(text('What stands in the address; null while none are counted here')),
  counts: list(Type.Object({ day: text('ISO 8601'), what: text(), times: integer() })),
});

const LONG = { address: 2000, line: 300, name: 120, words: 400 };
const MOST_SELECTORS = 8;
const bounded = (maxLength: number) => Type.String({ maxLength });
const address = bounded(LONG.address);

/** A text of the running page that was pointed at, as the browser sets it there. */
export const PointedText = Type.Object({
  kind: Type.Literal('pointed'),
  address,
  width: integer(),
  /** Key of the text element that claims it; null where none does. */
  element: nullable(bounded(LONG.name)),
  words: bounded(LONG.words),
  /** Its place in the page, as a selector that meets it alone. */
  place: bounded(LONG.address),
  /** Selectors that meet it and what is like it, the narrowest first, and how many texts each meets. */
  selectors: Type.Array(Type.Object({ selector: bounded(LONG.line), texts: integer() }), {
    maxItems: MOST_SELECTORS,
  }),
  family: bounded(LONG.line),
  /** The family that draws most of its letters; null where none of the stack is known to. */
  face: nullable(bounded(LONG.line)),
  size: number('CSS px'),
  weight: number(),
  style: bounded(LONG.name),
  lineHeight: nullable(number('CSS px')),
  letterSpacing: number('CSS px'),
  colour: bounded(LONG.line),
  ground: nullable(bounded(LONG.line)),
  measure: nullable(number('Characters a line')),
  /** Where it stands in the site's sources, as the dev server's plugin wrote it; null where it did not. */
  source: nullable(bounded(LONG.line)),
});

/** A swap that was rehearsed on the running page. */
export const RehearsedSwap = Type.Object({
  kind: Type.Literal('swapped'),
  address,
  width: integer(),
  /** Layout shift as the browser's own entries have it; null in engines that have none. */
  shift: nullable(number()),
  /** How many blocks moved or changed their size, and how far the farthest moved, CSS px. */
  moved: integer(),
  farthest: number(),
});

/** What is told of the running site to whoever has the project open. */
export type LiveTold =
  | Static<typeof PointedText>
  | Static<typeof RehearsedSwap>
  | { kind: 'pages'; pages: Static<typeof page>[] }
  | { kind: 'read'; address: string }
  | { kind: 'changed' };

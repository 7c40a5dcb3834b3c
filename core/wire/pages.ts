import { Type } from '@sinclair/typebox';
import { REMOVED_KINDS, type LivePage, type Removed, type TypeRules } from '../page';
import { boolean, integer, list, nullable, number, oneOf, shapeOf, text } from './shape';

/** Pages of a site's own, as they go over the wire. */

export const PageTitle = Type.Object({ slug: text(), title: text() });

const why = Type.Object({ path: text(), why: text() });

/** What became of files that pages were added with. */
export const BroughtPages = Type.Object({
  pages: list(PageTitle, 'Pages that are new in the project'),
  refused: list(why, 'Pages that cannot be shown'),
  leftOut: list(why, 'Files that are left out'),
});

const placed = Type.Object({
  name: text(),
  site: text('SHA-256'),
  path: text(),
  address: Type.Optional(text('Where it was fetched from, where it was')),
});

/** The site that was taken stock of last, and when; null where none was. */
export const KeptStock = Type.Object({ made: nullable(text('ISO 8601')), pages: list(placed) });

/** Pages that are looked at and are no part of the project, each by the files that it came with and its path there. */
export const LookedPages = Type.Object({
  pages: list(placed),
  refused: list(why, 'Pages that cannot be shown'),
  leftOut: list(why, 'Files that are left out'),
});

/** An inner host that pages may be fetched from. */
export const AllowedHost = Type.Object({
  host: text('As name or name:port'),
  allowedAt: text('ISO 8601'),
  allowedBy: text(),
});

const RemovedShape = shapeOf<Removed>()(
  Type.Object({ kind: oneOf(REMOVED_KINDS), what: text(), times: integer() }),
);

const condition = Type.Object({
  kind: oneOf(['media', 'supports', 'container'] as const),
  text: text(),
});

const specificity = Type.Unsafe<readonly [number, number, number]>({
  type: 'array',
  items: { type: 'integer' },
  minItems: 3,
  maxItems: 3,
});

const rule = Type.Object({
  sheet: text('Its path'),
  line: integer(),
  selectors: list(Type.Object({ text: text(), specificity })),
  conditions: list(condition),
  layer: nullable(list(text())),
  scope: Type.Optional(Type.Object({ root: text(), limit: nullable(text()) })),
  declarations: list(Type.Object({ property: text(), value: text(), important: boolean() })),
});

/** What a page's style sheets do to type, in the order of the cascade. */
export const Rules = shapeOf<TypeRules>()(
  Type.Object({
    rules: list(rule),
    layers: list(Type.Object({ layer: list(text()), conditions: list(condition) })),
  }),
);

/** What a page showed where it is live, as the reader gave it; docs/reading.md. */
const Live = shapeOf<LivePage>()(
  Type.Object({
    views: list(
      Type.Object({
        width: number('CSS px'),
        texts: list(
          Type.Object({
            words: text(),
            family: text(),
            size: number('CSS px'),
            weight: number(),
            style: text(),
            lineHeight: nullable(number('CSS px')),
            letterSpacing: number('CSS px'),
            letterCase: text(),
            colour: text(),
            face: Type.Optional(nullable(text())),
            measure: Type.Optional(nullable(number('Characters'))),
          }),
        ),
      }),
    ),
    faces: list(
      Type.Object({
        family: text(),
        weight: text(),
        style: text(),
        status: oneOf(['unloaded', 'loading', 'loaded', 'error'] as const),
      }),
    ),
  }),
);

/** What was removed from a page, and what its own style sheets do. */
export const PageAccount = Type.Object({
  removed: list(RemovedShape),
  notes: list(text()),
  rules: Rules.properties.rules,
  layers: Rules.properties.layers,
  live: Live,
});

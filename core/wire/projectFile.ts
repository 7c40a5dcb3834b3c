import { Type, type Static } from '@sinclair/typebox';
import { Value } from '@sinclair/typebox/value';
import { KEY, LONGEST_KEY } from '../document/decorators';
import { MOST_PARTS } from '../document/projectDocument';
import { REMOVED_KINDS, SITE_LIMITS } from '../page';
import { oneOf } from './shape';

/** What a project file says beside the files that it holds, with a limit to everything. docs/project-file.md. */

/** The format of project files that is written, and the newest that is read. */
export const PROJECT_FILE_FORMAT = 1;

const LONGEST = { title: 1000, path: 1024, note: 1000, licence: 500_000, name: 200 };
/** Waypoints, measured local fonts, and files of one site. */
const MOST = { waypoints: 200, localFonts: 500, files: 10_000, licences: 5000 };

const text = (maxLength: number) => Type.String({ maxLength });
const key = Type.String({ pattern: KEY.source, maxLength: LONGEST_KEY });
const path = Type.String({ minLength: 1, maxLength: LONGEST.path });
const sha256 = '^[0-9a-f]{64}$';

const readPage = Type.Object({
  path,
  title: text(SITE_LIMITS.html),
  html: text(SITE_LIMITS.html * 2),
  sheets: Type.Array(Type.Object({ path, media: text(LONGEST.note) }), {
    maxItems: SITE_LIMITS.sheets * 2,
  }),
  removed: Type.Array(
    Type.Object({
      kind: oneOf(REMOVED_KINDS),
      what: text(LONGEST.note),
      times: Type.Integer({ minimum: 0 }),
    }),
    { maxItems: 1000 },
  ),
  notes: Type.Array(text(LONGEST.note), { maxItems: SITE_LIMITS.sheets * 2 }),
});

const Manifest = Type.Object({
  lettera: Type.Literal(PROJECT_FILE_FORMAT),
  /** A project document; its own classes say what is valid. */
  document: Type.Unknown(),
  /** Pages that came with the project. */
  pages: Type.Array(
    Type.Object({
      slug: key,
      title: Type.String({ minLength: 1, maxLength: LONGEST.title }),
      html: text(SITE_LIMITS.html),
      css: text(SITE_LIMITS.css),
    }),
    { maxItems: MOST_PARTS.pages },
  ),
  /** Pages of the site's own, by what they were brought in with. */
  sites: Type.Array(
    Type.Object({
      site: Type.String({ pattern: sha256 }),
      pages: Type.Array(readPage, { maxItems: MOST_PARTS.pages }),
      files: Type.Array(path, { maxItems: MOST.files }),
    }),
    { maxItems: MOST_PARTS.pages },
  ),
  /** Licence texts, by the font file's hash. */
  licences: Type.Record(Type.String({ pattern: sha256 }), text(LONGEST.licence), {
    maxProperties: MOST.licences,
    additionalProperties: false,
  }),
  /** Named states, the oldest first; left out by files of an earlier version, as what follows. */
  waypoints: Type.Optional(
    Type.Array(
      Type.Object({
        name: Type.String({ minLength: 1, maxLength: LONGEST.name }),
        at: text(40),
        document: Type.Unknown(),
      }),
      { maxItems: MOST.waypoints },
    ),
  ),
  /** Local fonts that were measured on a designer's machine. */
  localFonts: Type.Optional(Type.Array(Type.Unknown(), { maxItems: MOST.localFonts })),
});

export type ProjectManifest = Static<typeof Manifest>;

const different = (values: readonly string[]): boolean => new Set(values).size === values.length;

/** Whether a value says what a project file says, within its limits. */
export const isProjectManifest = (value: unknown): value is ProjectManifest =>
  Value.Check(Manifest, value) &&
  different(value.pages.map(({ slug }) => slug)) &&
  different(value.sites.map(({ site }) => site)) &&
  value.sites.every(({ pages }) => different(pages.map((page) => page.path))) &&
  (value.waypoints ?? []).every(({ at }) => !Number.isNaN(Date.parse(at)));

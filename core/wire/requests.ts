import { Type, type Static, type TSchema } from '@sinclair/typebox';
import type { Picks, WantedReference } from '../document/libraryFamily';
import { MOST_PARTS } from '../document/projectDocument';
import { FACE_CLASSES } from '../document/vocabulary';
import { PointedText, RehearsedSwap } from './live';
import { between, integer, oneOf, shapeOf, text } from './shape';

/**
 * What requests bring as JSON, each with its limits: what comes is held against these shapes, the API is described by
 * them, and the client sends them. Patches, documents and readings of fonts have rules of their own in the core.
 */

/** Characters of an address that a page is fetched from, at most. */
const LONGEST_ADDRESS = 2000;
const LONGEST = { name: 120, waypoint: 80, token: 400, family: 300, place: 100, origin: 300 };
const MOST_ORIGINS = 20;
const MOST_MARKS_SHOWN = 60;
/** What lets in where a site is behind a password: so many headers, of a kind that says nothing of how it is sent. */
const MOST_HEADERS = 8;
const LONGEST_HEADER = 4000;
const HEADER_NAME =
  "^(?!(?:[Hh]ost|[Cc]onnection|[Cc]ontent-[Ll]ength|[Tt]ransfer-[Ee]ncoding|[Uu]pgrade|[Tt][Ee]|[Tt]railer|[Ee]xpect|[Aa]ccept-[Ee]ncoding)$)[A-Za-z0-9!#$%&'*+.^_`|~-]+$";
const HEADER_VALUE = '^[\\t\\x20-\\x7e\\x80-\\xff]*$';
/** Scripts and faces of a family that are taken in at once. */
const MOST_PICKS = 40;

/** A text that is not empty, blanks around it left out. */
const filled = (maxLength: number, description?: string) =>
  Type.String({ minLength: 1, maxLength, ...(description ? { description } : {}) });

const wantedFace = Type.Object({
  style: oneOf(['normal', 'italic']),
  weight: between(integer(), [1, 1000]),
});

export const REQUESTS = {
  SignIn: Type.Object({ token: filled(LONGEST.token) }),
  NewProject: Type.Object({ name: filled(LONGEST.name) }),
  WaypointName: Type.Object({ name: filled(LONGEST.waypoint) }),
  FoundryPermission: Type.Object({ allowedBy: filled(LONGEST.name, 'Who allows it') }),
  HostPermission: Type.Object({ allowedBy: filled(LONGEST.name, 'Who allows it') }),
  LiveWish: Type.Object({
    origins: Type.Array(filled(LONGEST.origin, 'As https://staging.example.org:8443'), {
      maxItems: MOST_ORIGINS,
      description: 'Where the site runs that may have the live sheet',
    }),
    tried: Type.Boolean({ description: 'Whether what is only being tried is shown there too' }),
  }),
  LiveLook: Type.Object({
    tried: Type.Union([Type.Array(Type.Unknown()), Type.Null()], {
      description: 'What is shown beyond what is stored, as a JSON Patch',
    }),
    offered: Type.Optional(
      Type.Array(
        Type.Object({
          sha256: Type.String({ pattern: '^[0-9a-f]{64}$' }),
          family: filled(LONGEST.name),
          name: filled(LONGEST.name),
        }),
        {
          maxItems: MOST_PICKS,
          description: 'Files of the library that it names and that were not added yet',
        },
      ),
    ),
    style: Type.Union([Type.String({ maxLength: LONGEST.name }), Type.Null()], {
      description: 'Key of the style that is selected',
    }),
    marks: Type.Array(
      Type.Object({ style: Type.String({ maxLength: LONGEST.name }), says: filled(400) }),
      {
        maxItems: MOST_MARKS_SHOWN,
        description: 'Marks to stand beside the texts that they are about',
      },
    ),
  }),
  PointedText,
  RehearsedSwap,
  PageAddress: Type.Object({
    address: filled(LONGEST_ADDRESS),
    headers: Type.Optional(
      Type.Array(
        Type.Object({
          name: Type.String({ pattern: HEADER_NAME, maxLength: 60 }),
          value: Type.String({ pattern: HEADER_VALUE, minLength: 1, maxLength: LONGEST_HEADER }),
        }),
        {
          maxItems: MOST_HEADERS,
          description: 'What is sent along to that host, and to no other; it is not kept',
        },
      ),
    ),
  }),
  PagesOfStock: Type.Object({
    pages: Type.Array(
      Type.Object({
        name: Type.String({ maxLength: LONGEST.name }),
        site: text('SHA-256 of the files that the page came with'),
        path: text('Its path among them'),
        address: Type.Optional(
          Type.String({
            maxLength: LONGEST_ADDRESS,
            description: 'Where it was fetched from, where it was',
          }),
        ),
      }),
      { maxItems: MOST_PARTS.pages },
    ),
  }),
  Picks: shapeOf<Picks>()(
    Type.Object({
      scripts: Type.Array(text(), { maxItems: MOST_PICKS }),
      faces: Type.Array(wantedFace, { maxItems: MOST_PICKS }),
    }),
  ),
  WantedReference: shapeOf<WantedReference>()(
    Type.Object({
      name: filled(LONGEST.family, 'The exact name that the style sheet gives the family'),
      stylesheet: filled(LONGEST_ADDRESS),
      class: oneOf(FACE_CLASSES),
      standIn: Type.String({
        pattern: '^(library|case)/[a-z0-9-]+$',
        maxLength: LONGEST.place,
        description: 'library/<id> or case/<key>',
      }),
      faces: Type.Array(wantedFace, { minItems: 1, maxItems: MOST_PICKS }),
    }),
  ),
} satisfies Record<string, TSchema>;

export type RequestName = keyof typeof REQUESTS;
/** What a request of a name brings. */
export type RequestBody<N extends RequestName> = Static<(typeof REQUESTS)[N]>;

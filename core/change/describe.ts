import { isPlainObject } from '../document/decorators';
import { pointerSteps, type Operation, type Patch } from '../document/patch';
import { occasionOf } from '../document/occasion';
import { languageOfPlace, narrowBelowOf } from '../document/styleValues';
import { languageOf } from '../script';
import type { ProjectDocument } from '../document/projectDocument';
import { ORDERED_PARTS } from '../document/places';
import { PROPERTIES, PROPERTY_NAMES } from '../document/property';
import { shownValue } from '../style/typedValue';

/** What each member of a part is called in the interface. */
const WORDS: Record<string, string> = {
  small: 'small end',
  large: 'large end',
  light: 'light background',
  dark: 'dark background',
  weightMin: 'lightest weight',
  weightMax: 'heaviest weight',
  down: 'steps down',
  up: 'steps up',
  overrides: 'steps set by hand',
  added: 'added steps',
  display: 'display series',
  names: 'names of steps',
  between: 'between the ends',
  changeAt: 'width of the change',
  crossing: 'steps that cross',
  floor: 'smallest size',
  ceiling: 'largest size',
  grid: 'baseline grid',
  linked: 'place beside the site’s own sheets',
  siteLayer: 'layer of the site’s own sheets',
  leave: 'texts left alone',
  inheritOpen: 'what is left open',
  keepColoursOn: 'backgrounds with the site’s own colours',
  keepDarkColours: 'the site’s own dark colours',
  localOnly: 'only where it is installed',
  first: 'faces fetched first',
  important: '!important',
  scripts: 'script',
  justified: 'justified text',
  numerals: 'figures of lists',
};

const PARTS: Record<string, string> = {
  case: 'Case',
  voices: 'Voice',
  scale: 'Scale',
  colours: 'Colour',
  styles: 'Style',
  elements: 'Element',
  delivery: 'Delivery',
  name: 'Project name',
  words: 'Words of the line-up',
  languages: 'Languages',
  byLanguage: 'Language',
  shortlist: 'Shortlist',
  contenders: 'Contenders',
  pair: 'Voices that are paired',
  pages: 'Page',
  typed: 'Text typed into',
  audience: 'Visitors',
  aside: 'Marks set aside',
  narrowBelow: 'Width of narrow screens',
  widths: 'Width',
  print: 'Print',
};

/** Parts that a change may make anew as a whole. */
const WHOLE_PARTS: Record<string, string> = {
  voices: 'voices',
  scale: 'scale',
  colours: 'colours',
  styles: 'styles',
  elements: 'elements',
};

const own = <T>(of: Record<string, T>, key: string): T | undefined =>
  Object.hasOwn(of, key) ? of[key] : undefined;

const word = (token: string): string => own(WORDS, token) ?? token;

/** What a property of a text style is called within a sentence. */
const propertyWord = (token: string): string => {
  const name = PROPERTY_NAMES.find((known) => known === token);
  return name ? PROPERTIES[name].label.toLowerCase() : word(token);
};

/** How many steps behind a member of a style its properties stand; 0 where it has none. */
const valuesBehind = (member: string | undefined): number =>
  member === 'at' ? 2 : member === 'set' || member === 'narrow' ? 1 : 0;

/** An occasion, or a width of the site's, as it is called. */
const occasionWord = (document: ProjectDocument, key = ''): string => {
  const named = occasionOf(key)?.label ?? own(document.widths ?? {}, key)?.name;
  const language = languageOfPlace(document, key);
  return named ?? (language === null ? key : (languageOf(language)?.name ?? language));
};

/** The property of a style that a path leads to; undefined where it leads elsewhere. */
function propertyAt(path: string): string | undefined {
  const [part, , member, ...rest] = pointerSteps(path);
  const behind = part === 'styles' ? valuesBehind(member) : 0;
  return behind > 0 ? rest[behind - 1] : undefined;
}

function subject(document: ProjectDocument, operation: Operation): string {
  const value: unknown = 'value' in operation ? operation.value : null;
  const name = isPlainObject(value) ? value['name'] : undefined;
  return describePath(document, operation.path, typeof name === 'string' ? name : undefined);
}

/**
 * A place in a document as people call it: “Scale: small end, width”.
 *
 * @param path JSON Pointer (RFC 6901)
 * @param added the name of what a change puts there
 */
export function describePath(document: ProjectDocument, path: string, added?: string): string {
  const [part, key, ...rest] = pointerSteps(path);
  if (part === undefined) return 'The whole project';
  const heading = own(PARTS, part) ?? part;
  if (
    key === undefined ||
    part === 'shortlist' ||
    part === 'contenders' ||
    part === 'pair' ||
    part === 'aside'
  )
    return heading;
  const ordered = ORDERED_PARTS.find((name) => name === part);
  const known = ordered && own<{ name?: string }>(document[ordered] ?? {}, key)?.name;
  const name = ordered
    ? `${heading} ${known ?? (rest.length === 0 ? added : undefined) ?? key}`
    : `${heading}: ${word(key)}`;
  const [member] = rest;
  const behind = part === 'styles' ? valuesBehind(member) : 0;
  const property = behind > 0 ? rest.slice(behind).map(propertyWord) : rest.map(word);
  if (behind > 0 && member === 'narrow') property.push(`below ${narrowBelowOf(document)} px`);
  if (behind > 0 && member === 'at') property.push(occasionWord(document, rest[1]));
  return property.length > 0 ? `${name}: ${property.join(', ')}` : name;
}

const VERBS: Partial<Record<Operation['op'], string>> = { remove: 'removed', add: 'added' };

/** Longest text that is reported with its value. */
const LONGEST_TOLD = 40;

/** A value in a few words; null for one that is not told. */
function told(document: ProjectDocument, path: string, value: unknown): string | null {
  const [part, , member] = pointerSteps(path);
  const property = propertyAt(path);
  const name = PROPERTY_NAMES.find((known) => known === property);
  if (name) {
    return value === undefined ? 'following' : shownValue(document, name, value as string | number);
  }
  if (value === null || value === undefined) return 'none';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') return String(Number(value.toFixed(4)));
  if (typeof value !== 'string' || value.length > LONGEST_TOLD) return null;
  // What names another part is described by that part's name.
  const named =
    part === 'elements' || member === 'follows' ? document.styles[value]?.name : undefined;
  return named ?? value;
}

function at(document: ProjectDocument, path: string): unknown {
  return pointerSteps(path).reduce<unknown>(
    (within, step) =>
      typeof within === 'object' && within !== null && Object.hasOwn(within, step)
        ? (within as Record<string, unknown>)[step]
        : undefined,
    document,
  );
}

/**
 * A place and what it went from and to: “Style Button: weight 500 → 600”; the place alone where a value is
 * not told.
 */
export function describeOperation(
  before: ProjectDocument,
  operation: Operation,
  after: ProjectDocument = before,
): string {
  const { op, path } = operation;
  const place = subject(op === 'remove' ? before : after, operation);
  const isPart = ORDERED_PARTS.some((name) => path.startsWith(`/${name}/`));
  if (isPart && pointerSteps(path).length === 2 && VERBS[op]) return `${place} ${VERBS[op]}`;
  const value: unknown = 'value' in operation ? operation.value : undefined;
  const [was, is] = [told(before, path, at(before, path)), told(after, path, value)];
  return was === null || is === null ? place : `${place} ${was} → ${is}`;
}

/**
 * A patch in a few words, for the list of changes and the names of undo and redo: “Scale: large end,
 * ratio”. `document` is the one the patch applies to.
 */
export function describePatch(document: ProjectDocument, patch: Patch): string {
  const [first] = patch;
  if (!first) return 'Nothing';
  const subjects = [...new Set(patch.map((operation) => subject(document, operation)))];
  const depth = pointerSteps(first.path).length;
  const verb = depth === 2 && patch.length === 1 ? VERBS[first.op] : undefined;
  if (subjects.length === 1 && verb) return `${subjects[0]} ${verb}`;
  if (patch.length === 1 && propertyAt(first.path) !== undefined) {
    return describeOperation(document, first);
  }
  if (subjects.length <= 2) return subjects.join('; ');
  const whole = patch.flatMap(({ path }) =>
    pointerSteps(path).length === 1 ? [path.slice(1)] : [],
  );
  const anew = [...new Set(whole)].flatMap((name) => own(WHOLE_PARTS, name) ?? []);
  return anew.length > 1
    ? `${anew.slice(0, -1).join(', ')} and ${anew.at(-1)} anew`.replace(/^./, (first) =>
        first.toUpperCase(),
      )
    : `${subjects[0]} and ${subjects.length - 1} more`;
}

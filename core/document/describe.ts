import type { Operation } from 'fast-json-patch';
import type { Patch } from './change';
import type { ProjectDocument } from './projectDocument';

/** What each property is called in the interface. */
const WORDS: Record<string, string> = {
  small: 'small end',
  large: 'large end',
  lineHeight: 'line height',
  letterSpacing: 'letter spacing',
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
  grid: 'baseline grid',
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
  shortlist: 'Shortlist',
  contenders: 'Contenders',
};

const word = (token: string): string => WORDS[token] ?? token;

function subject(document: ProjectDocument, operation: Operation): string {
  const added = 'value' in operation ? (operation.value as { name?: string } | null) : null;
  return describePath(document, operation.path, added?.name);
}

/**
 * A place in a document as people call it: “Scale: small end, width”.
 *
 * @param path JSON Pointer (RFC 6901)
 * @param added the name of what a change puts there
 */
export function describePath(document: ProjectDocument, path: string, added?: string): string {
  const [part, key, ...rest] = path.split('/').slice(1);
  if (part === undefined) return 'The whole project';
  const heading = PARTS[part] ?? part;
  if (key === undefined) return heading;
  const parts = document[part as 'voices' | 'case'] as Record<string, { name?: string }>;
  const isKeyed = part !== 'scale' && part !== 'delivery' && part !== 'languages';
  if (part === 'shortlist' || part === 'contenders') return heading;
  const name = isKeyed
    ? `${heading} ${parts[key]?.name ?? (rest.length === 0 ? added : undefined) ?? key}`
    : `${heading}: ${word(key)}`;
  const property = rest.filter((token) => token !== 'set').map(word);
  return property.length > 0 ? `${name}: ${property.join(', ')}` : name;
}

const VERBS: Partial<Record<Operation['op'], string>> = { remove: 'removed', add: 'added' };

/**
 * A patch in a few words, for the list of changes and the names of undo and redo: “Scale: large end,
 * ratio”. `document` is the one the patch applies to.
 */
export function describePatch(document: ProjectDocument, patch: Patch): string {
  const [first] = patch;
  if (!first) return 'Nothing';
  const subjects = [...new Set(patch.map((operation) => subject(document, operation)))];
  const depth = first.path.split('/').length;
  const verb = depth === 3 && patch.length === 1 ? VERBS[first.op] : undefined;
  if (subjects.length === 1 && verb) return `${subjects[0]} ${verb}`;
  return subjects.length <= 2
    ? subjects.join('; ')
    : `${subjects[0]} and ${subjects.length - 1} more`;
}

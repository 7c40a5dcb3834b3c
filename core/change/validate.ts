import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';
import { isPlainObject, KEY, LONGEST_KEY } from '../document/decorators';
import type { FieldError } from '../document/fieldError';
import { pointerTo } from '../document/patch';
import { ORDERED_PARTS } from '../document/places';
import {
  Colour,
  DOCUMENT_FORMAT,
  Family,
  MOST_PARTS,
  ProjectDocument,
  TextElement,
  TextStyle,
  SitePage,
  Voice,
} from '../document/projectDocument';
import { referenceErrors } from './references';

/** What is said of a value of the wrong type; nothing else about it matters then. */
const TYPE_MESSAGES: Record<string, string> = {
  isNumber: 'must be a number',
  isInt: 'must be a whole number',
  isString: 'must be text',
  isBoolean: 'must be true or false',
  isArray: 'must be a list',
  isPart: 'must be an object',
  whitelistValidation: 'is not a property that a project document has',
};
const NOT_A_PROPERTY = 'is not a property that a project document has';

/** What is wrong with one value: its type, or else each rule that it breaks. */
function messages({ property, constraints = {} }: ValidationError): string[] {
  const wrongType = Object.keys(constraints).find((rule) => Object.hasOwn(TYPE_MESSAGES, rule));
  if (wrongType) return [TYPE_MESSAGES[wrongType] ?? ''];
  return Object.values(constraints).map((message) =>
    message.startsWith(`${property} `) ? message.slice(property.length + 1) : message,
  );
}

function flatten(errors: ValidationError[], parent: readonly string[]): FieldError[] {
  return errors.flatMap((error) => {
    const steps = [...parent, error.property];
    const own = messages(error).map((message) => ({ path: pointerTo(steps), message }));
    return [...own, ...flatten(error.children ?? [], steps)];
  });
}

/** Members that every object has from its prototype, which validation would take for known ones. */
function inheritedNames(value: unknown, steps: readonly string[]): FieldError[] {
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([name, inside]) => {
    const path = [...steps, name];
    return name in Object.prototype
      ? [{ path: pointerTo(path), message: NOT_A_PROPERTY }]
      : inheritedNames(inside, path);
  });
}

/** What is wrong with an object by its class. */
function classErrors(
  type: ClassConstructor<object>,
  value: unknown,
  steps: string[],
): FieldError[] {
  if (!isPlainObject(value)) return [{ path: pointerTo(steps), message: 'must be an object' }];
  const inherited = inheritedNames(value, steps);
  if (inherited.length > 0) return inherited;
  const errors = validateSync(plainToInstance(type, value), {
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
    skipMissingProperties: false,
  });
  return flatten(errors, steps);
}

const PART_CLASSES: Record<(typeof ORDERED_PARTS)[number], ClassConstructor<object>> = {
  case: Family,
  voices: Voice,
  colours: Colour,
  styles: TextStyle,
  elements: TextElement,
  pages: SitePage,
};

/** What is wrong with parts kept by key; those that were there before are not looked at again. */
function partsErrors(
  name: (typeof ORDERED_PARTS)[number],
  after: unknown,
  before: unknown,
): FieldError[] {
  const most = MOST_PARTS[name];
  const fits =
    isPlainObject(after) &&
    Object.keys(after).length <= most &&
    Object.keys(after).every((key) => KEY.test(key) && key.length <= LONGEST_KEY);
  if (!fits) {
    const message = `must be an object of at most ${most} entries whose keys match ${KEY.source}`;
    return [{ path: `/${name}`, message }, ...inheritedNames(after, [name])];
  }
  const known = isPlainObject(before) ? before : {};
  return [
    ...Object.keys(after)
      .filter((key) => key in Object.prototype)
      .map((key) => ({ path: pointerTo([name, key]), message: NOT_A_PROPERTY })),
    ...Object.entries(after)
      .filter(([key, part]) => !Object.hasOwn(known, key) || known[key] !== part)
      .flatMap(([key, part]) => classErrors(PART_CLASSES[name], part, [name, key])),
  ];
}

/** A valid document without contents, in whose place each part that is to be checked is put. */
const SHELL: ProjectDocument = {
  format: DOCUMENT_FORMAT,
  name: 'shell',
  languages: ['en'],
  words: 'shell',
  case: {},
  voices: {},
  scale: {
    small: { width: 360, base: 16, ratio: 1.2 },
    large: { width: 1280, base: 18, ratio: 1.25 },
    down: 0,
    up: 0,
    rounding: 'none',
    overrides: {},
  },
  colours: {},
  styles: {},
  elements: {},
  delivery: { layer: null, display: 'swap', dark: false },
};

const isOrdered = (name: string): name is (typeof ORDERED_PARTS)[number] =>
  ORDERED_PARTS.some((part) => part === name);

/**
 * What is wrong with the values of a document in those of its parts that are others than before: values out
 * of bounds, and properties that a document does not have.
 */
function valueErrors(
  after: Record<string, unknown>,
  before: Record<string, unknown>,
): FieldError[] {
  const names = new Set([...Object.keys(SHELL), ...Object.keys(before), ...Object.keys(after)]);
  const changed = [...names].filter(
    (name) => !Object.hasOwn(before, name) || before[name] !== after[name],
  );
  const rest = changed.filter((name) => !isOrdered(name));
  const others = Object.fromEntries(rest.map((name) => [name, after[name]]));
  return [
    ...(rest.length > 0 ? classErrors(ProjectDocument, { ...SHELL, ...others }, []) : []),
    ...changed
      .filter(isOrdered)
      // Pages of the site's own may be left out.
      .filter((name) => name !== 'pages' || Object.hasOwn(after, name))
      .flatMap((name) =>
        partsErrors(name, Object.hasOwn(after, name) ? after[name] : undefined, before[name]),
      ),
  ];
}

/**
 * Everything wrong with a project document: values out of bounds, properties it does not have, and
 * references to what is not there. An empty list means valid.
 *
 * @param before a valid document: what the two share is not looked at again, but for what refers to what
 * has changed
 */
export function documentErrors(document: unknown, before?: ProjectDocument): FieldError[] {
  if (!isPlainObject(document)) return [{ path: '', message: 'must be an object' }];
  const errors = valueErrors(document, (before ?? {}) as Record<string, unknown>);
  return errors.length > 0
    ? errors
    : referenceErrors(document as unknown as ProjectDocument, before);
}

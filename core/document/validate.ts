import { plainToInstance } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';
import { isPlainObject } from './decorators';
import { DOCUMENT_FORMAT, ProjectDocument } from './projectDocument';
import { referenceErrors } from './references';

/** What is wrong with one value of a document; `path` is a JSON Pointer (RFC 6901). */
export interface FieldError {
  path: string;
  message: string;
}

const escapePointer = (token: string): string => token.replaceAll('~', '~0').replaceAll('/', '~1');

/** What is said of a value of the wrong type; nothing else about it matters then. */
const TYPE_MESSAGES: Record<string, string> = {
  isNumber: 'must be a number',
  isInt: 'must be a whole number',
  isString: 'must be text',
  isBoolean: 'must be true or false',
  isArray: 'must be a list',
  whitelistValidation: 'is not a property that a project document has',
};

/** What is wrong with one value: its type, or else each rule that it breaks. */
function messages({ property, constraints = {} }: ValidationError): string[] {
  const wrongType = Object.keys(constraints).find((rule) => rule in TYPE_MESSAGES);
  if (wrongType) return [TYPE_MESSAGES[wrongType] ?? ''];
  return Object.values(constraints).map((message) =>
    message.startsWith(`${property} `) ? message.slice(property.length + 1) : message,
  );
}

function flatten(errors: ValidationError[], parent: string): FieldError[] {
  return errors.flatMap((error) => {
    const path = `${parent}/${escapePointer(error.property)}`;
    const own = messages(error).map((message) => ({ path, message }));
    return [...own, ...flatten(error.children ?? [], path)];
  });
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

/**
 * Everything wrong with a project document: values out of bounds, properties it does not have, and
 * references to what is not there. An empty list means valid.
 *
 * @param parts names of the parts that may have changed in a document that was valid before; the values of
 * the others are not looked at again, what refers from one to another is
 */
export function documentErrors(document: unknown, parts?: ReadonlySet<string>): FieldError[] {
  if (!isPlainObject(document)) return [{ path: '', message: 'must be an object' }];
  const checked = parts
    ? { ...SHELL, ...Object.fromEntries([...parts].map((part) => [part, document[part]])) }
    : document;
  const instance = plainToInstance(ProjectDocument, checked);
  const errors = validateSync(instance, {
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
    skipMissingProperties: false,
  });
  return errors.length > 0
    ? flatten(errors, '')
    : referenceErrors(document as unknown as ProjectDocument);
}

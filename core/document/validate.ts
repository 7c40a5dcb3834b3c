import { plainToInstance } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';
import { isPlainObject } from './decorators';
import { ProjectDocument } from './projectDocument';
import { referenceErrors } from './references';

/** What is wrong with one value of a document; `path` is a JSON Pointer (RFC 6901). */
export interface FieldError {
  path: string;
  message: string;
}

const escapePointer = (token: string): string => token.replaceAll('~', '~0').replaceAll('/', '~1');

function flatten(errors: ValidationError[], parent: string): FieldError[] {
  return errors.flatMap((error) => {
    const path = `${parent}/${escapePointer(error.property)}`;
    const own = Object.entries(error.constraints ?? {}).map(([rule, message]) => ({
      path,
      message:
        rule === 'whitelistValidation'
          ? 'is not a property that a project document has'
          : message.startsWith(`${error.property} `)
            ? message.slice(error.property.length + 1)
            : message,
    }));
    return [...own, ...flatten(error.children ?? [], path)];
  });
}

/**
 * Everything wrong with a project document: values out of bounds, properties it does not have, and
 * references to what is not there. An empty list means valid.
 */
export function documentErrors(document: unknown): FieldError[] {
  if (!isPlainObject(document)) return [{ path: '', message: 'must be an object' }];
  const instance = plainToInstance(ProjectDocument, document);
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

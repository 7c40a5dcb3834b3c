import { Value, type ValueError } from '@sinclair/typebox/value';
import { REQUESTS, type RequestBody, type RequestName } from './requests';

/** What is wrong with a value, in words, by the shape that it was to have. */
function faultIn({ schema, path }: ValueError): string {
  const { type, minLength = 0, maxLength, minItems = 0, maxItems, minimum, maximum } = schema;
  if (schema['enum']) return `must be one of ${(schema['enum'] as string[]).join(', ')}`;
  if (minimum !== undefined) return `must be a number of ${minimum} to ${maximum}`;
  if (schema['pattern']) return `must be ${schema.description ?? 'written otherwise'}`;
  if (type === 'string' && maxLength)
    return `must be a text of ${minLength} to ${maxLength} characters`;
  if (type === 'array' && maxItems) return `must be a list of ${minItems} to ${maxItems}`;
  if (type === 'object') {
    const members = Object.keys(schema['properties'] as object).map((name) => `“${name}”`);
    return `must have ${members.join(', ')}`;
  }
  return `must be a ${type === 'string' ? 'text' : String(type ?? path)}`;
}

/** Without the blanks around its texts. */
const trimmed = (body: unknown): unknown =>
  typeof body === 'object' && body !== null && !Array.isArray(body)
    ? Object.fromEntries(
        Object.entries(body).map(([name, value]: [string, unknown]) => [
          name,
          typeof value === 'string' ? value.trim() : value,
        ]),
      )
    : body;

/**
 * What a request brings as JSON, held against its shape: blanks around its texts and members that the shape does not
 * have are left out.
 *
 * @returns what it brings, or the first thing that is wrong with it and where that stands, as a JSON Pointer
 */
export function readBody<N extends RequestName>(
  name: N,
  sent: unknown,
): { body: RequestBody<N> } | { fault: { path: string; message: string } } {
  const shape = REQUESTS[name];
  const body = trimmed(sent);
  const fault = Value.Errors(shape, body).First();
  return fault
    ? { fault: { path: fault.path, message: faultIn(fault) } }
    : { body: Value.Clean(shape, body) as RequestBody<N> };
}

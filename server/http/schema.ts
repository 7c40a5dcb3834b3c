/** The words of JSON Schema that the API is described in. */
export type Schema = Record<string, unknown>;

export const text: Schema = { type: 'string' };
export const integer: Schema = { type: 'integer' };
export const number: Schema = { type: 'number' };
export const boolean: Schema = { type: 'boolean' };
export const nullable = (schema: Schema): Schema => ({ anyOf: [schema, { type: 'null' }] });
export const list = (items: Schema): Schema => ({ type: 'array', items });
export const object = (
  properties: Record<string, Schema>,
  required = Object.keys(properties),
): Schema => ({
  type: 'object',
  properties,
  required,
});
export const ref = (name: string): Schema => ({ $ref: `#/components/schemas/${name}` });
export const described = (schema: Schema, description: string): Schema => ({
  ...schema,
  description,
});

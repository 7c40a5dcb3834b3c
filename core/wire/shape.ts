import { Kind, Type, TypeRegistry, type Static, type TSchema } from '@sinclair/typebox';

/**
 * The words in which shapes on the wire are written, once: a JSON Schema for the description and the tests,
 * and the type that TypeScript infers from it for both sides.
 */

interface Described {
  description?: string;
}

const about = (description?: string): Described => (description ? { description } : {});

export const text = (description?: string) => Type.String(about(description));
export const integer = (description?: string) => Type.Integer(about(description));
export const number = (description?: string) => Type.Number(about(description));
export const boolean = (description?: string) => Type.Boolean(about(description));
export const list = <S extends TSchema>(items: S, description?: string) =>
  Type.Array(items, about(description));
export const nullable = <S extends TSchema>(schema: S) => Type.Union([schema, Type.Null()]);
export const byKey = <S extends TSchema>(values: S, description?: string) =>
  Type.Unsafe<Record<string, Static<S>>>({
    type: 'object',
    additionalProperties: values,
    ...about(description),
  });

/** Kinds of ours, which a value can be held against as against those of the library. */
const ONE_OF = 'OneOf';
const BETWEEN = 'Between';
TypeRegistry.Set<{ enum: readonly string[] }>(ONE_OF, (schema, value) =>
  schema.enum.includes(value as string),
);
TypeRegistry.Set<{ type: string; minimum: number; maximum: number }>(BETWEEN, (schema, value) => {
  const whole = schema.type === 'integer' ? Number.isInteger(value) : Number.isFinite(value);
  return whole && (value as number) >= schema.minimum && (value as number) <= schema.maximum;
});

export const oneOf = <const V extends readonly string[]>(values: V, description?: string) =>
  Type.Unsafe<V[number]>({
    [Kind]: ONE_OF,
    type: 'string',
    enum: [...values],
    ...about(description),
  });
export const between = (
  { type }: { type: string },
  [minimum, maximum]: readonly [number, number],
  description?: string,
) => Type.Unsafe<number>({ [Kind]: BETWEEN, type, minimum, maximum, ...about(description) });

/** Something of the core, by the name under which its shape stands in the description. */
export const core = <T>(name: string) => Type.Unsafe<T>({ $ref: `#/components/schemas/${name}` });

type Within<A, B> = [A] extends [B] ? true : false;
/** Each fits the other, and neither has a member more: one that may be left out fits where it is not known. */
type Same<A, B> = [
  Within<A, B>,
  Within<B, A>,
  Within<keyof A, keyof B>,
  Within<keyof B, keyof A>,
] extends [true, true, true, true]
  ? true
  : false;

/**
 * The shape of a type of the core, held to it by the compiler: a member more or less on either side, or of
 * another type, does not compile.
 */
export const shapeOf =
  <T>() =>
  <S extends TSchema>(schema: Same<Static<S>, T> extends true ? S : never): S =>
    schema;

/** The shape of a type of the core whose parts are described no further: held to the names of its members. */
export const partsOf =
  <T>() =>
  <S extends TSchema>(schema: Same<keyof Static<S>, keyof T> extends true ? S : never): S =>
    schema;

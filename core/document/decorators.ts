import { plainToInstance, Transform, type ClassConstructor } from 'class-transformer';
import { registerDecorator, ValidateBy, ValidateIf, ValidateNested } from 'class-validator';

type Plain = Record<string, unknown>;

export const isPlainObject = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Names by which the parts of a document are kept, and which become part of CSS custom properties. */
export const KEY = /^[a-z][a-z0-9]*(-[a-z0-9]+)*$/;
export const LONGEST_KEY = 64;

const decorate =
  (...decorators: PropertyDecorator[]): PropertyDecorator =>
  (target, property) => {
    for (const decorator of decorators) decorator(target, property);
  };

export const instance = (type: ClassConstructor<object>, value: unknown): unknown =>
  isPlainObject(value) ? plainToInstance(type, value) : value;

/** A property that may be left out, but is not null: what is left out follows. */
export const MayBeLeftOut = (): PropertyDecorator =>
  ValidateIf((_object, value: unknown) => value !== undefined);

const isKey = (value: unknown): boolean =>
  typeof value === 'string' && value.length <= LONGEST_KEY && KEY.test(value);

/** A key, or a list of different keys, at most so many. */
export const IsKeyOrKeys = (most: number): PropertyDecorator =>
  ValidateBy({
    name: 'isKeyOrKeys',
    validator: {
      validate: (value: unknown) =>
        Array.isArray(value)
          ? value.length <= most && value.every(isKey) && new Set(value).size === value.length
          : isKey(value),
      defaultMessage: () => `must be a list of at most ${most} different keys, or null`,
    },
  });

/** A property that is always there, and may be null. */
export const MayBeNull = (): PropertyDecorator =>
  ValidateIf((_object, value: unknown) => value !== null);

/** A property that holds one part of the document, itself of a validated class. */
export function Part(type: () => ClassConstructor<object>): PropertyDecorator {
  return decorate(
    Transform(({ value }) => instance(type(), value), { toClassOnly: true }),
    ValidateNested({ message: 'must be an object' }),
    // A list is walked into as if it held parts, and an empty one would pass.
    ValidateBy({
      name: 'isPart',
      validator: { validate: isPlainObject, defaultMessage: () => 'must be an object' },
    }),
  );
}

/** A property that holds a list of parts. */
export function PartList(type: () => ClassConstructor<object>): PropertyDecorator {
  return decorate(
    Transform(
      ({ value }) =>
        Array.isArray(value) ? value.map((item: unknown) => instance(type(), item)) : value,
      { toClassOnly: true },
    ),
    ValidateNested({ each: true, message: 'must be a list of objects' }),
  );
}

/** A property that holds plain values by key, each of which must pass. */
export function ValuesByKey(
  passes: (value: unknown) => boolean,
  message: string,
  { key, most }: { key: RegExp; most: number },
): PropertyDecorator {
  return ValidateBy({
    name: 'valuesByKey',
    validator: {
      validate: (value: unknown) =>
        isPlainObject(value) &&
        Object.keys(value).length <= most &&
        Object.entries(value).every(([name, held]) => key.test(name) && passes(held)),
      defaultMessage: () => message,
    },
  });
}

/**
 * A property that holds parts by key, so that a patch names what it changes (`/styles/lead/set/weight`)
 * and not a place in a list. While it is validated it is a Map, which class-validator walks into; the
 * document itself stays plain.
 */
export function PartsByKey(
  type: () => ClassConstructor<object>,
  { key = KEY, most }: { key?: RegExp; most: number },
): PropertyDecorator {
  return decorate(
    Transform(
      ({ value }) =>
        isPlainObject(value)
          ? new Map(Object.entries(value).map(([name, part]) => [name, instance(type(), part)]))
          : value,
      { toClassOnly: true },
    ),
    ValidateNested({ each: true, message: 'must be an object' }),
    (target, property) =>
      registerDecorator({
        name: 'partsByKey',
        target: target.constructor,
        propertyName: String(property),
        validator: {
          validate: (value: unknown) =>
            value instanceof Map &&
            value.size <= most &&
            [...value.keys()].every((name: string) => key.test(name) && name.length <= LONGEST_KEY),
          defaultMessage: () =>
            `must be an object of at most ${most} entries whose keys match ${key.source}`,
        },
      }),
  );
}

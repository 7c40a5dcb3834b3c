import type { Operation } from 'fast-json-patch';

/** One operation of a JSON Patch (RFC 6902 §4). */
export type { Operation };

/** A JSON Patch (RFC 6902). */
export type Patch = Operation[];

/** The places that a patch touches, each a JSON Pointer (RFC 6901). */
export const touchedPaths = (patch: Patch): string[] =>
  patch.flatMap((operation) =>
    'from' in operation ? [operation.path, operation.from] : [operation.path],
  );

/** The steps of a JSON Pointer from the root: `/a~1b/0` is `a/b`, `0`. RFC 6901 §4. */
export const pointerSteps = (pointer: string): string[] =>
  pointer
    .split('/')
    .slice(1)
    .map((step) => step.replaceAll('~1', '/').replaceAll('~0', '~'));

/** A JSON Pointer from its steps. */
export const pointerTo = (steps: readonly string[]): string =>
  steps.map((step) => `/${step.replaceAll('~', '~0').replaceAll('/', '~1')}`).join('');

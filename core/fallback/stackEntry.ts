import type { Generic } from '../document/vocabulary';

/** One entry of a stack, and what kind of font it names. */
export type StackEntry =
  | { kind: 'web'; name: string }
  | { kind: 'fallback'; name: string; local: string }
  | { kind: 'local'; name: string }
  | { kind: 'generic'; name: Generic };

import type { Patch } from '../../document/patch';

/** Something in a file that was not used, and why. */
export interface Unused {
  path: string;
  why: string;
}

/** What a file of design tokens would make of a project. */
export interface ReadTokens {
  /** One change, which has not been made. */
  patch: Patch;
  /** What it brings, a line each. */
  used: string[];
  unused: Unused[];
}

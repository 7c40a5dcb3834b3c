/** A part of pages that a framework has a name for, and that a text style can be given. */
export interface FrameworkPart {
  name: string;
  selectors: readonly string[];
}

/** What is known of a framework of style sheets: one file each, held to its own sheet by a test. */
export interface Framework {
  name: string;
  /** Its package in the npm registry, and the path of its whole sheet in that. */
  package: string;
  sheet: string;
  /** Selectors by which a page shows that it is built on it: of no other framework. */
  tellers: readonly string[];
  parts: readonly FrameworkPart[];
  /** Custom properties that its sheet reads, each with the token of Lettera’s that fits. */
  properties: Readonly<Record<string, string>>;
}

export const framework = (of: Framework): Framework => of;

/** Tokens that every project has. Colours are not among them: what a framework mixes from one could not be read. */
export const TOKENS = {
  text: '--font-text',
  code: '--font-code',
  size: '--size-base',
  lineHeight: '--style-body-line-height',
} as const;

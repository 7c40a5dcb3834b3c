import type { RuleChange } from './ruleChanges';

/** The style sheet as it is by now: all of its rules, or what makes it of the one that is named. */
export type SheetMessage =
  | { id: string; rules: readonly string[] }
  | { id: string; from: string; changes: readonly RuleChange[] };

/** A mark, beside the texts that it is about. */
export interface PageMark {
  /** Key of the style of those texts, and what meets them. */
  style: string;
  selectors: string;
  says: string;
}

/** What Lettera shows on the page: the style that is selected there, and marks where they are wanted. */
export interface ShownMessage {
  /** Key of the selected style, and what meets its texts; null for none. */
  selected: { style: string; selectors: string } | null;
  marks: readonly PageMark[];
  /** What the text elements are called by now: another, when they are others. */
  kinds: string;
  /** Where the project's sheet is to stand beside the site's own. */
  linked: 'before' | 'after';
}

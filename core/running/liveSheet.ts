import { madeKey } from '../deliver/cut';
import type { PlannedFile } from '../deliver/plan';
import type { Plans } from '../deliver/plans';
import { stylesheet } from '../deliver/stylesheet';
import type { ProjectDocument } from '../document/projectDocument';
import { topRules } from './topRules';

/** A font file beside a live sheet: what it is made from, and what is done to that. */
export interface LiveFile {
  /** Hash of the file that it is made from. */
  source: string;
  cut: PlannedFile['cut'];
}

/** A style sheet in its present form, and the files that it names. */
export interface LiveSheetFiles {
  rules: string[];
  /** By the name that they have beside it. */
  files: ReadonlyMap<string, LiveFile>;
}

/**
 * What a file is called beside a live sheet: by what it holds, so that a browser never has another under its name.
 * @param hash a hash of text, as hexadecimal digits
 */
export const liveFile = ({ source, cut }: LiveFile, hash: (text: string) => string): string =>
  `${hash(cut ? madeKey(source, cut) : source).slice(0, 32)}.woff2`;

/**
 * The delivered style sheet in its present form, rule by rule, with its font files under names of their own.
 * @param hash as of `liveFile`
 */
export function liveSheet(
  document: ProjectDocument,
  { fallback, delivery }: Plans,
  hash: (text: string) => string,
): LiveSheetFiles {
  const files = delivery.files.map((file) => {
    const name = liveFile(file, hash);
    return { name, file: { ...file, path: `fonts/${name}` } };
  });
  const css = stylesheet(document, {
    fallback,
    delivery: { locals: delivery.locals, files: files.map(({ file }) => file) },
  });
  return {
    rules: topRules(css),
    files: new Map(files.map(({ name, file: { source, cut } }) => [name, { source, cut }])),
  };
}

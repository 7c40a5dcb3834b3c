import { onceFor } from '../document/once';
import type { ProjectDocument } from '../document/projectDocument';
import { BODY_STYLE } from '../document/vocabulary';
import { stepByNumber } from '../scale/steps';
import { headingLevels } from './lineMeasure';
import { resolveInUse } from './resolve';
import { stylesInUse } from './usage';

/** The smallest size that a part of the text is set in, CSS px, and its weight. */
export interface SetAt {
  size: number;
  weight: number;
}

/** How a site sets each part that a family may play, on its smallest screen. */
export interface TextUse {
  sizes: {
    /** The body. */
    running: SetAt;
    /** The smallest text in use: captions, labels. */
    short: SetAt;
    /** The second heading level, which is what most pages show. */
    headings: SetAt;
    /** The level below it. */
    subheadings: SetAt;
  };
  /** BCP 47 tags. */
  languages: readonly string[];
}

/** How the styles of a document set running text, short text and headings at the small end of its scale. */
export const textUseOf = onceFor((document: ProjectDocument): TextUse => {
  const setAt = (style: string): SetAt => {
    const { step, weight } = resolveInUse(document, style);
    return { size: stepByNumber(document.scale, step.value).small, weight: weight.value };
  };
  const running = setAt(BODY_STYLE);
  // Of two as small it is the plainer one: a bold among captions is none of the captions.
  const fromRunning = ({ weight }: SetAt): number => Math.abs(weight - running.weight);
  const isSmaller = (one: SetAt, other: SetAt): boolean =>
    one.size < other.size || (one.size === other.size && fromRunning(one) < fromRunning(other));
  const short = stylesInUse(document)
    .map(setAt)
    .reduce((least, one) => (isSmaller(one, least) ? one : least), running);
  const levels = headingLevels(document).map(({ style }) => style);
  const [first, second = first, third = second] = [...new Set(levels)];
  return {
    sizes: {
      running,
      short,
      headings: second ? setAt(second) : running,
      subheadings: third ? setAt(third) : running,
    },
    languages: document.languages,
  };
});

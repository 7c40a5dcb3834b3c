import { samples as say } from './words';
import { computed } from 'vue';
import { useCopy } from './copy';
import type { Sample } from './lineUp';
import { useProject } from './project';

/** Letters that are taken for one another, and those that faces leave out. */
const HARD_LETTERS = say.ilORnM;
const FIGURES = '0123456789  06:41  3.9 m  17/11  £86.50  1,248';

const firstSentence = (text: string): string => /^.*?[.!?…](?=\s|$)/.exec(text)?.[0] ?? text;

/** What the line-up can set, in the project's own copy where there is any. */
export function useSamples() {
  const project = useProject();
  const copy = useCopy();
  const words = computed(() => project.document?.words ?? '');
  const texts = computed<Record<Sample, string>>(() => ({
    words: words.value,
    heading: copy.heading || words.value,
    sentence: firstSentence(copy.paragraph) || words.value,
    paragraph: copy.paragraph || words.value,
    figures: FIGURES,
    hard: HARD_LETTERS,
  }));
  return { words, texts };
}

export const SAMPLES: readonly { value: Sample; label: string }[] = [
  { value: 'words', label: say.ownWords },
  { value: 'heading', label: say.heading },
  { value: 'sentence', label: say.sentence },
  { value: 'paragraph', label: say.paragraph },
  { value: 'figures', label: say.figures },
  { value: 'hard', label: say.hardLetters },
];

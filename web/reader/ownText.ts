/** Words that tell a text apart, characters. */
const LONGEST_WORDS = 80;

/** The text that an element holds itself, blanks as one. */
export function ownText(node: Element): string {
  let text = '';
  for (let child = node.firstChild; child; child = child.nextSibling) {
    if (child.nodeType === Node.TEXT_NODE) text += (child as Text).data;
  }
  return text.replace(/\s+/g, ' ').trim();
}

/** How a text begins, as it is told apart by. */
export const wordsOf = (text: string): string => text.slice(0, LONGEST_WORDS);

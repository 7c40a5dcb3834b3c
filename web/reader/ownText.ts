import { plainText } from '@lettera/core/page';

/** The text that an element holds itself, blanks as one. */
export function ownText(node: Element): string {
  let text = '';
  for (let child = node.firstChild; child; child = child.nextSibling) {
    if (child.nodeType === Node.TEXT_NODE) text += (child as Text).data;
  }
  return plainText(text);
}

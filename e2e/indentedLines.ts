/** Source of a function of a document: how many lines of a text begin further in than its edge, but for its first letter. */
export const indentedLines = (selector: string): string => `(page) => {
  const node = page.querySelector(${JSON.stringify(selector)});
  const text = node.firstChild;
  const lefts = new Map();
  for (let i = 1; i < text.data.length; i++) {
    const range = page.createRange();
    range.setStart(text, i);
    range.setEnd(text, i + 1);
    const [box] = range.getClientRects();
    const line = Math.round(box ? box.bottom : 0);
    if (box && !lefts.has(line)) lefts.set(line, box.left);
  }
  const edge = node.getBoundingClientRect().left;
  return [...lefts.values()].filter((left) => left > edge + 4).length;
}`;

/**
 * A selector that meets one element of a page alone, and none of other pages as far as that can be: by its id, else
 * by its place in what is around it. Never by what it is alone, which the next text may be too.
 *
 * @param others the site's other pages
 */
export function placeSelector(node: Element, others: readonly Document[] = []): string {
  const page = node.ownerDocument;
  const alone = (selector: string) =>
    page.querySelectorAll(selector).length === 1 &&
    others.every((other) => other.querySelector(selector) === null);
  const steps: string[] = [];
  for (let at: Element | null = node; at && at !== page.documentElement; at = at.parentElement) {
    const current: Element = at;
    const tag = current.tagName.toLowerCase();
    const id = current.id ? `#${CSS.escape(current.id)}` : '';
    if (id && alone(id)) {
      steps.unshift(id);
      break;
    }
    const same = [...(current.parentElement?.children ?? [])].filter(
      (other) => other.tagName === current.tagName,
    );
    steps.unshift(same.length > 1 ? `${tag}:nth-of-type(${same.indexOf(current) + 1})` : tag);
    if (steps.length > 1 && alone(steps.join(' > '))) break;
  }
  return steps.join(' > ');
}

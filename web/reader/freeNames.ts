/**
 * Names in a page that hide what a page or a form can do: `<img name="createTreeWalker">` is then what
 * `document.createTreeWalker` is, and a field named `closest` what `form.closest` is. HTML §3.1.7, §4.10.3.
 */

/** Elements that a form has by their ids too. */
const LISTED = 'button, fieldset, input, object, output, select, textarea, img';

/** Takes such names away, before anything else looks into the page. By methods that no name can hide. */
export function freeNames(page: Document): void {
  const { querySelectorAll } = Document.prototype;
  const { getAttribute, removeAttribute } = Element.prototype;
  const hides = (name: string | null): boolean =>
    name !== null && (name in Document.prototype || name in HTMLFormElement.prototype);
  for (const [attribute, selector] of [
    ['name', '[name]'],
    ['id', `:is(${LISTED})[id]`],
  ] as const) {
    for (const node of querySelectorAll.call(page, selector)) {
      if (hides(getAttribute.call(node, attribute))) removeAttribute.call(node, attribute);
    }
  }
}

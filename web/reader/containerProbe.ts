/** What every element is asked with whether a condition on its container holds. */
const ASKED = '--lettera-held';

/**
 * Asks a page whether conditions on containers hold (CSS Conditional 5 §5): a property that is not inherited
 * is set on every element for which the condition does.
 */
export class ContainerProbe {
  readonly #page: Document;
  readonly #asked = new Map<string, string>();
  #sheet: CSSStyleSheet | null = null;

  constructor(page: Document) {
    this.#page = page;
  }

  holds(node: Element, condition: string): boolean {
    const property = this.#asked.get(condition) ?? this.#ask(condition);
    const style = this.#page.defaultView?.getComputedStyle(node);
    return style?.getPropertyValue(property).trim() === '1';
  }

  #ask(condition: string): string {
    const property = `${ASKED}-${this.#asked.size}`;
    this.#asked.set(condition, property);
    const sheet = this.#sheetInPage();
    try {
      sheet?.insertRule(`@container ${condition} { * { ${property}: 1 !important } }`);
      sheet?.insertRule(`@property ${property} { syntax: "*"; inherits: false }`);
    } catch {
      // No condition that the browser knows: it holds nowhere.
    }
    return property;
  }

  /** One sheet a page, which the next probe begins anew. */
  #sheetInPage(): CSSStyleSheet | null {
    if (this.#sheet) return this.#sheet;
    const Sheet = (this.#page.defaultView as typeof globalThis | null)?.CSSStyleSheet;
    if (!Sheet) return null;
    const known = sheets.get(this.#page);
    this.#sheet = known ?? new Sheet();
    sheets.set(this.#page, this.#sheet);
    this.#sheet.replaceSync('');
    if (!this.#page.adoptedStyleSheets.includes(this.#sheet)) {
      this.#page.adoptedStyleSheets.push(this.#sheet);
    }
    return this.#sheet;
  }
}
const sheets = new WeakMap<Document, CSSStyleSheet>();

/** Text nodes in one chunk, at most, where a page's structure allows it. */
const CHUNK_TEXTS = 40;
/** A page of more chunks is laid out whole, which is quicker than setting each aside and taking it up again. */
const MOST_CHUNKS = 1500;
/** Chunks that are laid out in one go once the change has been shown. */
const CHUNKS_A_FRAME = 12;

/** Content-visibility does not apply to what stands inside tables, and inline text has no box of its own. */
const WHOLE = new Set(['TABLE', 'SVG', 'SELECT', 'P', 'PRE', 'H1', 'H2', 'H3', 'H4', 'H5', 'H6']);

const FAR = 'data-lettera-far';

/**
 * The rules that `NearFirst` works by. Far chunks keep the size that they had; the remembered size is
 * the browser's own (CSS Sizing 4 §4.3, `contain-intrinsic-size: auto`).
 */
export const NEAR_FIRST_RULES = `
[data-lettera-chunk] { contain-intrinsic-size: auto none; }
[${FAR}] { content-visibility: hidden; }
`;

/** Whether a node stands in a part of the page that is still to be laid out. */
export const isFar = (node: Element): boolean => node.closest(`[${FAR}]`) !== null;

function textsIn(element: Element): number {
  const walker = element.ownerDocument.createTreeWalker(element, NodeFilter.SHOW_TEXT);
  let count = 0;
  while (walker.nextNode()) if (walker.currentNode.nodeValue?.trim()) count++;
  return count;
}

/** Divides a page into blocks of few texts each, from its outermost blocks inwards. */
function chunksOf(element: Element): Element[] {
  return [...element.children].flatMap((child) => {
    const divisible = child.children.length > 1 && !WHOLE.has(child.tagName.toUpperCase());
    return divisible && textsIn(child) > CHUNK_TEXTS ? chunksOf(child) : [child];
  });
}

/**
 * Shows a change of type where the eye is first: while the part of the page in view is laid out anew, the
 * rest is left as it was, and follows a few blocks a frame. A page of any length then takes a change as
 * quickly as what is in view. A short page is laid out whole.
 */
export class NearFirst {
  readonly #page: Document;
  readonly #chunks: Element[];
  readonly #far: Element[] = [];
  #frame = 0;

  constructor(page: Document) {
    this.#page = page;
    const chunks = chunksOf(page.body);
    const isLong = textsIn(page.body) > CHUNK_TEXTS * 8;
    this.#chunks = isLong && chunks.length <= MOST_CHUNKS ? chunks : [];
    for (const chunk of this.#chunks) chunk.setAttribute('data-lettera-chunk', '');
    page.addEventListener('scroll', () => this.settle(), { passive: true });
  }

  /** Makes a change, and lays out what is in view. */
  apply(change: () => void): void {
    if (this.#chunks.length > 0) this.#setAside();
    change();
    if (this.#far.length > 0 && this.#frame === 0) this.#next();
  }

  /** Lays out all that was left, at once. */
  settle(): void {
    for (const chunk of this.#far.splice(0)) chunk.removeAttribute(FAR);
    cancelAnimationFrame(this.#frame);
    this.#frame = 0;
  }

  #setAside(): void {
    const bottom = this.#page.documentElement.clientHeight;
    const known = new Set(this.#far);
    const far = this.#chunks.filter((chunk) => {
      if (known.has(chunk)) return false;
      const box = chunk.getBoundingClientRect();
      return box.top > bottom || box.bottom < 0;
    });
    for (const chunk of far) chunk.setAttribute(FAR, '');
    this.#far.push(...far);
  }

  #next(): void {
    this.#frame = requestAnimationFrame(() => {
      // The frame in which the change is painted goes by first.
      this.#frame = requestAnimationFrame(() => {
        for (const chunk of this.#far.splice(0, CHUNKS_A_FRAME)) chunk.removeAttribute(FAR);
        this.#frame = 0;
        if (this.#far.length > 0) this.#next();
      });
    });
  }
}

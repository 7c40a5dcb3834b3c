/** Something that is drawn over the page beside an element of its own. */
export interface Drawn {
  node: Element;
  kind: 'selected' | 'pointed' | 'mark' | 'face';
  says?: string;
}

/** As many are drawn at once: those that are in view. */
const MOST_DRAWN = 300;

/**
 * Outlines and marks over the page, in a tree of their own: nothing of the page is changed for them, so that no
 * framework finds its elements otherwise. They follow what moves.
 */
export class Overlay {
  readonly #layer: HTMLElement;
  readonly #groups = new Map<string, readonly Drawn[]>();
  #waiting = false;

  constructor(tree: ShadowRoot) {
    this.#layer = document.createElement('div');
    this.#layer.className = 'layer';
    tree.append(this.#layer);
    const soon = () => this.#soon();
    addEventListener('scroll', soon, { capture: true, passive: true });
    addEventListener('resize', soon, { passive: true });
    new ResizeObserver(soon).observe(document.documentElement);
    document.fonts.addEventListener('loadingdone', soon);
  }

  /** Draws a group in place of what it had. */
  draw(group: string, drawn: readonly Drawn[]): void {
    if (drawn.length === 0 && !this.#groups.has(group)) return;
    if (drawn.length === 0) this.#groups.delete(group);
    else this.#groups.set(group, drawn);
    this.#soon();
  }

  #soon(): void {
    if (this.#waiting) return;
    this.#waiting = true;
    requestAnimationFrame(() => {
      this.#waiting = false;
      this.#write();
    });
  }

  #write(): void {
    const boxes: HTMLElement[] = [];
    for (const { node, kind, says } of [...this.#groups.values()].flat()) {
      const { left, top, width, height } = node.getBoundingClientRect();
      const isSeen = width > 0 && top < innerHeight && top + height > 0;
      if (!isSeen || !node.isConnected) continue;
      if (boxes.length >= MOST_DRAWN) break;
      const box = document.createElement('div');
      box.className = kind;
      const outline =
        kind === 'mark' ? [left, top, 0, 0] : [left - 3, top - 3, width + 6, height + 6];
      const [x = 0, y = 0, w = 0, h = 0] = outline;
      box.style.cssText = `left:${x}px;top:${y}px;width:${w}px;height:${h}px`;
      if (says) {
        const label = document.createElement('span');
        label.textContent = says;
        // One at the top of the window stands below its text.
        if (kind !== 'mark' && y < 28) label.className = 'below';
        box.append(label);
      }
      boxes.push(box);
    }
    this.#layer.replaceChildren(...boxes);
  }
}

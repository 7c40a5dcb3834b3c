/**
 * Sees to it that the focus is never lost to the page: where what had it goes away, it goes to the nearest that is
 * still there around it; out of what lay over the view, back to what it was opened from; and in another view to what
 * that view is for.
 * @param view what the views are in; what lies over them stands beside it
 * @param main what a view is for, by its selector
 * @returns how to end it
 */
export function keepFocus(view: HTMLElement, main = 'main'): () => void {
  let last: Element | null = null;
  /** What was around it, from the inside out. */
  let around: Element[] = [];
  /** What had the focus last in the view itself. */
  let opener: Element | null = null;

  const note = ({ target }: FocusEvent): void => {
    if (!(target instanceof Element)) return;
    last = target;
    if (view.contains(target)) opener = target;
    around = [];
    for (let node = target.parentElement; node && node !== document.body;) {
      if (node === view) break;
      around.push(node);
      node = node.parentElement;
    }
  };

  function mend(): void {
    const { activeElement } = document;
    if (!last || last.isConnected || (activeElement && activeElement !== document.body)) return;
    const near =
      around.find((node) => node.isConnected) ??
      (opener?.isConnected ? opener : view.querySelector(main));
    // What comes in its stead may not be there yet.
    if (!(near instanceof HTMLElement)) return;
    last = null;
    if (near.tabIndex < 0 && !near.hasAttribute('tabindex')) near.tabIndex = -1;
    near.focus({ preventScroll: true });
  }

  const observer = new MutationObserver(mend);
  observer.observe(document.body, { childList: true, subtree: true });
  document.addEventListener('focusin', note);
  return () => {
    observer.disconnect();
    document.removeEventListener('focusin', note);
  };
}

/** Does work once the browser has nothing more urgent to do, where it tells; else in a task of its own. */
export function whenIdle(work: () => unknown): void {
  if ('requestIdleCallback' in globalThis) {
    requestIdleCallback(() => void work(), { timeout: 1500 });
  } else setTimeout(() => void work());
}

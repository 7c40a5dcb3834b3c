/** How often it is looked whether the width has come, and for how long at most, milliseconds. */
const EVERY = 10;
const PATIENCE = 2000;

/**
 * Gives the page in a frame a viewport of a width, and waits until it has that: browsers pass it on once the
 * page around the frame is laid out, each at a time of its own.
 * @param width CSS px
 */
export async function setFrameWidth(frame: HTMLIFrameElement, width: number): Promise<void> {
  frame.style.width = `${width}px`;
  frame.getBoundingClientRect();
  await comes(() => frame.contentWindow?.innerWidth === width);
}

/**
 * Asks the page in a frame for a light or a dark ground, as far as the browser passes that on: not all do.
 * CSS Color Adjustment 1 §2.
 */
export async function setFrameGround(
  frame: HTMLIFrameElement,
  ground: 'light' | 'dark',
): Promise<void> {
  frame.style.colorScheme = ground;
  await comes(
    () => frame.contentWindow?.matchMedia(`(prefers-color-scheme: ${ground})`).matches === true,
  );
}

async function comes(hasCome: () => boolean): Promise<void> {
  const until = Date.now() + PATIENCE;
  while (!hasCome() && Date.now() < until) {
    await new Promise((resolve) => setTimeout(resolve, EVERY));
  }
}

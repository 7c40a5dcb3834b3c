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
  const until = Date.now() + PATIENCE;
  while (frame.contentWindow?.innerWidth !== width && Date.now() < until) {
    await new Promise((resolve) => setTimeout(resolve, EVERY));
  }
}

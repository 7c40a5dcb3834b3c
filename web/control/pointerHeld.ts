/** Whether a pointer's button is down in the window: something may be being dragged. */
let held = false;

const note = ({ buttons }: PointerEvent): void => {
  held = buttons !== 0;
};

if ('addEventListener' in globalThis) {
  for (const type of ['pointerdown', 'pointermove', 'pointerup', 'pointercancel'] as const) {
    globalThis.addEventListener(type, note, { capture: true, passive: true });
  }
  globalThis.addEventListener('blur', () => (held = false));
}

export const isPointerHeld = (): boolean => held;

/**
 * What is done on a page of the running site, beside the live sheet: pointing, marks, before and after, the swap, and
 * reading. What it sends goes to the server that it came from, on a click, and says before what that is.
 */
import type { ShownMessage } from '@lettera/core/running';
import { familiesIn } from '@lettera/core/css';
import { ownText, textElementsOf } from '../reader/domTree';
import { LetterFinder } from '../reader/faceUsed';
import { pageReading } from '../reader/pageReading';
import { factsOf, pageAddress, textAt } from './facts';
import { HANDLE, type LiveHandle } from './handle';
import { Kinds } from './kinds';
import { Overlay, type Drawn } from './overlay';
import { Panel } from './panel';
import { rehearseSwap } from './rehearsal';
import { counted, tools as say } from './words';

const POINT_KEY = 't';
const BEFORE_KEY = 'b';
/** A page that was gone to is read when it has been left alone for so long, milliseconds. */
const READ_AFTER = 1500;
const BROWSING = 'lettera:reading-as-i-browse';
const MOST_FACES_SHOWN = 12;

function begin(handle: LiveHandle): void {
  const { base } = handle;
  const kinds = new Kinds(base);
  let isBefore = false;
  let showsMarks = false;

  /** @returns what went wrong, in words; null for nothing */
  async function post(
    path: string,
    body: unknown,
  ): Promise<{ fault: string } | { answer: unknown }> {
    try {
      const response = await fetch(base + path, { method: 'POST', body: JSON.stringify(body) });
      if (response.ok) return { answer: response.status === 204 ? null : await response.json() };
      const { detail } = (await response.json()) as { detail?: string };
      return { fault: say.notSent(detail ?? String(response.status)) };
    } catch (error) {
      return { fault: say.notSent((error as Error).message) };
    }
  }

  async function flip(): Promise<void> {
    isBefore = !isBefore;
    await handle.setMode(isBefore ? 'site' : 'all');
    panel.say(isBefore ? [say.isBefore] : []);
  }

  // What Lettera shows here.

  function draw({ selected, marks }: ShownMessage): void {
    const texts = selected ? kinds.ofStyle(selected) : [];
    overlay.draw(
      'selected',
      texts.map((node): Drawn => ({ node, kind: 'selected' })),
    );
    const placed = marks.flatMap((mark) =>
      kinds
        .ofStyle(mark)
        .slice(0, 1)
        .map((node): Drawn => ({ node, kind: 'mark', says: mark.says })),
    );
    overlay.draw('marks', showsMarks ? placed : []);
    panel.write();
  }
  const drawn = (): void => {
    if (handle.shown) draw(handle.shown);
  };

  // Which fonts set the page.

  function showFaces(): void {
    const finder = new LetterFinder(document);
    const byFace = new Map<string, Element[]>();
    for (const node of textElementsOf(document)) {
      if (!node.checkVisibility()) continue;
      const { fontFamily, fontStyle, fontWeight } = getComputedStyle(node);
      const stack = familiesIn(fontFamily);
      const face =
        finder.mainFamily(ownText(node), stack, `${fontStyle} ${fontWeight}`) ?? say.another;
      byFace.set(face, [...(byFace.get(face) ?? []), node]);
    }
    const all = [...byFace].sort(([, a], [, b]) => b.length - a.length).slice(0, MOST_FACES_SHOWN);
    panel.say(
      all.map(([face, nodes]) => say.setBy(face, counted(nodes.length, 'text'))),
      all.map(([face, nodes]): [string, () => void] => [
        face,
        () =>
          overlay.draw(
            'faces',
            nodes.map((node): Drawn => ({ node, kind: 'face' })),
          ),
      ]),
    );
  }

  async function swap(): Promise<void> {
    panel.say([say.swapping]);
    const made = await rehearseSwap(handle);
    isBefore = false;
    panel.say([
      made.shift === null ? say.noShift : say.shift(made.shift.toFixed(3)),
      made.moved > 0
        ? say.moved(counted(made.moved, 'block'), `${made.farthest.toFixed(1)} px`)
        : say.nothingMoved,
    ]);
    await post('said', made);
  }

  // Reading the page.

  /** What sets the page's text without the project's type. */
  async function readSite(): Promise<ReturnType<typeof pageReading>> {
    await handle.setMode('site');
    try {
      return pageReading();
    } finally {
      await handle.setMode(isBefore ? 'site' : 'all');
    }
  }

  async function sendReading(reading: ReturnType<typeof pageReading>): Promise<void> {
    const sent = await post('reading', reading);
    if ('fault' in sent) {
      panel.say([sent.fault]);
      return;
    }
    const { texts } = sent.answer as { texts: number };
    panel.say([say.sent(counted(texts, 'text'))]);
  }

  async function offerReading(): Promise<void> {
    const reading = await readSite().catch((error: unknown) => error as Error);
    if (reading instanceof Error) {
      panel.say([reading.message]);
      return;
    }
    const texts = reading.views.at(-1)?.texts.length ?? 0;
    const size = `${Math.ceil(JSON.stringify(reading).length / 1000).toLocaleString('en')} kB`;
    const sheets = counted(reading.sheets.length, 'style sheet');
    panel.say(
      [
        say.goes(counted(texts, 'text'), innerWidth, sheets, size, new URL(base).host),
        ...(reading.unread.length > 0 ? [say.unread(reading.unread.join(', '))] : []),
      ],
      [[say.send, () => sendReading(reading)]],
    );
  }

  let isBrowsing = sessionStorage.getItem(BROWSING) === base;
  function browse(): void {
    isBrowsing = !isBrowsing;
    if (isBrowsing) sessionStorage.setItem(BROWSING, base);
    else sessionStorage.removeItem(BROWSING);
    panel.write();
    arrive();
  }

  /** Where the page was gone to, by a link or by the site's own script. */
  let readAt = '';
  let reading: ReturnType<typeof setTimeout> | undefined;
  function arrive(): void {
    drawn();
    if (!isBrowsing) return;
    clearTimeout(reading);
    reading = setTimeout(() => {
      const here = `${pageAddress()} ${innerWidth}`;
      if (readAt === here) return;
      readAt = here;
      readSite().then(sendReading, (error: unknown) => panel.say([(error as Error).message]));
    }, READ_AFTER);
  }

  const panel: Panel = new Panel([
    {
      label: () => say.pointOnce,
      act() {
        panel.open(false);
        isHeld = true;
      },
    },
    { label: () => say.before, act: flip },
    {
      label() {
        const many = handle.shown?.marks.length ?? 0;
        if (showsMarks) return say.hideMarks;
        return many > 0 ? say.marks(many) : say.noMarks;
      },
      act() {
        showsMarks = !showsMarks && (handle.shown?.marks.length ?? 0) > 0;
        drawn();
      },
    },
    { label: () => say.faces, act: showFaces },
    { label: () => say.swap, act: swap },
    { label: () => say.read, act: offerReading },
    { label: () => (isBrowsing ? say.stopBrowsing : say.browse), act: browse },
    { label: () => say.hide, act: () => panel.remove() },
  ]);
  const overlay = new Overlay(panel.tree);

  // Pointing, with the key held.

  let isHeld = false;
  const isTypedInto = (event: Event): boolean => {
    const at = event.composedPath()[0];
    return (
      at instanceof Element &&
      at.closest('input, textarea, select, [contenteditable]:not([contenteditable="false"])') !==
        null
    );
  };
  const release = (): void => {
    isHeld = false;
    overlay.draw('pointed', []);
  };
  const isPlain = (event: KeyboardEvent): boolean =>
    !event.ctrlKey && !event.metaKey && !event.altKey && !isTypedInto(event);

  addEventListener(
    'keydown',
    (event) => {
      if (!isPlain(event)) return;
      const key = event.key.toLowerCase();
      if (key === POINT_KEY) {
        event.stopImmediatePropagation();
        isHeld = true;
      } else if (key === BEFORE_KEY && !event.repeat) {
        event.stopImmediatePropagation();
        void flip();
      }
    },
    { capture: true },
  );
  addEventListener('keyup', (event) => event.key.toLowerCase() === POINT_KEY && release(), {
    capture: true,
  });
  addEventListener('blur', release);

  const isOurs = (at: EventTarget): boolean =>
    at instanceof Element && at.localName.startsWith('lettera-');
  const pointedAt = (event: MouseEvent): Element | null => {
    const path = event.composedPath();
    const [at] = path;
    return at instanceof Element && !path.some(isOurs) ? textAt(at) : null;
  };
  addEventListener(
    'mousemove',
    (event) => {
      if (!isHeld) return;
      const node = pointedAt(event);
      const kind = node && kinds.of(node);
      const says = kind?.name ?? say.noElement;
      overlay.draw('pointed', node ? [{ node, kind: 'pointed', says }] : []);
    },
    { passive: true },
  );
  for (const kind of ['mousedown', 'pointerdown', 'mouseup', 'pointerup', 'auxclick'] as const) {
    addEventListener(kind, (event) => isHeld && event.stopImmediatePropagation(), {
      capture: true,
    });
  }
  addEventListener(
    'click',
    (event) => {
      if (!isHeld || event.composedPath().some(isOurs)) return;
      event.preventDefault();
      event.stopImmediatePropagation();
      const node = pointedAt(event as MouseEvent);
      if (!node) return;
      const kind = kinds.of(node);
      release();
      void post('said', factsOf(node, kind?.element ?? null)).then((sent) => {
        if ('fault' in sent) panel.say([sent.fault]);
        else panel.say([kind ? say.selected(kind.name) : say.sentText]);
      });
    },
    { capture: true },
  );

  // The page changes under it: by the site's own scripts, and by going elsewhere.

  let address = pageAddress();
  let soon: ReturnType<typeof setTimeout> | undefined;
  new MutationObserver(() => {
    clearTimeout(soon);
    soon = setTimeout(() => {
      if (address === pageAddress()) drawn();
      else {
        address = pageAddress();
        arrive();
      }
    }, 150);
  }).observe(document.body, { childList: true, subtree: true });

  const onShown = async (shown: ShownMessage): Promise<void> => {
    await kinds.refresh(shown.kinds);
    if (shown === handle.shown) draw(shown);
  };
  handle.onShown((shown) => void onShown(shown));
  if (handle.shown) void onShown(handle.shown);
  arrive();
}

const handle = (window as unknown as Record<symbol, LiveHandle | undefined>)[HANDLE];
if (handle) begin(handle);

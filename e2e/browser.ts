import { existsSync } from 'node:fs';
import puppeteer, { type Browser, type CDPSession, type Frame, type Page } from 'puppeteer-core';

/** How Chromium is started where no one watches and no network is. */
export const FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

const EXECUTABLE =
  process.env['LETTERA_CHROMIUM'] ??
  ['/usr/bin/chromium', '/usr/bin/chromium-browser'].find((path) => existsSync(path)) ??
  '';

/**
 * @param ownWindow whether pages are as wide as the browser's own window, which can then be zoomed
 * @param env environment that the browser has besides this process's
 */
export const launchBrowser = ({
  ownWindow = false,
  env = {},
}: { ownWindow?: boolean; env?: Record<string, string> } = {}): Promise<Browser> =>
  puppeteer.launch({
    executablePath: EXECUTABLE,
    // With LETTERA_SHOW=1 in the environment one can look on.
    headless: process.env['LETTERA_SHOW'] === undefined,
    args: FLAGS,
    // A browser that does not answer fails what asked it, which a test that runs out of time does not tell.
    protocolTimeout: 100_000,
    env: { ...process.env, ...env },
    ...(ownWindow ? { defaultViewport: null } : {}),
  });

/** What Chromium's own page of settings can do, as far as it is used here. */
interface ChromiumSettings {
  chrome: { settingsPrivate: { setDefaultZoom(factor: number, done: () => void): void } };
}

/** Zooms a page as a visitor does: by the browser, which makes its viewport narrower. 1 is 100 %. */
export async function setPageZoom(browser: Browser, page: Page, factor: number): Promise<void> {
  const settings =
    (await browser.pages()).find((one) => one.url().startsWith('chrome://settings')) ??
    (await browser.newPage());
  if (!settings.url().startsWith('chrome://settings')) {
    await settings.goto('chrome://settings/appearance');
  }
  await settings.evaluate(
    (zoom) =>
      new Promise<void>((resolve) => {
        const { chrome } = globalThis as unknown as ChromiumSettings;
        chrome.settingsPrivate.setDefaultZoom(zoom, resolve);
      }),
    factor,
  );
  await page.bringToFront();
  await page.waitForFunction((zoom) => Math.abs(window.devicePixelRatio - zoom) < 0.01, {}, factor);
}

/** How long anything is waited for, ms: as long as the slowest machine may take. */
const PATIENCE = Number(process.env['LETTERA_PATIENCE'] ?? 60_000);

/** A page of the size that Lettera is designed at, which fails the test at any error of a script. */
export async function newPage(
  browser: Pick<Browser, 'newPage'>,
  { width = 1280, height = 800 } = {},
): Promise<{ page: Page; errors: string[] }> {
  const page = await browser.newPage();
  await page.setViewport({ width, height });
  page.setDefaultTimeout(PATIENCE);
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(String(error)));
  page.on('console', (message) => {
    if (message.type() === 'error') errors.push(message.text());
  });
  return { page, errors };
}

/**
 * The frame of the proof, once its page has loaded and been set in type. It is as wide as a desktop's, and
 * shrunk, unless it is to be left as wide as its room.
 */
export async function proofFrame(page: Page, { asItIs = false } = {}): Promise<Frame> {
  const element = await page.waitForSelector('section.proof iframe.ready');
  if (!asItIs) {
    await page.$eval('section.proof .ruler', (ruler) => {
      if (ruler.getAttribute('data-asked')) return;
      const stops = [...ruler.querySelectorAll<HTMLElement>('.stop')];
      stops.find((stop) => stop.textContent?.trim() === 'laptop')?.click();
    });
  }
  const frame = await element?.contentFrame();
  if (!frame) throw new Error('The proof has no frame');
  await frame.evaluate(() => document.fonts.ready.then(() => undefined));
  return frame;
}

/** A place on the screen, px, once what stands there has come to rest. */
export async function atRest<P extends { x: number; y: number }>(
  place: () => Promise<P>,
): Promise<P> {
  let before = await place();
  const { now } = await eventually(
    async () => {
      await new Promise((resolve) => setTimeout(resolve, 200));
      const next = await place();
      const still = Math.hypot(next.x - before.x, next.y - before.y) < 0.5;
      before = next;
      return { now: next, still };
    },
    ({ still }) => still,
  );
  return now;
}

/** The box of an element on the screen, px, once it has come to rest. */
export const boxAtRest = (page: Page, selector: string) =>
  atRest(async () => {
    const box = await (await page.waitForSelector(selector))?.boundingBox();
    if (!box) throw new Error(`${selector} is not to be seen`);
    return box;
  });

/** Where an element of the proof stands on the screen, px, once neither the frame nor the page in it moves. */
const settledPlace = (page: Page, frame: Frame, selector: string) =>
  atRest(async () => {
    const box = await (await page.$('section.proof iframe'))?.boundingBox();
    const { left, top, width } = await frame.$eval(selector, (node) => {
      const rect = node.getBoundingClientRect();
      return { left: rect.left, top: rect.top, width: window.innerWidth };
    });
    const scale = (box?.width ?? 0) / width;
    return { x: (box?.x ?? 0) + (left + 30) * scale, y: (box?.y ?? 0) + (top + 20) * scale };
  });

/** Clicks an element of the proof, by the pointer, where it stands once everything has settled. */
export async function clickInProof(page: Page, frame: Frame, selector: string): Promise<void> {
  await frame.evaluate(() => document.fonts.ready.then(() => undefined));
  const { x, y } = await settledPlace(page, frame, selector);
  await page.mouse.click(x, y);
}

/** Computed values of an element of a frame or page. */
export const computed = (
  frame: Frame | Page,
  selector: string,
  properties: string[],
): Promise<Record<string, string>> =>
  frame.$eval(
    selector,
    (node, names) => {
      const style = getComputedStyle(node);
      return Object.fromEntries(names.map((name) => [name, style.getPropertyValue(name)]));
    },
    properties,
  );

interface DomNode {
  nodeId: number;
  nodeName: string;
  contentDocument?: DomNode;
  children?: DomNode[];
}

function findFrameDocument(node: DomNode): DomNode | null {
  if (node.nodeName === 'IFRAME' && node.contentDocument) return node.contentDocument;
  for (const child of node.children ?? []) {
    const found = findFrameDocument(child);
    if (found) return found;
  }
  return null;
}

/**
 * The families that Chromium really set an element's text in, most glyphs first.
 * @param inProof whether the element is in the proof's frame or in the page itself
 */
export async function fontsUsed(page: Page, selector: string, inProof: boolean): Promise<string[]> {
  const used = await eventually(
    () =>
      fontsUsedNow(page, selector, inProof).catch((error: unknown) => {
        // Another page came into the proof meanwhile.
        if (/Could not find node/.test(String(error))) return null;
        throw error;
      }),
    (fonts) => fonts !== null,
  );
  return used ?? [];
}

async function fontsUsedNow(page: Page, selector: string, inProof: boolean): Promise<string[]> {
  const session: CDPSession = await page.createCDPSession();
  try {
    await session.send('DOM.enable');
    await session.send('CSS.enable');
    const { root } = await session.send('DOM.getDocument', { depth: -1, pierce: true });
    const top = inProof ? findFrameDocument(root) : root;
    if (!top) throw new Error('There is no proof');
    const { nodeId } = await session.send('DOM.querySelector', { nodeId: top.nodeId, selector });
    const { fonts } = await session.send('CSS.getPlatformFontsForNode', { nodeId });
    return fonts.sort((a, b) => b.glyphCount - a.glyphCount).map(({ familyName }) => familyName);
  } finally {
    await session.detach();
  }
}

/** Waits until a question about the page is answered as expected, or fails with the last answer. */
export async function eventually<T>(
  ask: () => Promise<T>,
  holds: (answer: T) => boolean,
  limit = PATIENCE,
): Promise<T> {
  const until = Date.now() + limit;
  for (;;) {
    const answer = await ask();
    if (holds(answer)) return answer;
    if (Date.now() > until) throw new Error(`It stayed at ${JSON.stringify(answer)}`);
    await new Promise((resolve) => setTimeout(resolve, 40));
  }
}

/** Waits until the local fonts have been fitted, which the docket says. */
export async function fallbacksFitted(page: Page): Promise<void> {
  await page.waitForFunction(
    () => !document.querySelector('.docket')?.textContent?.includes('being fitted'),
    { timeout: 60_000 },
  );
}

/**
 * Clicks the control of that name within a part of the page, once it stands still. What came to stand
 * under the pointer between looking and clicking is not taken for it: the click is then made again.
 */
export async function press(page: Page, name: string, within = 'body'): Promise<void> {
  const selector = `${within} ::-p-aria(${name})`;
  await eventually(
    async () => {
      const control = await page.locator(selector).waitHandle();
      const heard = await control.evaluateHandle((node) => {
        const record = { clicked: false };
        document.addEventListener(
          'click',
          ({ target }) => {
            record.clicked ||= node.contains(target as Node) || (target as Node).contains(node);
          },
          { capture: true },
        );
        return record;
      });
      await page.locator(selector).click();
      // A click that leads to another document takes the record along.
      return Promise.all([
        heard.evaluate(({ clicked }) => clicked),
        control.evaluate((node) => node.isConnected),
      ]).catch(() => [true, false]);
    },
    ([clicked, connected]) => Boolean(clicked) || !connected,
  );
}

/** Gives the page one of the widths that stand on its ruler by name; `room` is as wide as there is room for it. */
export async function setProofWidth(
  page: Page,
  name: 'phone' | 'tablet' | 'laptop' | 'room',
): Promise<void> {
  const handle = await page.waitForSelector('section.proof .ruler .handle');
  const isThere = await handle?.evaluate((node) => node.textContent?.trim() ?? '');
  const asked = await page.$eval('section.proof .ruler', (ruler) =>
    ruler.getAttribute('data-asked'),
  );
  if (name === 'room' ? asked : !isThere?.startsWith(name)) {
    await press(page, name, 'section.proof .ruler');
  }
}

/** Opens what is behind View over the page, where it is not open. */
export async function openView(page: Page): Promise<void> {
  const key = page.locator('section.proof header [aria-haspopup="dialog"]');
  const isOpen = await (await key.waitHandle()).evaluate((node) => node.ariaExpanded === 'true');
  if (!isOpen) await key.click();
  await page.waitForSelector('.l-fold .ways');
}

/** Shows one of the things that are told of the page, from what is behind View. */
export async function aboutPage(page: Page, what = 'Pages'): Promise<void> {
  await openView(page);
  await press(page, what, '.l-fold');
  await page.waitForSelector('.l-fold', { hidden: true });
}

/** Opens what is folded away behind the key of that name, where it is not open, and waits until it is. */
export async function unfold(page: Page, name: string): Promise<void> {
  const key = await page.locator(`::-p-aria(${name}[role="button"])`).waitHandle();
  if ((await key.evaluate((node) => node.ariaExpanded)) !== 'true') await press(page, name);
  // One that is just closing may stand there still.
  await eventually(
    () => page.$$eval('.l-fold', (all) => all.length),
    (count) => count === 1,
  );
}

/** Types into the field of that label, over what is there, and leaves it. */
export async function fill(
  page: Page,
  label: string,
  value: string,
  within = 'body',
): Promise<void> {
  await page.locator(`${within} ::-p-aria(${label}[role="textbox"])`).click();
  // Clicking twice would give the value back to what it follows.
  await page.keyboard.down('Control');
  await page.keyboard.press('a');
  await page.keyboard.up('Control');
  await page.keyboard.type(value);
  await page.keyboard.press('Enter');
}

/** Chooses one of many, in the list of that label. */
export async function choose(page: Page, label: string, option: string): Promise<void> {
  await page.locator(`::-p-aria(${label}[role="combobox"])`).click();
  await page.locator(`::-p-aria(${option}[role="option"])`).click();
}

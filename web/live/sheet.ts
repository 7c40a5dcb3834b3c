/**
 * The script of the live sheet: on a page of the running site it keeps the project's style sheet as it is in Lettera
 * by now. What has not changed is not touched, so that nothing blinks and no font is fetched anew. A Lettera that went
 * away leaves the page as it was; when it is back, the page follows again. It asks nothing but its own server.
 */
import { ruleChanges, withChanges } from '@lettera/core/running/rules';
import type { SheetMessage, ShownMessage } from '@lettera/core/running';
import { HANDLE, type LiveHandle, type Mode } from './handle';
import { say } from './note';

const base = new URL('.', (document.currentScript as HTMLScriptElement).src).href;
const { origin: lettera } = new URL(base);
/** How long is waited for fonts before their text is set, milliseconds. */
const PATIENCE = 3000;
const RETRY = 2000;

/** The rules as Lettera has them, and those that stand in the sheet, in its order. */
let rules: readonly string[] = [];
let standing: string[] = [];
let id = '';
let sheet: CSSStyleSheet | null = null;
let mode: Mode = 'all';
let linked: ShownMessage['linked'] | null = null;
let work = Promise.resolve();
/** Rules that this browser does not know. */
const unknown = new Set<string>();
const listeners = new Set<(shown: ShownMessage) => void>();
let shown: ShownMessage | null = null;

const isFace = (rule: string): boolean => rule.startsWith('@font-face');
const isImport = (rule: string): boolean => rule.startsWith('@import');
const here = (rule: string): string => rule.replaceAll('url("fonts/', `url("${base}fonts/`);

/** How rules are left out while the page is looked at otherwise. */
const KEEPS: Record<Mode, (rule: string) => boolean> = {
  all: () => true,
  site: () => false,
  fallback: (rule) => !isFace(rule) || !rule.includes('url('),
};

const isWanted = (rule: string): boolean =>
  !unknown.has(rule) && !isFace(rule) && !isImport(rule) && KEEPS[mode](rule);

/** Descriptors of a face, as its rule and the interface of faces call them. CSS Font Loading 3 §2.1. */
const DESCRIPTORS =
  'font-style font-weight font-stretch unicode-range ascent-override descent-override line-gap-override size-adjust';
const keyOf = (name: string): string =>
  name.replace('font-', '').replace(/-(.)/g, (_, letter: string) => letter.toUpperCase());
const probe = new CSSStyleSheet();

/** A face as its rule describes it. @throws where this browser does not know the rule */
function faceOf(rule: string): FontFace {
  probe.replaceSync(here(rule));
  const { style } = probe.cssRules[0] as CSSFontFaceRule;
  const said = (name: string): string => style.getPropertyValue(name);
  const given = DESCRIPTORS.split(' ').flatMap((name) =>
    said(name) ? [[keyOf(name), said(name)]] : [],
  );
  const family = said('font-family').replace(/^["']|["']$/g, '');
  return new FontFace(family, said('src'), Object.fromEntries(given) as FontFaceDescriptors);
}

/** Faces that are there, by their rules: set by script, since a face rule that comes or goes has all others fetched anew. */
const faces = new Map<string, FontFace>();

/** Has new faces fetched, so that no text is set in another until they are there. */
async function bringFaces(): Promise<void> {
  const loading: Promise<unknown>[] = [];
  for (const rule of rules) {
    if (!isFace(rule) || faces.has(rule) || unknown.has(rule)) continue;
    try {
      const face = faceOf(rule);
      faces.set(rule, face);
      if (rule.includes('url(')) loading.push(face.load());
    } catch {
      unknown.add(rule);
    }
  }
  const patience = new Promise((resolve) => setTimeout(resolve, PATIENCE));
  await Promise.race([Promise.allSettled(loading), patience]);
}

/** Brings the faces and the sheet of the page to what they are to be, in one moment. */
function write(): void {
  if (!sheet) return;
  const all = new Set(rules);
  for (const [rule, face] of faces) {
    if (all.has(rule) && KEEPS[mode](rule)) document.fonts.add(face);
    else document.fonts.delete(face);
    if (!all.has(rule)) faces.delete(rule);
  }
  let less = 0;
  for (const [at, gone, put] of ruleChanges(standing, rules.filter(isWanted))) {
    for (let i = 0; i < gone; i++) sheet.deleteRule(at - less);
    let place = at - less;
    for (const rule of put) {
      try {
        sheet.insertRule(here(rule), place++);
      } catch {
        unknown.add(rule);
        place--;
        less++;
      }
    }
  }
  standing = rules.filter(isWanted);
}

/** A style sheet that another address serves stands beside this one. */
function linkImports(): void {
  for (const rule of rules.filter(isImport)) {
    const [, href = ''] = /"([^"]+)"/.exec(rule) ?? [];
    if (document.querySelector(`link[href="${CSS.escape(href)}"]`)) continue;
    const link = document.createElement('link');
    Object.assign(link, { rel: 'stylesheet', href });
    document.head.append(link);
  }
}

/** What stands in a sheet that the page has already: those rules are left where they are. */
function adopt(from: CSSStyleSheet): void {
  const plain = (rule: CSSRule | undefined): string =>
    rule?.cssText.replaceAll(base, '').replaceAll(new URL('.', document.baseURI).href, '') ?? '';
  const known = new Map<string, string>();
  for (const rule of rules) {
    try {
      probe.replaceSync(here(rule));
      known.set(plain(probe.cssRules[0]), rule);
    } catch {
      unknown.add(rule);
    }
  }
  standing = [...from.cssRules].map((rule, i) => known.get(plain(rule)) ?? `${i}`);
  sheet = from;
}

const ownLink = (): HTMLLinkElement | null =>
  [...document.querySelectorAll('link')].find(({ href }) => href === `${base}lettera.css`) ?? null;

/** The link of the page, read by other origins too; made where the page has none. */
async function linkedSheet(): Promise<CSSStyleSheet | null> {
  const found = ownLink();
  if (found?.crossOrigin !== null && found?.sheet) return found.sheet;
  const link = document.createElement('link');
  Object.assign(link, { rel: 'stylesheet', crossOrigin: '', href: `${base}lettera.css` });
  const came = new Promise<boolean>((resolve) => {
    link.onload = () => resolve(true);
    link.onerror = () => resolve(false);
  });
  if (found) found.after(link);
  else document.head.prepend(link);
  if (!(await came)) return null;
  found?.remove();
  return link.sheet;
}

/** Takes a place for the rules: after all of the site's own, or before them where its link stands. */
async function place(): Promise<void> {
  if (linked === 'after') {
    const own = new CSSStyleSheet();
    document.adoptedStyleSheets = [...document.adoptedStyleSheets, own];
    sheet = own;
    standing = [];
    write();
    // Taken out in the same moment that the rules stand elsewhere.
    ownLink()?.remove();
    return;
  }
  const own = await linkedSheet();
  if (own) adopt(own);
}

async function take(message: SheetMessage): Promise<void> {
  if ('changes' in message) {
    if (message.from !== id) {
      // Something was not heard: all of it is asked for.
      id = '';
      open();
      return;
    }
    rules = withChanges(rules, message.changes);
  } else rules = message.rules;
  id = message.id;
  linkImports();
  await bringFaces();
  if (!sheet) await place();
  if (linked === 'before' && sheet?.ownerNode && !sheet.ownerNode.isConnected) await place();
  write();
}

/** What is told is done in its order. */
const next = (step: () => Promise<void> | void): void => {
  work = work.then(step).catch((error: unknown) => say(String(error)));
};

let stream: EventSource | null = null;
let tools: Promise<unknown> | undefined;
let isBarred = false;

function open(): void {
  stream?.close();
  const page = encodeURIComponent(location.origin + location.pathname);
  const events = new EventSource(`${base}events?page=${page}&known=${id}`);
  stream = events;
  const hear = <T>(name: string, listener: (data: T) => Promise<void> | void): void =>
    events.addEventListener(name, ({ data }: MessageEvent<string>) =>
      next(() => listener(JSON.parse(data) as T)),
    );
  hear<ShownMessage>('shown', (message) => {
    linked ??= message.linked;
    shown = message;
    for (const listener of listeners) listener(message);
    // Also where a policy lets no address be written into a script.
    tools ??= import(`${base}tools.js`);
  });
  hear<SheetMessage>('sheet', take);
  hear('ended', () => {
    events.close();
    rules = [];
    write();
    say('The live sheet was ended. The page is as the site has it.');
  });
  events.onerror = () => void failed(events);
}

/** A server that is away is waited for; one that refuses says why. */
async function failed(events: EventSource): Promise<void> {
  if (events.readyState !== EventSource.CLOSED || events !== stream || isBarred) return;
  const answer = await fetch(`${base}kinds`).catch(() => null);
  if (!answer || answer.ok) {
    setTimeout(open, RETRY);
    return;
  }
  const { detail = '' } = (await answer.json().catch(() => ({}))) as { detail?: string };
  say(detail);
}

addEventListener('securitypolicyviolation', ({ blockedURI, effectiveDirective }) => {
  if (!blockedURI.startsWith(lettera)) return;
  isBarred ||= effectiveDirective === 'connect-src';
  say(
    `the policy of this page does not let ${lettera} in. On the dev server, add it to ${effectiveDirective}.`,
  );
});

const handle: LiveHandle = {
  base,
  get shown() {
    return shown;
  },
  onShown: (listener) => listeners.add(listener),
  setMode(wanted) {
    next(async () => {
      mode = wanted;
      await bringFaces();
      write();
    });
    return work;
  },
};
const page = window as unknown as Record<symbol, LiveHandle | undefined>;
if (!page[HANDLE]) {
  page[HANDLE] = handle;
  open();
}

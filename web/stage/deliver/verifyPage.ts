import { verifyPage as say } from './words';
import {
  changedTexts,
  differencesOf,
  saidOf,
  typeOf,
  type Besides,
  type ComputedType,
  type Difference,
  type LostContrast,
} from '@lettera/core/deliver/trying';
import type { ProjectDocument } from '@lettera/core/document';
import { documentAtWidth } from '@lettera/core/style';
import { elementsRead, readComputed } from '../../reader/computedTexts';
import { ownText, textElementsOf } from '../../reader/domTree';
import {
  claimingMarked,
  forceState,
  documentIn,
  makeForceable,
  statesSet,
  turnDark,
  type State,
} from '../../reader/forcedStates';
import { keepColours, type KeptColours } from '../../reader/keepColours';
import { holdStill } from '../../reader/stockReader';
import { styledElement } from '../../proof/pageText';
import { computedType } from './verifyBundle';

/** Where something of a page is seen: a width, a ground, a state. */
export interface Seen {
  /** CSS px. */
  width: number;
  ground: 'light' | 'dark';
  /** Null at rest. */
  state: State | null;
}

/** A text of a page, by what it says. */
export type Words = string;

/** What came of the bundle on a page of the site's own. */
export interface TriedPage {
  title: string;
  /** Texts that a text element claims, and those that come out as the project has them at every width. */
  texts: number;
  agreeing: number;
  /** What comes out otherwise, by text element and part of its type, with how many texts it is. */
  differences: (Difference & { texts: number })[];
  /** Texts of which something changes as the project says. */
  decided: number;
  /** What changes that the project does not ask for, and where it is seen first. */
  besides: (Omit<Besides, 'texts'> & { seen: Seen; texts: Words[] })[];
  /** What could be read before and can hardly be afterwards, by where it is seen first: the worst, and the texts. */
  lost: (Omit<LostContrast, 'texts'> & { seen: Seen; texts: Words[] })[];
  /** Where the site's own colours have to stay for those to be read as before. */
  keep: KeptColours;
}

/** How long a style sheet may take to come, milliseconds. */
const PATIENCE = 20_000;

/** Puts the delivered style sheet where the page has a place for it. @throws Error when it does not come */
function linkBundle(page: Document, href: string): Promise<void> {
  const link = page.querySelector<HTMLLinkElement>('#lettera-start');
  if (!link) return Promise.reject(new Error(say.pageNoPlaceStyle));
  return new Promise((resolve, reject) => {
    const fail = () => reject(new Error(say.styleSheetDidNot));
    link.addEventListener('load', () => resolve(), { once: true });
    link.addEventListener('error', fail, { once: true });
    setTimeout(fail, PATIENCE);
    link.href = href;
  });
}

/** How a page is brought about, and whether it is still wanted. */
export interface Trying {
  title: string;
  /** Address of the style sheet that is delivered. */
  href: string;
  setWidth: (width: number) => Promise<void>;
  setGround: (ground: 'light' | 'dark') => Promise<void>;
  stopped: () => boolean;
}

/** What is delivered on a page of the site's own: what of it comes out, and what changes besides. */
export async function verifyPage(
  document: ProjectDocument,
  page: Document,
  trying: Trying,
): Promise<TriedPage> {
  holdStill(page);
  const nodes = elementsRead(page);
  const states = new Set([...makeForceable(page), ...statesSet(document)]);
  const before = await readings(document, page, nodes, states, trying);
  await linkBundle(page, trying.href);
  const compared = await compare(document, page, trying);
  makeForceable(page);
  const after = await readings(document, page, nodes, states, trying);

  const decided = new Set<number>();
  const besides = new Map<string, TriedPage['besides'][number]>();
  const lost: TriedPage['lost'] = [];
  /** Texts that have been told of as hard to read. */
  const known = new Set<number>();
  const wordsOf = (number: number): Words => {
    const node = nodes[number];
    return node ? ownText(node).slice(0, 60) : '';
  };
  const lostOn = { light: [] as LostContrast[], dark: [] as LostContrast[] };
  for (const [i, { seen, read }] of before.entries()) {
    const said = documentIn(documentAtWidth(document, seen.width), seen.state);
    const changed = changedTexts(said, read, after[i]?.read ?? []);
    for (const number of changed.decided) decided.add(number);
    for (const one of changed.besides) {
      const key = [one.property, one.before, one.after].join('|');
      // What is so at rest is so in every state as well: it is told once.
      if (!besides.has(key)) besides.set(key, { ...one, seen, texts: one.texts.map(wordsOf) });
    }
    lostOn[seen.ground].push(...changed.lost);
    const found = changed.lost.flatMap(({ texts }) => texts).filter((text) => !known.has(text));
    for (const text of found) known.add(text);
    const [worst] = changed.lost.filter(({ texts }) => texts.some((text) => found.includes(text)));
    if (worst) lost.push({ ...worst, seen, texts: found.map(wordsOf) });
  }
  return {
    title: trying.title,
    ...compared,
    decided: decided.size,
    besides: [...besides.values()],
    lost,
    keep: keepColours(document, { nodes, read: after[0]?.read ?? [] }, lostOn.light, lostOn.dark),
  };
}

/** Reads a page at both widths and on both grounds, and in each state that it has rules for. */
async function readings(
  document: ProjectDocument,
  page: Document,
  nodes: readonly Element[],
  states: ReadonlySet<State>,
  { setWidth, setGround, stopped }: Trying,
): Promise<{ seen: Seen; read: ComputedType[] }[]> {
  const all: { seen: Seen; read: ComputedType[] }[] = [];
  const marked = claimingMarked(document);
  const look = async (seen: Seen): Promise<void> => {
    await setWidth(seen.width);
    forceState(page, seen.state);
    all.push({ seen, read: await readComputed(marked, nodes, stopped) });
  };
  const { small, large } = document.scale;
  for (const ground of ['light', 'dark'] as const) {
    await setGround(ground);
    const turnBack = ground === 'dark' ? turnDark(page) : () => undefined;
    if (ground === 'light') await look({ width: small.width, ground, state: null });
    for (const state of [null, ...states]) await look({ width: large.width, ground, state });
    forceState(page, null);
    turnBack();
  }
  await setGround('light');
  return all;
}

/**
 * Compares what a browser makes of a page that links the bundle with what the project has, in all that the
 * style of each text's element says itself.
 */
async function compare(
  document: ProjectDocument,
  page: Document,
  { setWidth }: Trying,
): Promise<Pick<TriedPage, 'texts' | 'agreeing' | 'differences'>> {
  const claimed = textElementsOf(page).flatMap((text) => {
    const found = styledElement(document, text);
    return found && found.node !== page.body ? [found] : [];
  });
  const wrong = new Set<number>();
  const found = new Map<string, Difference & { texts: number }>();
  for (const { width } of [document.scale.small, document.scale.large]) {
    await setWidth(width);
    claimed.forEach(({ node, key }, i) => {
      const project = typeOf(document, key, width);
      if (!project) return;
      const said = saidOf(document, key);
      const differences = differencesOf(key, width, project, computedType(node));
      for (const difference of differences.filter(({ what }) => said.has(what))) {
        wrong.add(i);
        const at = `${key} ${difference.what} ${width}`;
        found.set(at, { ...difference, texts: (found.get(at)?.texts ?? 0) + 1 });
      }
    });
  }
  return {
    texts: claimed.length,
    agreeing: claimed.length - wrong.size,
    differences: [...found.values()].sort((a, b) => b.texts - a.texts),
  };
}

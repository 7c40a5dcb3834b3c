import { html as names, serialize, type DefaultTreeAdapterTypes as Tree } from 'parse5';
import { cleanCss } from './cleanCss';
import { parseHtml } from './parseHtml';
import { Removals, type Removed } from './removed';
import { SiteError } from './siteFile';

/** A page without anything that runs, sends or asks elsewhere. */
export interface CleanPage {
  /** The whole document. */
  html: string;
  title: string;
  removed: Removed[];
}

/** What a page asks for, as it is come across. */
export interface CleanOptions {
  /** The address to ask for a file instead of the one that the page has; null for none. */
  use: (address: string, removals: Removals) => string | null;
  /** A style sheet that the page links, and that was brought. */
  linked: (address: string, media: string) => void;
  /**
   * A style sheet that stands in the page: gives the address to ask for it by, and what it asks for in vain; null
   * for one that goes.
   */
  standing: (css: string, media: string) => { address: string; removed: Removed[] } | null;
  /** What the page says that its addresses are resolved against, each time that it says so. */
  base?: (href: string) => void;
}

/**
 * Elements that run, embed or lead elsewhere, and those whose text is markup to one parser and none to another;
 * nothing of them is kept. `noscript` shows where nothing runs.
 */
const OUT: Readonly<Record<string, 'script' | 'frame' | 'refresh' | 'request'>> = {
  script: 'script',
  noscript: 'script',
  iframe: 'frame',
  frame: 'frame',
  frameset: 'frame',
  noframes: 'frame',
  object: 'frame',
  embed: 'frame',
  applet: 'frame',
  portal: 'frame',
  fencedframe: 'frame',
  base: 'request',
  // Raw text, HTML §13.2.5.3, and what leads in and out of MathML, §13.2.6.5: written and parsed again they are
  // not what they were.
  xmp: 'frame',
  plaintext: 'frame',
  noembed: 'frame',
  mglyph: 'frame',
  malignmark: 'frame',
  'annotation-xml': 'frame',
};

/** Attributes by which an element asks for something as it is shown. */
const ASKS = new Set(['src', 'poster', 'background', 'data', 'xlink:href', 'lowsrc', 'dynsrc']);
/** Attributes that send, follow or run when something is done to the element. */
const ACTS: Readonly<Record<string, 'form' | 'request' | 'frame'>> = {
  action: 'form',
  formaction: 'form',
  ping: 'request',
  manifest: 'request',
  srcdoc: 'frame',
  archive: 'request',
  codebase: 'request',
  classid: 'request',
  longdesc: 'request',
  cite: 'request',
  profile: 'request',
  attributionsrc: 'request',
};
/** An address that is what it leads to. */
const DATA = /^\s*data:/i;
const LINKS = new Set(['a', 'area']);
/** Values of these would be read as addresses by an animation. */
const ANIMATED = /^(set|animate|animatetransform|animatemotion)$/;

const attribute = (node: Tree.Element, name: string): string | null =>
  node.attrs.find((one) => one.name === name)?.value ?? null;

const isElement = (node: Tree.Node): node is Tree.Element => 'tagName' in node;
const isParent = (node: Tree.Node): node is Tree.ParentNode & Tree.Node => 'childNodes' in node;

/** Every node of a page, outermost first. */
function* nodesOf(root: Tree.Document): Generator<Tree.ChildNode> {
  const waiting = root.childNodes.toReversed();
  for (let node = waiting.pop(); node; node = waiting.pop()) {
    yield node;
    const inner = [
      ...(isParent(node) ? node.childNodes : []),
      ...('content' in node ? node.content.childNodes : []),
    ];
    for (const child of inner.reverse()) waiting.push(child);
  }
}

/** Takes nodes out of a page, each parent's at once. */
function detach(nodes: ReadonlySet<Tree.ChildNode>): void {
  for (const parent of new Set([...nodes].map(({ parentNode }) => parentNode))) {
    if (parent) parent.childNodes = parent.childNodes.filter((node) => !nodes.has(node));
  }
}

/** Candidates of `srcset`, each an address and what it is for. HTML §4.8.4.2.1. */
const cleanSourceSet = (value: string, use: (address: string) => string | null): string =>
  value
    .split(/,\s+|,$/)
    .map((candidate) => candidate.trim())
    .filter(Boolean)
    .flatMap((candidate) => {
      const [address = '', ...rest] = candidate.split(/\s+/);
      const used = use(address);
      return used === null ? [] : [[used, ...rest].join(' ')];
    })
    .join(', ');

/** Makes a link to a style sheet of an element. */
function toLink(node: Tree.Element, href: string, media: string): Tree.Element {
  return Object.assign(node, {
    tagName: 'link',
    nodeName: 'link',
    namespaceURI: names.NS.HTML,
    childNodes: [],
    attrs: [
      { name: 'rel', value: 'stylesheet' },
      { name: 'href', value: href },
      ...(media ? [{ name: 'media', value: media }] : []),
    ],
  });
}

class Cleaner {
  readonly removals = new Removals();
  /** Links for style sheets that stand in pictures, where a link would be none. */
  readonly hoisted: Tree.Element[] = [];

  constructor(private readonly options: CleanOptions) {}

  #use = (address: string): string | null => this.options.use(address, this.removals);

  /** @returns whether the element stays */
  element(node: Tree.Element): boolean {
    const tag = node.tagName.toLowerCase();
    const out = Object.hasOwn(OUT, tag) ? OUT[tag] : undefined;
    if (out) {
      if (tag === 'base') this.options.base?.(attribute(node, 'href') ?? '');
      this.removals.add(out, `<${tag}${what(node, ['src', 'href', 'data'])}>`);
      return false;
    }
    if (tag === 'meta') return this.#meta(node);
    if (tag === 'link') return this.#link(node);
    if (tag === 'style') return this.#style(node);
    this.#attributes(node, tag);
    return true;
  }

  /** Nothing that sets policy, cookies, encoding or width; what is left of the rest is not seen. */
  #meta(node: Tree.Element): boolean {
    const pragma = attribute(node, 'http-equiv')?.toLowerCase();
    if (pragma === 'refresh') this.removals.add('refresh', attribute(node, 'content') ?? '');
    return attribute(node, 'name')?.toLowerCase() === 'color-scheme';
  }

  #link(node: Tree.Element): boolean {
    const kinds = (attribute(node, 'rel') ?? '').toLowerCase().split(/\s+/);
    const href = attribute(node, 'href') ?? '';
    const applied =
      node.namespaceURI === names.NS.HTML &&
      kinds.includes('stylesheet') &&
      !kinds.includes('alternate');
    if (applied && DATA.test(href)) {
      this.removals.add('request', href);
      return false;
    }
    if (!applied || attribute(node, 'disabled') !== null) {
      if (/^([a-z]+:)?\/\//i.test(href)) this.removals.add('request', href);
      return false;
    }
    const address = this.#use(href);
    if (address === null) return false;
    const media = attribute(node, 'media') ?? '';
    this.options.linked(href, media);
    toLink(node, address, media);
    return true;
  }

  #style(node: Tree.Element): boolean {
    const text = textOf(node);
    const type = attribute(node, 'type') ?? '';
    if (type !== '' && type.toLowerCase() !== 'text/css') return false;
    const media = attribute(node, 'media') ?? '';
    const sheet = this.options.standing(text, media);
    if (!sheet) return false;
    const { address, removed } = sheet;
    for (const one of removed) this.removals.add(one.kind, one.what, one.times);
    if (node.namespaceURI !== names.NS.HTML) {
      this.hoisted.push(toLink({ ...node }, address, media));
      return false;
    }
    toLink(node, address, media);
    return true;
  }

  #attributes(node: Tree.Element, tag: string): void {
    const animates = ANIMATED.test(tag);
    node.attrs = node.attrs.flatMap((one) => {
      const name = (one.prefix ? `${one.prefix}:${one.name}` : one.name).toLowerCase();
      if (name.startsWith('on')) {
        this.removals.add('handler', name);
        return [];
      }
      if (Object.hasOwn(ACTS, name)) {
        if (one.value) this.removals.add(ACTS[name] ?? 'request', `${name}="${one.value}"`);
        return [];
      }
      // An animation of an address would lead elsewhere without one that stands in the page.
      if (animates && /^(from|to|by|values)$/.test(name) && /:|\/\//.test(one.value)) return [];
      if (name === 'href' || name === 'xlink:href') return this.#href(node, tag, one);
      if (name === 'srcset' || name === 'imagesrcset') {
        const value = cleanSourceSet(one.value, this.#use);
        return value ? [{ ...one, value }] : [];
      }
      if (ASKS.has(name)) {
        const value = this.#use(one.value);
        return value === null ? [] : [{ ...one, value }];
      }
      // A presentation attribute may ask by url() as a style does: fill, filter, mask, cursor.
      if (/url\s*\(|image-set|src\s*\(|\\/i.test(one.value)) {
        return [{ ...one, value: cleanCss(one.value, (address) => this.#use(address)) }];
      }
      return name === 'autofocus' || name === 'target' || name === 'nonce' ? [] : [one];
    });
  }

  /** Where a link leads is no matter here: it goes nowhere in the proof, and looks like a link. */
  #href(
    node: Tree.Element,
    tag: string,
    one: Tree.Element['attrs'][number],
  ): Tree.Element['attrs'] {
    if (LINKS.has(tag)) {
      if (/^\s*(java|vb)script:/i.test(one.value.replace(/[\0-\x20]/g, ''))) {
        this.removals.add('script', one.value);
      }
      return [{ ...one, value: '#' }];
    }
    if (one.value.startsWith('#')) return [one];
    // What a picture takes in whole may hold anything.
    const asks = node.namespaceURI === names.NS.SVG && !(tag === 'use' && DATA.test(one.value));
    const value = asks ? this.#use(one.value) : null;
    return value === null ? [] : [{ ...one, value }];
  }
}

const what = (node: Tree.Element, of: readonly string[]): string =>
  of
    .flatMap((name) => {
      const value = attribute(node, name);
      return value ? [` ${name}="${value}"`] : [];
    })
    .join('');

const textOf = (node: Tree.Element): string =>
  node.childNodes.map((child) => ('value' in child ? child.value : '')).join('');

/** Cleans a page once: what it is then is not yet what a browser would read of it. */
function cleanOnce(text: string, options: CleanOptions): CleanPage {
  const document = parseHtml(text);
  const cleaner = new Cleaner(options);
  const out = new Set<Tree.ChildNode>();
  let title = '';
  for (const node of nodesOf(document)) {
    if (node.nodeName === '#comment') out.add(node);
    if (!isElement(node)) continue;
    if (node.tagName === 'title' && !title && node.namespaceURI === names.NS.HTML) {
      title = textOf(node);
    }
    if (!cleaner.element(node)) out.add(node);
  }
  detach(out);
  const root = document.childNodes.find(isElement);
  const head = root?.childNodes.filter(isElement).find(({ tagName }) => tagName === 'head');
  head?.childNodes.push(...cleaner.hoisted);
  const quirks = document.mode === names.DOCUMENT_MODE.QUIRKS;
  return {
    html: `${quirks ? '' : '<!doctype html>'}${serialize(document).replace(/^<!doctype[^>]*>/i, '')}`,
    title: title.replace(/\s+/g, ' ').trim(),
    removed: cleaner.removals.list(),
  };
}

/** How often a page is cleaned at most until there is nothing more to clean. */
const MOST_ROUNDS = 8;

/**
 * A page as it may be shown: parsed as browsers do (HTML §13), without scripts, handlers, frames, sending,
 * refreshes and requests to elsewhere; each is reported. Style sheets that stand in it become files of their own.
 *
 * Markup that is written and parsed again is not always what it was. So what comes out is cleaned until it stays
 * the same: it is what a browser will read.
 *
 * @throws SiteError for one with too many elements, or that stand too deep in one another, or that does not come
 * to rest
 */
export function cleanHtml(text: string, options: CleanOptions): CleanPage {
  const given = new Set<string>();
  const first = cleanOnce(text, {
    ...options,
    use: (address, removals) => {
      const used = options.use(address, removals);
      if (used !== null) given.add(used);
      return used;
    },
    standing: (css, media) => {
      const sheet = options.standing(css, media);
      if (sheet) given.add(sheet.address);
      return sheet;
    },
  });
  const removals = new Removals();
  for (const { kind, what: one, times } of first.removed) removals.add(kind, one, times);
  let { html } = first;
  for (let round = 1; round < MOST_ROUNDS; round++) {
    const again = cleanOnce(html, {
      use: (address) => (given.has(address) || DATA.test(address) ? address : null),
      linked: () => undefined,
      // A style sheet that stands there now is one that the page hid.
      standing: () => null,
    });
    for (const { kind, what: one, times } of again.removed) removals.add(kind, one, times);
    if (again.html === html) return { ...first, html, removed: removals.list() };
    ({ html } = again);
  }
  throw new SiteError(
    'Its markup is another each time that it is read, so it cannot be shown safely.',
  );
}

import { EVERY_CHARACTER, familiesIn } from '@lettera/core/css';
import { wordsOf, type LiveText, type LiveView } from '@lettera/core/page';
import { measureOf } from './charactersALine';
import { LetterFinder } from './faceUsed';
import { ownText } from './domTree';
import { rulesOf } from './rulesOf';

/** Properties that concern type, and what decides whether text is seen and on what. */
const KEPT =
  /^(--.*|font(-.*)?|line-height|letter-spacing|word-spacing|text-transform|text-decoration.*|text-align|color|background(-color|-image)?|opacity|display|visibility|container(-.*)?|all)$/;
/** Attributes that selectors and languages go by. */
const NAMED = /^(class|id|role|lang|dir|type|rel|open|disabled|hidden|style|aria-[a-z]+)$/;
/** Elements that are no text of the page's. */
const OUT =
  'lettera-note, lettera-tools, script, noscript, style, template, iframe, frame, object, embed, link, meta, base, title, svg, canvas, video, audio, picture, img, source, portal';
const FIELDS = 'input, textarea, select, option, datalist, [contenteditable]';
const MOST = { html: 4_000_000, css: 4_000_000, texts: 100_000 };

/** What is recorded of a page at one width: types alone, of which nothing stands in what is run. */
interface View extends LiveView {
  height: number;
}
interface Kept {
  address: string;
  views: View[];
}

const keep = window as unknown as { letteraReading?: Kept };
const px = (value: string): number => parseFloat(value) || 0;
const addressNow = (): string => location.origin + location.pathname;

/** The declarations of a rule that concern type, as they stand there. */
function declarations({ cssText }: CSSStyleDeclaration): string {
  const found: string[] = [];
  let [depth, quote, from] = [0, '', 0];
  for (let i = 0; i <= cssText.length; i++) {
    const character = cssText.charAt(i);
    if (quote) {
      if (character === quote) quote = '';
    } else if (character === '"' || character === "'") quote = character;
    else if (character === '(') depth++;
    else if (character === ')') depth--;
    else if (depth === 0 && (character === ';' || i === cssText.length)) {
      const one = cssText.slice(from, i).trim();
      if (KEPT.test(one.slice(0, one.indexOf(':')).trim()))
        found.push(one.replace(/url\([^)]*\)/g, 'none'));
      from = i + 1;
    }
  }
  return found.join('; ');
}

interface Sheet {
  name: string;
  media: string;
  css: string;
}

/** Style sheets as files: what they import has one of its own. */
class Sheets {
  readonly all: Sheet[] = [];
  readonly unread: string[] = [];
  #size = 0;

  add(sheet: CSSStyleSheet, name: string, linked: boolean): string | null {
    const rules = rulesOf(sheet);
    if (!rules) {
      this.unread.push(sheet.href ?? name);
      return null;
    }
    let own = name;
    for (let n = 2; this.all.some((one) => one.name === own); n++) own = `${n}-${name}`;
    const kept: Sheet = { name: own, media: linked ? sheet.media.mediaText : 'imported', css: '' };
    this.all.push(kept);
    kept.css = this.#rules(rules).join('\n');
    this.#size += kept.css.length;
    if (this.#size > MOST.css) throw new Error('Its style sheets are too large to be read.');
    return own;
  }

  #rules(list: CSSRuleList): string[] {
    return [...list].flatMap((rule): string[] => {
      if (rule instanceof CSSImportRule) {
        const { styleSheet } = rule;
        const name = styleSheet && this.add(styleSheet, nameOf(rule.href), false);
        const after = rule.cssText.replace(/^@import\s+url\([^)]*\)\s*|;$/g, '');
        return name ? [`@import "${name}" ${after};`] : [];
      }
      if (rule instanceof CSSFontFaceRule) {
        const value = (property: string) => rule.style.getPropertyValue(property);
        const [, host = 'the page’s own'] =
          /url\(["']?(?:https?:)?\/\/([^/"')]+)/.exec(value('src')) ?? [];
        return [
          `@font-face { font-family: ${value('font-family')}; font-weight: ${value('font-weight') || '400'}; font-style: ${value('font-style') || 'normal'}; src: url("font-of-${encodeURIComponent(host)}.woff2") }`,
        ];
      }
      if (rule instanceof CSSStyleRule) {
        const inner = rule.cssRules?.length ? ` ${this.#rules(rule.cssRules).join(' ')}` : '';
        const own = declarations(rule.style);
        return own || inner
          ? [`${rule.selectorText} { ${own}${own && inner ? ';' : ''}${inner} }`]
          : [];
      }
      const grouping = rule as CSSGroupingRule;
      if (!('cssRules' in grouping) || rule instanceof CSSKeyframesRule) {
        return rule.cssText.startsWith('@layer') ? [rule.cssText] : [];
      }
      const inner = this.#rules(grouping.cssRules);
      const head = rule.cssText.slice(0, rule.cssText.indexOf('{')).trim();
      return inner.length || head.startsWith('@layer') ? [`${head} { ${inner.join(' ')} }`] : [];
    });
  }
}

const nameOf = (address: string): string =>
  (address.split(/[?#]/)[0] ?? '')
    .split('/')
    .pop()
    ?.replace(/[^\w.-]/g, '-') || 'sheet.css';

/** Elements that hold text of their own and are seen, in the order of the page. */
function seenTexts(): Element[] {
  const found = new Set<Element>();
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  while (walker.nextNode()) {
    const { parentElement, nodeValue } = walker.currentNode as Text;
    if (!nodeValue?.trim() || !parentElement || found.has(parentElement)) continue;
    if (parentElement.closest(OUT) || parentElement.closest(FIELDS)) continue;
    if (parentElement.checkVisibility()) found.add(parentElement);
  }
  return [...found].slice(0, MOST.texts);
}

/** The page without what is hidden, typed in, run or asked for. */
function markup(css: string): string {
  const root = document.documentElement;
  const copy = root.cloneNode(true) as HTMLElement;
  const [originals, copies] = [root.querySelectorAll('*'), copy.querySelectorAll('*')];
  const gone: Element[] = [];
  copies.forEach((node, i) => {
    const original = originals[i];
    const isHidden =
      document.body.contains(original ?? null) &&
      !original?.checkVisibility() &&
      ![...(original?.querySelectorAll('*') ?? [])].some((inner) => inner.checkVisibility());
    if (node.matches(OUT) || isHidden) gone.push(node);
  });
  gone.forEach((node) => node.remove());
  for (const node of [copy, ...copy.querySelectorAll('*')]) {
    if (node.matches(FIELDS)) node.textContent = '';
    for (const { name, value } of [...node.attributes]) {
      if (name === 'href') node.setAttribute('href', '#');
      else if (name === 'style')
        node.setAttribute('style', declarations((node as HTMLElement).style));
      else if (!NAMED.test(name) && !css.includes(`[${name}`)) node.removeAttribute(name);
      else if (value.length > 500) node.setAttribute(name, value.slice(0, 500));
    }
  }
  const comments = document.createTreeWalker(copy, NodeFilter.SHOW_COMMENT);
  const found: Node[] = [];
  while (comments.nextNode()) found.push(comments.currentNode);
  found.forEach((node) => node.parentNode?.removeChild(node));
  if (copy.outerHTML.length > MOST.html) throw new Error('It is too long to be read.');
  return copy.outerHTML;
}

const view = (letters: LetterFinder): View => ({
  width: window.innerWidth,
  height: window.innerHeight,
  texts: seenTexts().map((node): LiveText => {
    const style = getComputedStyle(node);
    const text = ownText(node);
    const { fontStyle, fontWeight } = style;
    return {
      words: wordsOf(text),
      family: style.fontFamily,
      size: px(style.fontSize),
      weight: Number(fontWeight),
      style: fontStyle,
      lineHeight: style.lineHeight === 'normal' ? null : px(style.lineHeight),
      letterSpacing: px(style.letterSpacing),
      letterCase: style.textTransform,
      colour: style.color,
      face: letters.mainFamily(text, familiesIn(style.fontFamily), `${fontStyle} ${fontWeight}`),
      measure: measureOf(node, [...text].length, style.display),
    };
  }),
});

/**
 * What sets the text of the page that this runs on, as docs/reading.md describes it. Read again at another width, it
 * has what was read there too. It sends nothing and asks for nothing.
 *
 * @throws Error in words, for a page that is too large
 */
export function pageReading() {
  const sheets = new Sheets();
  for (const sheet of [...document.styleSheets, ...document.adoptedStyleSheets]) {
    if (sheet.disabled || rulesOf(sheet)?.length === 0) continue;
    sheets.add(sheet, sheet.href ? nameOf(sheet.href) : 'in-the-page.css', true);
  }
  const address = addressNow();
  if (keep.letteraReading?.address !== address) keep.letteraReading = { address, views: [] };
  const kept = keep.letteraReading;
  const now = view(new LetterFinder(document));
  kept.views = [...kept.views.filter(({ width }) => width !== now.width), now].sort(
    (a, b) => a.width - b.width,
  );
  return {
    format: 'lettera-reading',
    version: 1,
    made: new Date().toISOString(),
    address,
    title: document.title.slice(0, 200),
    quirks: document.compatMode === 'BackCompat',
    html: markup(sheets.all.map(({ css }) => css).join('\n')),
    sheets: sheets.all,
    unread: sheets.unread,
    faces: [...document.fonts].map(({ family, weight, style, status, unicodeRange }) => ({
      family: family.replace(/^["']|["']$/g, ''),
      weight,
      style,
      status,
      ...(unicodeRange === EVERY_CHARACTER ? {} : { unicodeRange }),
    })),
    views: kept.views,
  };
}

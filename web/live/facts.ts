import { familiesIn } from '@lettera/core/css';
import type { LiveTold } from '@lettera/core/wire';
import { charactersALine } from '../reader/charactersALine';
import { ownText } from '../reader/domTree';
import { LetterFinder } from '../reader/faceUsed';
import { Grounds } from '../reader/grounds';
import { placeSelector } from '../reader/placeSelector';

/** Where the plugin of the dev server writes where an element stands in the site's sources. */
export const SOURCE = 'data-lettera-at';
const MOST = { selectors: 8, words: 400, line: 300, place: 2000 };
const px = (value: string): number => parseFloat(value) || 0;

export type Pointed = Extract<LiveTold, { kind: 'pointed' }>;

export const pageAddress = (): string => location.origin + location.pathname;

/** Selectors that meet a text and what is like it, the narrowest first, and how many elements each meets. */
function selectorsOf(node: Element): Pointed['selectors'] {
  const tag = node.localName;
  const classes = [...node.classList].map((name) => `.${CSS.escape(name)}`);
  const around = node.parentElement?.closest('[class]');
  const outer = around ? [...around.classList].map((name) => `.${CSS.escape(name)}`)[0] : undefined;
  const all = [
    ...classes,
    ...(classes[0] ? [`${tag}${classes[0]}`] : []),
    ...(outer ? [`${outer} ${classes[0] ?? tag}`] : []),
    tag,
  ];
  return [...new Set(all)]
    .map((selector) => ({ selector, texts: document.querySelectorAll(selector).length }))
    .filter(({ selector }) => selector.length <= MOST.line)
    .sort((a, b) => a.texts - b.texts)
    .slice(0, MOST.selectors);
}

/** The element whose own text is meant where something was pointed at. */
export function textAt(target: Element): Element | null {
  for (let at: Element | null = target; at && at !== document.body; at = at.parentElement) {
    if (ownText(at)) return at;
  }
  return ownText(target) ? target : null;
}

/** What is known of a text, as the browser sets it here. */
export function factsOf(node: Element, element: string | null): Pointed {
  const style = getComputedStyle(node);
  const text = ownText(node);
  const background = new Grounds().of(node);
  const { fontFamily, fontStyle, fontWeight, lineHeight, color } = style;
  const face = new LetterFinder(document).mainFamily(
    text,
    familiesIn(fontFamily),
    `${fontStyle} ${fontWeight}`,
  );
  return {
    kind: 'pointed',
    address: pageAddress(),
    width: Math.round(innerWidth),
    element,
    words: text.slice(0, MOST.words),
    place: placeSelector(node).slice(0, MOST.place),
    selectors: selectorsOf(node),
    family: fontFamily.slice(0, MOST.line),
    face: face?.slice(0, MOST.line) ?? null,
    size: px(style.fontSize),
    weight: Number(fontWeight),
    style: fontStyle.slice(0, 100),
    lineHeight: lineHeight === 'normal' ? null : px(lineHeight),
    letterSpacing: px(style.letterSpacing),
    colour: color.slice(0, MOST.line),
    ground: 'colour' in background ? background.colour : null,
    measure: charactersALine(node, (node.textContent ?? '').trim().length),
    source: node.closest(`[${SOURCE}]`)?.getAttribute(SOURCE)?.slice(0, MOST.line) ?? null,
  };
}

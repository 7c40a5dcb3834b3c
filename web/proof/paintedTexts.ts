import type { PaintedText } from '@lettera/core/check';
import type { ProjectDocument } from '@lettera/core/document';
import { ownText, textElementsOf } from '../reader/domTree';
import { Grounds } from '../reader/grounds';
import { isFar } from './nearFirst';
import { styledElement } from './pageText';

/** Texts of a page that are looked at. */
const MOST_TEXTS = 600;
/** Characters that tell which text it is. */
const WORDS = 30;

/** What cannot be used need not be read. WCAG 2.2, 1.4.3, inactive user interface components. */
const INACTIVE = ':disabled, [aria-disabled="true"], :disabled *, [aria-disabled="true"] *';

/**
 * The colours of the texts of a page and the grounds that are painted behind them, by the style of each, each pair
 * once; what stands on no one colour is left out.
 *
 * @param at the ground that the page is shown on, and the state that it is in
 */
export function paintedTexts(
  document: ProjectDocument,
  page: Document,
  at: Pick<PaintedText, 'side' | 'state'>,
): Record<string, PaintedText[]> {
  const found = new Map<string, Map<string, PaintedText>>();
  const grounds = new Grounds();
  const near = textElementsOf(page).filter((node) => !isFar(node) && !node.matches(INACTIVE));
  for (const node of near.slice(0, MOST_TEXTS)) {
    const style = document.elements[styledElement(document, node)?.key ?? '']?.style;
    const computed = page.defaultView?.getComputedStyle(node);
    const ground = grounds.of(node);
    if (!style || !computed || 'unknown' in ground || computed.visibility === 'hidden') continue;
    const { color, fontSize, fontWeight } = computed;
    const key = `${color} ${ground.colour} ${fontSize} ${fontWeight}`;
    const known = found.get(style) ?? new Map<string, PaintedText>();
    found.set(style, known);
    if (known.has(key)) continue;
    known.set(key, {
      ...at,
      colour: color,
      ground: ground.colour,
      size: parseFloat(fontSize),
      weight: Number(fontWeight),
      words: ownText(node).slice(0, WORDS),
    });
  }
  return Object.fromEntries([...found].map(([style, all]) => [style, [...all.values()]]));
}

/** What was found in several states together. */
export function paintedTogether(
  all: readonly Record<string, PaintedText[]>[],
): Record<string, PaintedText[]> {
  const together: Record<string, PaintedText[]> = {};
  for (const one of all) {
    for (const [style, texts] of Object.entries(one)) {
      (together[style] ??= []).push(...texts);
    }
  }
  return together;
}

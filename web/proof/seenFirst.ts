import { BODY_STYLE, type ProjectDocument } from '@lettera/core/document';
import { styledElement, textRunsOf } from './pageText';

/**
 * How much of what is seen first of a page each text element sets: size² × characters of the text that stands
 * in the window before anything is scrolled, CSS px².
 */
export function areasSeenFirst(document: ProjectDocument, page: Document): Map<string, number> {
  const { innerHeight = 0, innerWidth = 0 } = page.defaultView ?? {};
  const areas = new Map<string, number>();
  const range = page.createRange();
  for (const run of textRunsOf(page)) {
    const { parentElement } = run;
    if (!parentElement || parentElement.closest('script, style')) continue;
    range.selectNodeContents(run);
    const { top, bottom, left, right, height } = range.getBoundingClientRect();
    if (height === 0 || right <= 0 || left >= innerWidth || bottom <= 0 || top >= innerHeight)
      continue;
    const seen = (Math.min(bottom, innerHeight) - Math.max(top, 0)) / height;
    const style = page.defaultView?.getComputedStyle(parentElement);
    if (style?.visibility === 'hidden') continue;
    const size = parseFloat(style?.fontSize ?? '0');
    const key = styledElement(document, parentElement)?.key ?? BODY_STYLE;
    areas.set(key, (areas.get(key) ?? 0) + seen * run.data.trim().length * size ** 2);
  }
  return areas;
}

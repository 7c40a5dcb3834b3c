import { composited } from '@lettera/core/css';

/** The ground that a text stands on: a colour, or what keeps it from being known. */
export type Ground = { colour: string } | { unknown: string };

const CLEAR = /^(transparent|rgba\(0, 0, 0, 0\))$/;

/** What lies behind an element's text: the layers of what is around it, one over the other, on the page's white. */
export function groundOf(node: Element): Ground {
  const layers: string[] = [];
  for (let at: Element | null = node; at; at = at.parentElement) {
    const style = at.ownerDocument.defaultView?.getComputedStyle(at);
    if (!style) break;
    if (style.backgroundImage !== 'none') {
      return {
        unknown: style.backgroundImage.includes('gradient')
          ? 'it stands on a gradient'
          : 'it stands on a picture',
      };
    }
    if (style.opacity !== '1') return { unknown: 'it is partly transparent as a whole' };
    if (style.mixBlendMode !== 'normal') return { unknown: 'it is blended with what is behind it' };
    if (!CLEAR.test(style.backgroundColor)) {
      layers.unshift(style.backgroundColor);
      if (!/rgba|\//.test(style.backgroundColor)) break;
    }
  }
  return { colour: composited('#fff', layers) };
}

import { composited } from '@lettera/core/css';

/** The ground that a text stands on: a colour, or what keeps it from being known. */
export type Ground = { colour: string } | { unknown: string };

const CLEAR = /^(transparent|rgba\(0, 0, 0, 0\))$/;
const PAPER: Ground = { colour: '#fff' };

/** The grounds of a page's elements: what is around several is looked at once. */
export class Grounds {
  readonly #known = new Map<Element, Ground>();

  /** What lies behind an element's text: the layers of what is around it, one over the other, on the page's white. */
  of(node: Element): Ground {
    const passed: Element[] = [];
    let ground: Ground = PAPER;
    for (let at: Element | null = node; at; at = at.parentElement) {
      const known = this.#known.get(at);
      if (known) {
        ground = known;
        break;
      }
      passed.push(at);
    }
    for (const at of passed.reverse()) {
      ground = over(ground, at.ownerDocument.defaultView?.getComputedStyle(at));
      this.#known.set(at, ground);
    }
    return ground;
  }
}

/** The ground in an element that stands on one. */
function over(ground: Ground, style: CSSStyleDeclaration | undefined): Ground {
  if (!style) return ground;
  const { backgroundImage, backgroundColor, opacity, mixBlendMode } = style;
  if (backgroundImage !== 'none') {
    return {
      unknown: backgroundImage.includes('gradient')
        ? 'it stands on a gradient'
        : 'it stands on a picture',
    };
  }
  if (opacity !== '1') return { unknown: 'it is partly transparent as a whole' };
  if (mixBlendMode !== 'normal') return { unknown: 'it is blended with what is behind it' };
  if (CLEAR.test(backgroundColor)) return ground;
  if (!/rgba|\//.test(backgroundColor)) return { colour: composited('#fff', [backgroundColor]) };
  return 'unknown' in ground ? ground : { colour: composited(ground.colour, [backgroundColor]) };
}

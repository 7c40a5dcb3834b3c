import { suggestedFor } from '../style/lineHeightOf';
import { roleOf } from '../style/lineMeasure';
import { stylesInUse } from '../style/usage';
import { resolveInUse } from '../style/resolve';
import { px, styleName, type Mark, type Rule } from './mark';

/** A set line height is doubted when it is this much under or over what is suggested, as multiples. */
const DOUBT = { under: 0.2, over: 0.3 };

/** Lines from which text other than headings and running text shows its line height. */
const RUNS_ON = 1.5;

/** Line heights too tight or too loose for the size, the face and the measure. */
export const lineHeight: Rule = (document, evidence) =>
  stylesInUse(document).flatMap((style): Mark[] => {
    const { lineHeight: resolved } = resolveInUse(document, style);
    const suggested = suggestedFor(document, style, evidence);
    if (!suggested) return [];
    // A label or a button of one line shows nothing of its line height.
    const longest = evidence.page?.texts[style]?.longest ?? 0;
    const runsOn = longest / (suggested.measure ?? Infinity) >= RUNS_ON;
    if (roleOf(document, style) === 'other' && !runsOn) return [];
    const { value } = resolved;
    const tight = value < suggested.least - DOUBT.under;
    if (!tight && value <= suggested.most + DOUBT.over) return [];
    const end = tight ? 'small' : 'large';
    const { width } = document.scale[end];
    const from = suggested.measuredAt === end ? 'face, size and measure' : 'face and size';
    const size = suggested.sizes[end];
    return [
      {
        rule: 'line-height',
        stage: 'scale',
        style,
        width,
        message: `${styleName(document, style)}: lines stand too ${tight ? 'close' : 'far apart'} where it runs to two or more. At ${width} px, ${value} × ${px(size)} is ${px(value * size)} a line; ${suggested.value} is suggested for its ${from}.`,
        remedy: `Set its line height to ${suggested.value}.`,
        fix: {
          does: `Set its line height to ${suggested.value}`,
          patch: [{ op: 'add', path: `/styles/${style}/set/lineHeight`, value: suggested.value }],
        },
      },
    ];
  });

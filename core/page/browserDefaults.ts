import { selectorTexts, subjectsOf } from '../css/selector';
import { onceFor } from '../document/once';
import { PROPERTIES, PROPERTY_NAMES, type PropertyName } from '../document/property';

/** Controls, on which browsers set the whole of `font`, alignment and where lines break. HTML §15.5. */
const CONTROLS = 'input, select, button, textarea';

/** Elements on which browsers' own style sheets set a property of type, as a selector. HTML §15.3. */
export const BROWSER_SETS: Readonly<Record<string, string>> = {
  ...Object.fromEntries(
    PROPERTY_NAMES.map((name) => PROPERTIES[name])
      .filter(({ inFontShorthand }) => inFontShorthand)
      .map(({ css }) => [css, CONTROLS]),
  ),
  'font-family': `code, kbd, samp, tt, pre, listing, xmp, plaintext, ${CONTROLS}`,
  'font-size': `h1, h2, h3, h4, h5, h6, small, big, sub, sup, code, kbd, samp, tt, pre, ${CONTROLS}, rt, font[size], :is(article, aside, nav, section) h1`,
  'font-weight': `h1, h2, h3, h4, h5, h6, b, strong, th, ${CONTROLS}, optgroup, table`,
  'font-style': `i, em, cite, var, dfn, address, ${CONTROLS}, table`,
  'line-height': `${CONTROLS}, rt`,
  'letter-spacing': CONTROLS,
  'text-transform': CONTROLS,
  'text-align': `${CONTROLS}, caption, th`,
  'text-wrap': `${CONTROLS}, pre, listing, xmp, plaintext`,
  color: `a:any-link, mark, ${CONTROLS}, option, dialog, font[color]`,
};

/** Properties that browsers set on elements of a name, whatever else is asked of them, by that name. */
const SET_ON = new Map<string, PropertyName[]>();
for (const property of PROPERTY_NAMES) {
  for (const text of selectorTexts(BROWSER_SETS[PROPERTIES[property].css] ?? '')) {
    const name = subjectsOf(text).at(-1)?.element ?? '';
    SET_ON.set(name, [...(SET_ON.get(name) ?? []), property]);
  }
}
const SET_ON_ANY = [...SET_ON.values()].flat();

/**
 * Properties that browsers' own style sheets set on what some selectors name, so that it does not inherit them. What
 * they name by something else than its name may be any element. Worked out once for a list of selectors.
 */
export const setByBrowsers = onceFor(
  (selectors: readonly string[]): ReadonlySet<PropertyName> =>
    new Set(
      selectors.flatMap(selectorTexts).flatMap((one) => {
        const name = subjectsOf(one).at(-1)?.element ?? null;
        return name === null ? SET_ON_ANY : (SET_ON.get(name) ?? []);
      }),
    ),
);

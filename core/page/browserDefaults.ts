import { selectorTexts, subjectsOf } from '../css/selector';
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
  'line-height': 'input, select, button, rt',
  'letter-spacing': CONTROLS,
  'text-transform': CONTROLS,
  'text-align': `${CONTROLS}, caption, th`,
  'text-wrap': `${CONTROLS}, pre, listing, xmp, plaintext`,
  color: `a:any-link, mark, ${CONTROLS}, option, font[color]`,
};

/** Names of elements on which browsers set a property, whatever else is asked of them. */
const namesSetOn = (property: PropertyName): string[] =>
  (BROWSER_SETS[PROPERTIES[property].css] ?? '').split(', ').filter((name) => /^\w+$/.test(name));

/** Properties that browsers' own style sheets set on what some selectors name, so that it does not inherit them. */
export function setByBrowsers(selectors: readonly string[]): ReadonlySet<PropertyName> {
  const subjects = selectors.flatMap(selectorTexts).map((one) => subjectsOf(one).at(-1)?.element);
  return new Set(
    PROPERTY_NAMES.filter((property) => {
      const names = namesSetOn(property);
      return subjects.some((element) => element && names.includes(element));
    }),
  );
}

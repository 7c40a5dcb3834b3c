/** Elements on which browsers' own style sheets set a property of type, as a selector. HTML §15.3. */
export const BROWSER_SETS: Readonly<Record<string, string>> = {
  'font-family':
    'code, kbd, samp, tt, pre, listing, xmp, plaintext, input, select, button, textarea',
  'font-size':
    'h1, h2, h3, h4, h5, h6, small, big, sub, sup, code, kbd, samp, tt, pre, input, select, button, textarea, rt, font[size], :is(article, aside, nav, section) h1',
  'font-weight':
    'h1, h2, h3, h4, h5, h6, b, strong, th, input, select, button, textarea, optgroup, table',
  'font-style': 'i, em, cite, var, dfn, address, input, select, button, textarea, table',
  'line-height': 'input, select, button, rt',
  'letter-spacing': 'input, select, button, textarea',
  'text-transform': 'input, select, button, textarea',
  color: 'a:any-link, mark, input, select, button, textarea, option, font[color]',
};

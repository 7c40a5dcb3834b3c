import { ident, string, url } from 'css-tree/utils';
import { TOKEN, tokensOf, type Token } from '../css';

/** How a style sheet asks for a file. */
export type CssRequest = 'import' | 'file';

/** Functions whose text is an address. CSS Values 4 §4.5, CSS Images 4 §2.4. */
const ADDRESS = /^(url|src)$/;
const IMAGE_SET = /^(-webkit-)?image-set$/;
const NOTHING = 'data:,';

const nameOf = (text: string): string => ident.decode(text.slice(0, -1)).toLowerCase();
const isBlank = ({ type }: Token): boolean =>
  type === TOKEN['WhiteSpace'] || type === TOKEN['Comment'];

/** A letter as it stands in a name, plainly or escaped: CSS Syntax 3 §4.3.7. */
const letter = (plain: string): string => {
  const [lower, upper] = [plain, plain.toUpperCase()].map((one) => one.charCodeAt(0).toString(16));
  return `(?:${plain}|\\\\(?:${plain}|0{0,4}(?:${lower}|${upper})(?:\\r\\n|[ \\t\\n\\r\\f])?))`;
};
/** `url(` in any spelling, or an escape that is none of its letters. */
const SPELT_URL = new RegExp(`${[...'url'].map(letter).join('')}\\(|\\\\[^]`, 'gi');

/**
 * A style sheet in which `url(` is written plainly: the tokenizer knows it by its letters alone. Where it is no
 * function, in a string or at the end of a longer name, it stands for the same letters.
 */
const plainUrls = (css: string): string =>
  css.includes('\\')
    ? css.replace(SPELT_URL, (found) => (found.endsWith('(') && found.length > 2 ? 'url(' : found))
    : css;

/**
 * A style sheet, or the declarations of a style attribute, as it is, with other addresses: everything it asks
 * for by `url()`, `src()`, `image-set()` and `@import`. Works on tokens, so that what is no CSS stays as it is.
 *
 * @param use gives the address to ask instead, or null for none
 */
export function cleanCss(
  css: string,
  use: (address: string, request: CssRequest) => string | null,
): string {
  const open: string[] = [];
  /** Whether the next thing to come is what an `@import` names. */
  let importing = false;
  const written = (address: string): string => {
    const request = importing ? 'import' : 'file';
    importing = false;
    return use(address, request) ?? NOTHING;
  };
  const clean = ({ type, text }: Token): string => {
    if (type === TOKEN['Url']) {
      return url.encode(written(url.decode(text.endsWith(')') ? text : `${text})`)));
    }
    const within = open.at(-1) ?? '';
    if (type === TOKEN['String'] && (importing || ADDRESS.test(within) || IMAGE_SET.test(within))) {
      return string.encode(written(string.decode(text)));
    }
    if (type === TOKEN['Function']) {
      open.push(nameOf(text));
      importing &&= ADDRESS.test(nameOf(text));
      return text;
    }
    if (type === TOKEN['LeftParenthesis']) open.push('(');
    if (type === TOKEN['RightParenthesis']) open.pop();
    importing =
      type === TOKEN['AtKeyword'] && ident.decode(text.slice(1)).toLowerCase() === 'import';
    return text;
  };
  return tokensOf(plainUrls(css))
    .map((token) => (isBlank(token) ? token.text : clean(token)))
    .join('');
}

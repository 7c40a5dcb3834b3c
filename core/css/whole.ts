import { tokenize, tokenTypes } from 'css-tree/tokenizer';

/** A token of CSS Syntax 3 §4, with the text it stands for. */
export interface Token {
  type: number;
  text: string;
}

export const TOKEN = tokenTypes;

export function tokensOf(source: string): Token[] {
  const tokens: Token[] = [];
  tokenize(source, (type, start, end) => tokens.push({ type, text: source.slice(start, end) }));
  return tokens;
}

const CLOSES: readonly (readonly [open: string, close: string])[] = [
  ['Function', 'RightParenthesis'],
  ['LeftParenthesis', 'RightParenthesis'],
  ['LeftSquareBracket', 'RightSquareBracket'],
  ['LeftCurlyBracket', 'RightCurlyBracket'],
];
const closing = new Map(CLOSES.map(([open, close]) => [TOKEN[open], TOKEN[close]]));
const closers = new Set(closing.values());

/** Tokens that are nothing by themselves. */
const BAD = new Set(['BadString', 'BadUrl', 'CDO', 'CDC'].map((name) => TOKEN[name]));

const endsOpen = ({ type, text }: Token): boolean =>
  (type === TOKEN['String'] &&
    // A quote behind a backslash closes nothing.
    (text.length < 2 || !/(?<!\\)(?:\\\\)*["']$/.test(text) || text.at(-1) !== text[0])) ||
  (type === TOKEN['Url'] && !text.endsWith(')')) ||
  (type === TOKEN['Comment'] && (text.length < 4 || !text.endsWith('*/')));

/** Whether every bracket, string and comment of a piece of CSS is closed. CSS Syntax 3 §5.4. */
export function isClosed(tokens: readonly Token[]): boolean {
  const open: (number | undefined)[] = [];
  for (const token of tokens) {
    if (BAD.has(token.type) || endsOpen(token)) return false;
    if (closing.has(token.type)) open.push(closing.get(token.type));
    else if (closers.has(token.type) && open.pop() !== token.type) return false;
  }
  const last = tokens.at(-1)?.text ?? '';
  // A backslash at the very end escapes whatever is written behind it.
  return open.length === 0 && !/(^|[^\\])(\\\\)*\\$/.test(last);
}

/** Whether a value or a selector ends where it ends: nothing that is written behind it becomes part of it. */
export const isWhole = (tokens: readonly Token[]): boolean =>
  isClosed(tokens) && tokens.every(({ type }) => type !== TOKEN['Semicolon']);

import { ident } from 'css-tree/utils';
import { TOKEN, tokensOf, type Token } from './whole';

/** A piece of a style sheet: a declaration, a rule with what is in it, or an at-rule with a block or without. */
export type Statement =
  | { kind: 'declaration'; property: string; value: string; important: boolean; line: number }
  | { kind: 'rule'; prelude: string; body: Statement[]; line: number }
  | { kind: 'at'; name: string; prelude: string; body: Statement[] | null; line: number };

/** Blocks that stand deeper in one another are left out. */
const DEEPEST = 100;
const IMPORTANT = /!\s*important$/i;

const OPENS = new Map<number | undefined, number | undefined>([
  [TOKEN['Function'], TOKEN['RightParenthesis']],
  [TOKEN['LeftParenthesis'], TOKEN['RightParenthesis']],
  [TOKEN['LeftSquareBracket'], TOKEN['RightSquareBracket']],
  [TOKEN['LeftCurlyBracket'], TOKEN['RightCurlyBracket']],
]);
const OPEN = TOKEN['LeftCurlyBracket'];
const CLOSE = TOKEN['RightCurlyBracket'];
const SEMICOLON = TOKEN['Semicolon'];
const COMMENT = TOKEN['Comment'];
const SPACE = TOKEN['WhiteSpace'];

/** Reads the structure of CSS as browsers do. CSS Syntax 3 §5.5, in the draft that nests rules. */
class StructureReader {
  readonly #tokens: Token[];
  readonly #lines: Int32Array;
  /** Of each opening token, the place of the one that closes it, or the end. */
  readonly #closing: Int32Array;
  #at = 0;

  constructor(css: string) {
    this.#tokens = tokensOf(css);
    this.#lines = new Int32Array(this.#tokens.length + 1);
    let line = 1;
    this.#tokens.forEach(({ text }, i) => {
      this.#lines[i] = line;
      for (let j = text.indexOf('\n'); j >= 0; j = text.indexOf('\n', j + 1)) line++;
    });
    this.#closing = this.#pairs();
  }

  #pairs(): Int32Array {
    const pairs = new Int32Array(this.#tokens.length).fill(this.#tokens.length);
    const open: number[] = [];
    this.#tokens.forEach(({ type }, i) => {
      const last = open.at(-1);
      if (OPENS.has(type)) open.push(i);
      else if (last !== undefined && OPENS.get(this.#tokens[last]?.type) === type) {
        pairs[last] = i;
        open.pop();
      }
    });
    return pairs;
  }

  #type = (): number | undefined => this.#tokens[this.#at]?.type;
  #line = (): number => this.#lines[this.#at] ?? 0;

  /** Goes over one component value: a token, or all that is in its brackets. */
  #skip(): void {
    this.#at = OPENS.has(this.#type()) ? (this.#closing[this.#at] ?? 0) + 1 : this.#at + 1;
  }

  #skipBlank(): void {
    while (this.#type() === SPACE || this.#type() === COMMENT) this.#at++;
  }

  #text = (from: number, to: number): string =>
    this.#tokens
      .slice(from, to)
      .map(({ type, text }) => (type === COMMENT ? '' : text))
      .join('')
      .trim();

  sheet(): Statement[] {
    const statements: Statement[] = [];
    while (this.#at < this.#tokens.length) {
      const type = this.#type();
      if (type === SPACE || type === COMMENT || type === TOKEN['CDO'] || type === TOKEN['CDC']) {
        this.#at++;
        continue;
      }
      const statement = type === TOKEN['AtKeyword'] ? this.#atRule(0) : this.#rule(0, false);
      if (statement) statements.push(statement);
    }
    return statements;
  }

  #atRule(depth: number): Statement | null {
    const line = this.#line();
    const name = ident.decode((this.#tokens[this.#at]?.text ?? '').slice(1)).toLowerCase();
    const start = ++this.#at;
    for (;;) {
      const type = this.#type();
      const ends = type === undefined || type === SEMICOLON || (depth > 0 && type === CLOSE);
      if (ends || type === OPEN) {
        const prelude = this.#text(start, this.#at);
        if (type === SEMICOLON) this.#at++;
        const body = type === OPEN ? this.#block(depth) : null;
        return { kind: 'at', name, prelude, body, line };
      }
      this.#skip();
    }
  }

  /** @param nested whether it stands in a rule, where a semicolon ends what is no rule */
  #rule(depth: number, nested: boolean): Statement | null {
    const line = this.#line();
    const start = this.#at;
    for (;;) {
      const type = this.#type();
      if (type === undefined) return null;
      if (nested && type === CLOSE) return null;
      if (nested && type === SEMICOLON) {
        this.#at++;
        return null;
      }
      if (type === OPEN) {
        const prelude = this.#text(start, this.#at);
        const body = this.#block(depth);
        return /^--[^\s]*\s*:/.test(prelude) ? null : { kind: 'rule', prelude, body, line };
      }
      this.#skip();
    }
  }

  /** What is in the block that opens here. */
  #block(depth: number): Statement[] {
    const end = this.#closing[this.#at] ?? this.#tokens.length;
    const body: Statement[] = [];
    if (depth >= DEEPEST) {
      this.#at = end + 1;
      return body;
    }
    this.#at++;
    while (this.#at < end) {
      const type = this.#type();
      if (type === SPACE || type === COMMENT || type === SEMICOLON) {
        this.#at++;
        continue;
      }
      const statement =
        type === TOKEN['AtKeyword']
          ? this.#atRule(depth + 1)
          : (this.#declaration() ?? this.#rule(depth + 1, true));
      if (statement) body.push(statement);
      // A bracket that closes nothing.
      else if (this.#type() === CLOSE && this.#at < end) this.#at++;
    }
    this.#at = end + 1;
    return body;
  }

  /** A declaration, or null and nothing read where there is none. */
  #declaration(): Statement | null {
    const start = this.#at;
    const line = this.#line();
    if (this.#type() !== TOKEN['Ident']) return null;
    const property = ident.decode(this.#tokens[start]?.text ?? '');
    this.#at++;
    this.#skipBlank();
    if (this.#type() !== TOKEN['Colon']) {
      this.#at = start;
      return null;
    }
    const from = ++this.#at;
    const isCustom = property.startsWith('--');
    let [blocks, others] = [0, 0];
    for (let type = this.#type(); type !== undefined; type = this.#type()) {
      if (type === SEMICOLON || type === CLOSE) break;
      if (type === OPEN) blocks++;
      else if (type !== SPACE && type !== COMMENT) others++;
      // Told as soon as it is sure: what follows is gone over once, and not again for each rule in it.
      if (!isCustom && blocks > 0 && (others > 0 || blocks > 1)) {
        this.#at = start;
        return null;
      }
      this.#skip();
    }
    const value = this.#text(from, this.#at);
    if (this.#type() === SEMICOLON) this.#at++;
    return {
      kind: 'declaration',
      property: isCustom ? property : property.toLowerCase(),
      value: value.replace(IMPORTANT, '').trim(),
      important: IMPORTANT.test(value),
      line,
    };
  }
}

/** The structure of a style sheet, whatever is wrong in it. */
export const structureOf = (css: string): Statement[] => new StructureReader(css).sheet();

/** The parts of css-tree that are loaded by themselves, so that its lexer does not come along. */
declare module 'css-tree/selector-parser' {
  export default function parse(source: string, options: { context: 'selectorList' }): CssNode;
}
declare module 'css-tree/tokenizer' {
  export function tokenize(
    source: string,
    onToken: (type: number, start: number, end: number) => void,
  ): void;
  export const tokenTypes: Readonly<Record<string, number>>;
}
declare module 'css-tree/parser' {
  import type { CssNode, ParseOptions } from 'css-tree';

  export default function parse(source: string, options?: ParseOptions): CssNode;
}
declare module 'css-tree/generator' {
  import type { CssNode } from 'css-tree';

  export default function generate(node: CssNode): string;
}
declare module 'css-tree/walker' {
  import type { walk } from 'css-tree';

  const walker: typeof walk;
  export default walker;
}
declare module 'css-tree/utils' {
  /** Text as CSS writes it, and back. */
  interface Coding {
    encode(text: string): string;
    decode(source: string): string;
  }
  export const ident: Coding;
  export const string: Coding;
  export const url: Coding;
}

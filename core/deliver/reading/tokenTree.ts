import { isPlainObject } from '../../document/decorators';

/** Bounds of what is read: more is no file of design tokens, or one that means ill. */
const MOST_CHARACTERS = 4_000_000;
const MOST_TOKENS = 5000;
const DEEPEST = 24;

/** A file that cannot be read as design tokens at all. */
export class TokensError extends Error {
  override readonly name = 'TokensError';
}

/** A token of a file: its path, its type, its value as written, and what goes with it. */
export interface Token {
  path: string;
  type: string | null;
  value: unknown;
  description: string | null;
  extensions: Record<string, unknown>;
}

/** A value that could not be resolved: what it names leads nowhere, or in a circle. */
export class AliasError extends Error {
  override readonly name = 'AliasError';
}

/** All tokens of a file, and the value of one of them. */
export class TokenTree {
  readonly tokens: readonly Token[];
  /** What the file as a whole says beside its tokens. */
  readonly extensions: Record<string, unknown>;
  readonly #byPath: Map<string, Token>;

  private constructor(root: Record<string, unknown>, tokens: Token[]) {
    this.tokens = tokens;
    this.extensions = isPlainObject(root['$extensions']) ? root['$extensions'] : {};
    this.#byPath = new Map(tokens.map((token) => [token.path, token]));
  }

  /**
   * Reads a file in the format of W3C Design Tokens, 2025.10 (§5 tokens, §6 groups: types are inherited).
   * @throws TokensError
   */
  static read(text: string): TokenTree {
    if (text.length > MOST_CHARACTERS) {
      throw new TokensError(
        `The file has ${text.length.toLocaleString('en')} characters; at most ${MOST_CHARACTERS.toLocaleString('en')} are read.`,
      );
    }
    let root: unknown;
    try {
      root = JSON.parse(text);
    } catch (error) {
      throw new TokensError(`The file is not JSON: ${(error as Error).message}.`);
    }
    if (!isPlainObject(root)) throw new TokensError('The file holds no object of design tokens.');
    const tokens: Token[] = [];
    walk(root, '', null, 0, tokens);
    if (tokens.length === 0) {
      throw new TokensError('The file holds no design token: nothing in it has a “$value”.');
    }
    return new TokenTree(root, tokens);
  }

  at(path: string): Token | null {
    return this.#byPath.get(path) ?? null;
  }

  /** The path that a value names, where it is an alias. §7. */
  aliasOf(value: unknown): string | null {
    const [, path] = /^\{([^{}]+)\}$/.exec(typeof value === 'string' ? value : '') ?? [];
    return path ?? null;
  }

  /** The value that an alias leads to, and the token that has it. @throws AliasError */
  resolve(value: unknown): { value: unknown; from: Token | null } {
    const seen = new Set<string>();
    let [found, from]: [unknown, Token | null] = [value, null];
    for (let path = this.aliasOf(found); path !== null; path = this.aliasOf(found)) {
      if (seen.has(path)) throw new AliasError(`“${path}” leads back to itself`);
      seen.add(path);
      const token = this.at(path);
      if (!token) throw new AliasError(`it names “${path}”, which is not in the file`);
      [found, from] = [token.value, token];
    }
    return { value: found, from };
  }
}

function walk(
  node: Record<string, unknown>,
  path: string,
  inherited: string | null,
  depth: number,
  tokens: Token[],
): void {
  if (depth > DEEPEST)
    throw new TokensError(`Groups stand more than ${DEEPEST} deep in one another.`);
  const type = typeof node['$type'] === 'string' ? node['$type'] : inherited;
  if (Object.hasOwn(node, '$value')) {
    if (tokens.length >= MOST_TOKENS) {
      throw new TokensError(`The file holds more than ${MOST_TOKENS} tokens.`);
    }
    const description = node['$description'];
    tokens.push({
      path,
      type,
      value: node['$value'],
      description: typeof description === 'string' ? description : null,
      extensions: isPlainObject(node['$extensions']) ? node['$extensions'] : {},
    });
    return;
  }
  for (const [name, child] of Object.entries(node)) {
    if (name.startsWith('$') || !isPlainObject(child)) continue;
    walk(child, path ? `${path}.${name}` : name, type, depth + 1, tokens);
  }
}

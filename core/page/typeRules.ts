import {
  selectorTexts,
  specificityOf,
  structureOf,
  type Specificity,
  type Statement,
} from '../css';

/** A condition that a rule stands under, or an import. */
export interface Condition {
  kind: 'media' | 'supports' | 'container';
  text: string;
}

/** One of a rule's selectors, whole: what it is nested in is part of it. */
export interface RuleSelector {
  text: string;
  specificity: Specificity;
}

/**
 * The part of a page that a rule is for: what stands in an element that `root` meets, and in none that `limit`
 * meets within it. CSS Cascade 6 §2.5.
 */
export interface Scope {
  root: string;
  limit: string | null;
}

export interface TypeDeclaration {
  /** The property as it is declared: `font` and `all` set several. */
  property: string;
  value: string;
  important: boolean;
}

/** A rule of a page's style sheets that sets type. */
export interface TypeRule {
  /** Name of the sheet that it stands in, and the line in it, from 1. */
  sheet: string;
  line: number;
  selectors: RuleSelector[];
  conditions: Condition[];
  /** Names of the cascade layers that it stands in, outermost first; null outside all. */
  layer: string[] | null;
  /** Left out for the whole page. */
  scope?: Scope;
  declarations: TypeDeclaration[];
}

/** A cascade layer that is named or opened, in the order of the sheets: the order decides. */
export interface LayerStatement {
  layer: string[];
  conditions: Condition[];
}

/** What a page's style sheets do to type, in the order of the cascade. */
export interface TypeRules {
  rules: TypeRule[];
  layers: LayerStatement[];
}

/** The same as it was read. */
export interface ReadRules extends TypeRules {
  /** How many rules are left out, since they or what stands around them is longer than any site writes. */
  leftOut: number;
}

/** A style sheet, and what stands around all of it. */
export interface SheetText {
  /** Its path. */
  name: string;
  text: string;
  media: string;
}

export interface ReadOptions {
  /** Properties that count as type, beside `font` and `all`. */
  properties: ReadonlySet<string>;
  /** An imported sheet by the address in an `@import`, and the name of the sheet that it stands in; null for none. */
  imported: (address: string, from: string) => SheetText | null;
}

/** Sheets that import one another end here. */
const DEEPEST_IMPORT = 30;
/** Rules and names of layers that are kept: more than any site has. */
const MOST_RULES = 60_000;
/**
 * Characters of one selector with all that it is nested in, and of one condition; selectors of one rule; and
 * parts of the name of a layer. What is nested repeats what stands around it, so that a short text can say more
 * than can be held.
 */
const LONGEST = { text: 4000, selectors: 4000, layer: 40 };
/** Characters of all selectors and conditions together, each as often as it is repeated. */
const MOST_TEXT = 16 * 1024 * 1024;

const GENERAL = new Set(['font', 'all']);

interface Place {
  sheet: string;
  conditions: Condition[];
  layer: string[] | null;
  /** Selectors of the rule that this one is nested in. */
  parents: string[] | null;
  scope?: Scope;
  imports: readonly string[];
}

type AtRule = Extract<Statement, { kind: 'at' }>;
type Rule = Extract<Statement, { kind: 'rule' }>;

const mayPrecedeImports = (statement: Statement): boolean =>
  statement.kind === 'at' &&
  (/^(import|charset)$/.test(statement.name) || (statement.name === 'layer' && !statement.body));

/** Changes a selector, but for what is quoted or escaped in it. */
function unquoted(text: string, change: (plain: string) => string): string {
  const held: string[] = [];
  const plain = text.replace(/"(?:\\.|[^"\\])*"|'(?:\\.|[^'\\])*'|\\&/g, (quoted) => {
    held.push(quoted);
    return `\0${held.length - 1}\0`;
  });
  return change(plain).replace(/\0(\d+)\0/g, (_all, at: string) => held[Number(at)] ?? '');
}

/** What `&` stands for in a rule that is nested in one with these selectors. CSS Nesting 1 §3.1. */
const parentOf = (selectors: readonly string[]): string =>
  selectors.length === 1 && !/[\s>+~,]/.test(selectors[0] ?? '')
    ? (selectors[0] ?? '')
    : `:is(${selectors.join(', ')})`;

/** A nested selector, with what `&` stands for: relative without it. */
const nested = (text: string, parent: string): string =>
  unquoted(text, (plain) =>
    plain.includes('&') ? plain.replaceAll('&', parent) : `${parent} ${plain}`,
  );

/** A selector in a scope, which `:scope` and `&` stand for: it is not relative to it. CSS Cascade 6 §2.5.3. */
const scoped = (text: string, { root }: Scope): string =>
  unquoted(text, (plain) => plain.replace(/&|:scope(?![\w-])/g, `:where(${root})`));

class Reader {
  readonly rules: TypeRule[] = [];
  readonly layers: LayerStatement[] = [];
  leftOut = 0;
  #unnamed = 0;
  /** Characters of the selectors and conditions that are kept. */
  #text = 0;

  constructor(private readonly options: ReadOptions) {}

  sheet({ name, text, media }: SheetText, place: Place): void {
    const conditions = media
      ? [...place.conditions, { kind: 'media' as const, text: media }]
      : place.conditions;
    const here = { ...place, sheet: name, conditions };
    const statements = structureOf(text);
    // Imports stand before everything but names of layers. CSS Cascade 5 §2.
    const first = statements.findIndex((statement) => !mayPrecedeImports(statement));
    for (const statement of first < 0 ? statements : statements.slice(0, first)) {
      if (statement.kind !== 'at') continue;
      if (statement.name === 'import') this.#import(statement.prelude, here);
      else this.#atRule(statement, here);
    }
    this.#block(first < 0 ? [] : statements.slice(first), here);
  }

  #block(statements: readonly Statement[], place: Place): void {
    for (const statement of statements) {
      if (statement.kind === 'rule') this.#rule(statement, place);
      if (statement.kind === 'at') this.#atRule(statement, place);
    }
  }

  #rule({ prelude, body, line }: Rule, place: Place): void {
    const own = selectorTexts(prelude);
    const { parents } = place;
    if (own.length === 0) return;
    const parent = parents && parentOf(parents);
    const isLong = ({ length }: string) => length > LONGEST.text;
    // Before what it repeats is written out, and after it: `& & &` is three times what it stands for.
    if (own.length > LONGEST.selectors || own.some(isLong) || (parent && isLong(parent))) {
      this.#leaveOut(body);
      return;
    }
    const texts = parent ? own.map((text) => nested(text, parent)) : own;
    if (texts.some(isLong)) {
      this.#leaveOut(body);
      return;
    }
    this.#declarations(body, texts, line, place);
    this.#block(body, { ...place, parents: texts });
  }

  /** Counts a rule that is left out, and those in it. */
  #leaveOut(body: readonly Statement[] | null): void {
    this.leftOut++;
    const waiting = [...(body ?? [])];
    for (let next = waiting.pop(); next; next = waiting.pop()) {
      if (next.kind === 'declaration') continue;
      if (next.kind === 'rule') this.leftOut++;
      for (const inner of next.body ?? []) waiting.push(inner);
    }
  }

  #declarations(
    body: readonly Statement[],
    selectors: readonly string[],
    line: number,
    place: Place,
  ): void {
    const declarations = body.flatMap((statement): TypeDeclaration[] => {
      if (statement.kind !== 'declaration') return [];
      const { property, value, important } = statement;
      if (!GENERAL.has(property) && !this.options.properties.has(property)) return [];
      return [{ property, value, important }];
    });
    if (declarations.length === 0) return;
    const { sheet, conditions, layer, scope } = place;
    const texts = selectors.map((text) => (scope ? scoped(text, scope) : text));
    const length = [...texts, ...conditions.map(({ text }) => text)].reduce(
      (sum, text) => sum + text.length,
      0,
    );
    if (this.rules.length >= MOST_RULES || this.#text + length > MOST_TEXT) {
      this.leftOut++;
      return;
    }
    this.#text += length;
    this.rules.push({
      sheet,
      line,
      selectors: texts.map((text, i) => ({ text, specificity: specificityOf(selectors[i] ?? '') })),
      conditions,
      layer,
      ...(scope ? { scope } : {}),
      declarations,
    });
  }

  #atRule(rule: AtRule, place: Place): void {
    const { name, prelude, body } = rule;
    if (prelude.length > LONGEST.text) {
      this.#leaveOut(body);
      return;
    }
    if (name === 'media' || name === 'supports' || name === 'container') {
      this.#nestedBlock(rule, {
        ...place,
        conditions: [...place.conditions, { kind: name, text: prelude }],
      });
    } else if (name === 'layer') {
      this.#layer(rule, place);
    } else if (name === 'scope') {
      const [, root, limit = null] = /^\(([^]*?)\)\s*(?:to\s*\(([^]*)\))?$/.exec(prelude) ?? [];
      const inner = root ? { ...place, parents: null, scope: { root, limit } } : place;
      this.#block(body ?? [], inner);
    }
  }

  /** Declarations that stand in a conditional within a rule are of that rule. CSS Nesting 1 §3.3. */
  #nestedBlock({ body, line }: AtRule, place: Place): void {
    if (place.parents && body) this.#declarations(body, place.parents, line, place);
    this.#block(body ?? [], place);
  }

  #layer(rule: AtRule, place: Place): void {
    const outer = place.layer ?? [];
    const { conditions } = place;
    const names = rule.prelude
      .split(',')
      .map((one) => one.trim())
      .filter(Boolean);
    const inner = (name: string) => [...outer, ...name.split('.').map((part) => part.trim())];
    if (!rule.body) {
      for (const name of names) this.#nameLayer(inner(name), conditions);
      return;
    }
    const layer = names[0] ? inner(names[0]) : [...outer, this.#newLayer()];
    if (!this.#nameLayer(layer, conditions)) {
      this.#leaveOut(rule.body);
      return;
    }
    this.#nestedBlock(rule, { ...place, layer });
  }

  #newLayer = (): string => `(unnamed ${++this.#unnamed})`;

  /** @returns whether it is kept */
  #nameLayer(layer: string[], conditions: Condition[]): boolean {
    if (layer.length > LONGEST.layer || this.layers.length >= MOST_RULES) return false;
    this.layers.push({ layer, conditions });
    return true;
  }

  /** CSS Cascade 5 §2: `@import <url> [layer | layer(…)]? [supports(…)]? <media>`. */
  #import(prelude: string, place: Place): void {
    if (prelude.length > LONGEST.text) return;
    const [whole, quoted, bare] =
      /^(?:url\(\s*)?(?:"([^"]*)"|'[^']*')\s*\)?|^url\(\s*([^)\s]*)\s*\)/.exec(prelude) ?? [];
    if (whole === undefined) return;
    const address = quoted ?? bare ?? whole.replace(/^url\(\s*|\s*\)$/g, '').slice(1, -1);
    let rest = prelude.slice(whole.length).trim();
    let { layer } = place;
    const [layered, name] = /^layer(?:\(\s*([^)]*)\s*\))?(?=\s|$)/i.exec(rest) ?? [];
    const conditions = [...place.conditions];
    if (layered !== undefined) {
      const named = name ? name.split('.').map((part) => part.trim()) : [this.#newLayer()];
      layer = [...(place.layer ?? []), ...named];
      if (!this.#nameLayer(layer, conditions)) return;
      rest = rest.slice(layered.length).trim();
    }
    const supports = /^supports\(((?:[^()]|\([^()]*\))*)\)/i.exec(rest);
    if (supports) {
      const condition = supports[1]?.trim() ?? '';
      const text = /^\(|^not\b|^selector\(/i.test(condition) ? condition : `(${condition})`;
      conditions.push({ kind: 'supports', text });
      rest = rest.slice(supports[0].length).trim();
    }
    const sheet = this.options.imported(address, place.sheet);
    if (!sheet || place.imports.includes(sheet.name) || place.imports.length >= DEEPEST_IMPORT)
      return;
    this.sheet(
      { ...sheet, media: rest },
      { ...place, layer, conditions, imports: [...place.imports, sheet.name] },
    );
  }
}

/**
 * Reads what a page's style sheets do to type, in the order in which the cascade takes them: conditions,
 * layers, imports and nesting are resolved as far as they can be without the page. What a browser would leave
 * out because it does not know it is left to whoever has one.
 */
export function readTypeRules(sheets: readonly SheetText[], options: ReadOptions): ReadRules {
  const reader = new Reader(options);
  for (const sheet of sheets) {
    reader.sheet(sheet, {
      sheet: sheet.name,
      conditions: [],
      layer: null,
      parents: null,
      imports: [sheet.name],
    });
  }
  const { rules, layers, leftOut } = reader;
  return { rules, layers, leftOut };
}

import { formatCss } from '../../css/culori';
import { isCssColour } from '../../css';
import { isPlainObject } from '../../document/decorators';
import { freeKey } from '../../document/faces';
import type { Patch } from '../../document/patch';
import type { ProjectDocument } from '../../document/projectDocument';
import { GENERICS, type Generic } from '../../document/vocabulary';
import { ROOT_SIZE } from '../../scale/lengths';
import { stepsOf } from '../../scale/steps';
import { slug } from '../fileName';
import type { ReadTokens, Unused } from './outcome';
import { AliasError, type Token, type TokenTree } from './tokenTree';

/** Words for weights. Design Tokens 2025.10 §8.4. */
const WEIGHT_WORDS: Readonly<Record<string, number>> = {
  thin: 100,
  hairline: 100,
  'extra-light': 200,
  'ultra-light': 200,
  light: 300,
  normal: 400,
  regular: 400,
  book: 400,
  medium: 500,
  'semi-bold': 600,
  'demi-bold': 600,
  bold: 700,
  'extra-bold': 800,
  'ultra-bold': 800,
  black: 900,
  heavy: 900,
  'extra-black': 950,
  'ultra-black': 950,
};
/** Colour spaces of the format that CSS calls otherwise. Design Tokens Color 2025.10 §4. */
const SPACE_IDS = ['srgb', 'srgb-linear', 'display-p3', 'a98-rgb', 'prophoto-rgb', 'rec2020'];
const BY_FUNCTION = ['hsl', 'hwb', 'lab', 'lch', 'oklab', 'oklch'];

/** Names of families that are none. */
const isGeneric = (name: string): name is Generic => GENERICS.some((one) => one === name);

/** Why a value is not used. */
class NotUsable extends Error {}

/** A colour in CSS: from text, or from components in a space. */
function colourCss(value: unknown): string {
  const said = isPlainObject(value) ? fromComponents(value) : value;
  if (typeof said === 'string' && isCssColour(said)) return said;
  throw new NotUsable('it is no colour that can be measured');
}

function fromComponents({
  colorSpace,
  components,
  alpha = 1,
  hex,
}: Record<string, unknown>): unknown {
  if (typeof colorSpace !== 'string' || !Array.isArray(components)) return hex;
  const numbers = components.map((one) => (one === 'none' ? 'none' : Number(one)));
  if (numbers.some((one) => one !== 'none' && !Number.isFinite(one))) return hex;
  const over = typeof alpha === 'number' && alpha < 1 ? ` / ${alpha}` : '';
  if (colorSpace === 'srgb' && over === '') {
    const [r = 0, g = 0, b = 0] = numbers.map((one) => (one === 'none' ? 0 : Number(one)));
    return typeof hex === 'string' ? hex : formatCss({ mode: 'rgb', r, g, b });
  }
  if (SPACE_IDS.includes(colorSpace)) return `color(${colorSpace} ${numbers.join(' ')}${over})`;
  if (!BY_FUNCTION.includes(colorSpace)) return hex;
  const percents = colorSpace === 'hsl' || colorSpace === 'hwb';
  const parts = numbers.map((one, i) => (percents && i > 0 && one !== 'none' ? `${one}%` : one));
  return `${colorSpace}(${parts.join(' ')}${over})`;
}

/** A dimension in CSS px: of the format, or as text in px or rem. */
function sizePx(value: unknown): number {
  const [number, unit] = isPlainObject(value)
    ? [value['value'], value['unit']]
    : (/^(-?[\d.]+)(px|rem)$/.exec(String(value))?.slice(1) ?? []);
  const size = Number(number);
  if (!Number.isFinite(size) || (unit !== 'px' && unit !== 'rem')) {
    throw new NotUsable('it is no length in px or rem');
  }
  return unit === 'rem' ? size * ROOT_SIZE : size;
}

function weightOf(value: unknown): number {
  const weight = typeof value === 'string' ? WEIGHT_WORDS[value.toLowerCase()] : value;
  if (typeof weight === 'number' && weight >= 1 && weight <= 1000) return Math.round(weight);
  throw new NotUsable(`“${String(value)}” is no weight`);
}

function familiesOf(value: unknown): string[] {
  const names = Array.isArray(value) ? value : [value];
  if (names.length > 0 && names.every((name) => typeof name === 'string' && name !== '')) {
    return names as string[];
  }
  throw new NotUsable('it names no family');
}

/** Reads another’s file piece by piece into a project: what is new is added, and nothing that is there goes. */
class Reading {
  readonly patch: Patch = [];
  readonly unused: Unused[] = [];
  readonly counts = { colours: 0, voices: 0, styles: 0 };
  readonly #voices = new Map<string, string>();
  readonly #keys: Record<'colours' | 'voices' | 'styles', Set<string>>;

  constructor(
    readonly document: ProjectDocument,
    readonly tree: TokenTree,
  ) {
    const { colours, voices, styles } = document;
    this.#keys = {
      colours: new Set(Object.keys(colours)),
      voices: new Set(Object.keys(voices)),
      styles: new Set(Object.keys(styles)),
    };
  }

  #add(part: 'colours' | 'voices' | 'styles', name: string, value: object): string {
    const key = freeKey(this.#keys[part], slug(name) || part.slice(0, -1));
    this.#keys[part].add(key);
    this.counts[part]++;
    const called = name.replaceAll('.', ' ').slice(0, 60);
    this.patch.push({ op: 'add', path: `/${part}/${key}`, value: { name: called, ...value } });
    return key;
  }

  /** Tries to use a token; what keeps it from being used is reported. */
  use(token: Token, work: (value: unknown) => void): void {
    try {
      work(this.tree.resolve(token.value).value);
    } catch (error) {
      if (!(error instanceof NotUsable || error instanceof AliasError)) throw error;
      this.unused.push({ path: token.path, why: error.message });
    }
  }

  colour({ path }: Token, value: unknown): void {
    const css = colourCss(value);
    this.#add('colours', path, { light: css, dark: css });
  }

  /** The voice that holds a list of families: the project’s own where one has the first of them. */
  voice(name: string, value: unknown): string {
    const families = familiesOf(value);
    const list = families.join(', ');
    const known = this.#voices.get(list);
    if (known !== undefined) return known;
    const [first = ''] = families;
    const family =
      Object.entries(this.document.case).find(([, one]) => one.name === first)?.[0] ?? null;
    const seated = Object.entries(this.document.voices).find(
      ([, seat]) => family !== null && seat.family === family,
    )?.[0];
    if (family === null && !isGeneric(first)) {
      this.unused.push({
        path: name,
        why: `${first} is not in the case: the voice stays without it`,
      });
    }
    const key =
      seated ??
      this.#add('voices', name, {
        family,
        generic: families.findLast(isGeneric) ?? 'sans-serif',
        fallback: null,
      });
    this.#voices.set(list, key);
    return key;
  }

  style({ path, description }: Token, value: unknown): void {
    if (!isPlainObject(value)) throw new NotUsable('it is no bundle of typographic values');
    const part = (name: string) => {
      const said = value[name];
      if (said === undefined) return undefined;
      const found = this.tree.resolve(said);
      return { ...found, named: this.tree.aliasOf(said) };
    };
    const set: Record<string, string | number> = {};
    const [family, size, weight, line, spacing] = [
      part('fontFamily'),
      part('fontSize'),
      part('fontWeight'),
      part('lineHeight'),
      part('letterSpacing'),
    ];
    if (family) set['voice'] = this.voice(family.named ?? path, family.value);
    if (weight) set['weight'] = weightOf(weight.value);
    const px = size ? sizePx(size.value) : null;
    if (px !== null) set['step'] = this.#step(path, px);
    if (line) set['lineHeight'] = this.#lineHeight(line.value, px);
    if (spacing && px) set['letterSpacing'] = Number((sizePx(spacing.value) / px).toFixed(4));
    this.#add('styles', description ?? path, { follows: null, set });
  }

  /** The step of the project’s scale that is nearest to a size, told where it is another. */
  #step(path: string, px: number): number {
    const steps = stepsOf(this.document.scale);
    const near = steps.reduce((best, one) =>
      Math.abs(one.large - px) < Math.abs(best.large - px) ? one : best,
    );
    if (Math.abs(near.large - px) > 0.5) {
      this.unused.push({
        path: `${path}.fontSize`,
        why: `no step of the scale has ${Number(px.toFixed(2))} px: it is set to ${near.name}, ${Number(near.large.toFixed(1))} px`,
      });
    }
    return near.number;
  }

  /** A line height as a number: of the format, or a length over the size that goes with it. */
  #lineHeight(value: unknown, px: number | null): number {
    const factor = typeof value === 'number' ? value : px ? sizePx(value) / px : NaN;
    if (factor >= 0.5 && factor <= 4) return Number(factor.toFixed(4));
    throw new NotUsable(`“${JSON.stringify(value)}” is no line height`);
  }
}

const counted = (of: number, one: string): string[] =>
  of === 0 ? [] : [`${of} ${of === 1 ? one : `${one}s`}`];

/** Types that are part of others here, and say nothing by themselves. */
const PARTS = new Set(['dimension', 'number', 'fontWeight']);

/**
 * Reads a file of another’s: colours, families and typographic values are added beside what the project has.
 * Sizes become the nearest steps of its scale.
 */
export function readOthers(document: ProjectDocument, tree: TokenTree): ReadTokens {
  const reading = new Reading(document, tree);
  const named = new Set(
    tree.tokens.flatMap(({ value }) =>
      [value, ...(isPlainObject(value) ? Object.values(value) : [])].flatMap(
        (one) => tree.aliasOf(one) ?? [],
      ),
    ),
  );
  for (const token of tree.tokens) {
    switch (token.type) {
      case 'color':
        reading.use(token, (value) => reading.colour(token, value));
        break;
      case 'fontFamily':
        reading.use(token, (value) => void reading.voice(token.path, value));
        break;
      case 'typography':
        reading.use(token, (value) => reading.style(token, value));
        break;
      default:
        if (token.type !== null && PARTS.has(token.type) && named.has(token.path)) break;
        reading.unused.push({
          path: token.path,
          why:
            token.type === null
              ? 'it has no type'
              : `tokens of the type “${token.type}” have no place in a project by themselves`,
        });
    }
  }
  const { colours, voices, styles } = reading.counts;
  return {
    patch: reading.patch,
    used: [
      ...counted(colours, 'colour'),
      ...counted(voices, 'voice'),
      ...counted(styles, 'text style'),
    ],
    unused: reading.unused,
  };
}

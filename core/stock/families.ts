import {
  isGenericWord,
  knownFont,
  lettersApart,
  nearestName,
  systemWord,
} from '../fallback/plainNames';
import { matchFace } from '../style/faceMatch';
import {
  charactersOfStock,
  lookOf,
  provenanceAt,
  STOCK_ENDS,
  type Stock,
  type StockFace,
  type StockText,
} from './stock';
import { mainScript, writtenIn } from './written';

/** How a family stands on a site. */
export type FamilyState =
  /** A page declares it, and it sets text. */
  | 'shown'
  /** No page declares it: visitors see it where they have it installed, and it shows here. */
  | 'local'
  /** Text asks for it, and a page declares it, but its files were not brought along or did not load. */
  | 'missing'
  /** Text asks for it first and no page declares it: some platforms carry it as shipped, and this machine does not. */
  | 'carried'
  /** Text asks for it first, no page declares it, and nothing answers to the name, here or on any platform. */
  | 'unanswered'
  /** A generic family is asked for first. */
  | 'generic'
  /** No family is asked for: the browser takes its own. */
  | 'unset'
  /** A page fetches it, and no text shows it. */
  | 'fetched'
  /** A page declares it, and no text asks for it. */
  | 'unused';

/** A weight and slant that text asks for. */
interface AskedFace {
  weight: number;
  slant: 'normal' | 'italic';
  characters: number;
}

/** One that no declared face has, and what a browser makes of that. CSS Fonts 4 §5.2. */
export interface LackingFace extends AskedFace {
  /** The face that it takes: its weight, and its slant. */
  shown: Omit<AskedFace, 'characters'>;
  /** What it fakes on that. */
  faked: readonly ('bold' | 'italic')[];
}

/** A family as a site has it. */
export interface StockFamily {
  name: string;
  state: FamilyState;
  /** Characters of the texts that ask for it first, and their share of all text. */
  characters: number;
  share: number;
  /** Numbers of those texts. */
  texts: number[];
  /** What sets most of them, where it is another family; null where nothing of the stack does. */
  instead: string | null | undefined;
  /** The faces that pages declare of it. */
  faces: StockFace[];
  /** Weights and slants that those texts ask for and no declared face has. */
  lacking: LackingFace[];
  /** A name that is known and nearly the same, where none answers to this one. */
  nearest: string | null;
}

/** What stands for a family where none is asked for: no family has this name. */
const UNSET = '';

const plain = (name: string): string => name.trim().toLowerCase();

/** The weights that a declared face serves. CSS Fonts 4 §4.4. */
export function weightsOf({ weight }: Pick<StockFace, 'weight'>): readonly [number, number] {
  const words: Readonly<Record<string, number>> = { normal: 400, bold: 700 };
  const numbers = weight
    .trim()
    .split(/\s+/)
    .map((word) => words[word] ?? Number(word))
    .filter(Number.isFinite);
  const least = numbers[0] ?? 400;
  return [least, numbers[1] ?? least];
}

const isSlanted = (style: string): boolean => /^(italic|oblique)/.test(style.trim());

/** What a browser makes of a weight and slant that no declared face has; null where one has it, or there are none. */
function lackingFace(own: readonly StockFace[], asked: AskedFace): LackingFace | null {
  const faces = own.map((face) => {
    const [weightMin, weightMax] = weightsOf(face);
    return {
      style: isSlanted(face.style) ? ('italic' as const) : ('normal' as const),
      weightMin,
      weightMax,
    };
  });
  const match = matchFace(faces, asked);
  if (!match) return null;
  const { face, weight, fakedBold, fakedItalic } = match;
  if (weight === asked.weight && face.style === asked.slant) return null;
  return {
    ...asked,
    shown: { weight, slant: face.style },
    faked: [
      ...(fakedBold ? (['bold'] as const) : []),
      ...(fakedItalic ? (['italic'] as const) : []),
    ],
  };
}

/** The name nearest to one that nothing answers to, among those that pages declare and known local fonts. */
function spellingOf(name: string, declared: readonly string[]): string | null {
  const own = declared
    .map((known) => ({ known, apart: lettersApart(plain(name), plain(known)) }))
    .sort((a, b) => a.apart - b.apart)[0];
  // A slip of the pen is at most every fifth letter.
  if (own && own.apart > 0 && own.apart <= Math.max(1, name.length / 5)) return own.known;
  const local = nearestName(name);
  return local !== null && plain(local) !== plain(name) ? local : null;
}

const isSame = (one: StockFace, other: StockFace): boolean =>
  one.weight === other.weight &&
  one.style === other.style &&
  one.unicodeRange === other.unicodeRange &&
  one.file === other.file;

/**
 * The family that a text goes by: that which it asks for first; for text in another script than the site's first,
 * which stacks of all scripts have further down, that which draws it.
 */
function familyOf(
  stock: Stock,
  text: StockText,
  script: string | undefined,
  main: string,
  declared: readonly string[],
): string {
  const { stack, face } = lookOf(stock, text, 'wide');
  const isSet = provenanceAt(stock, text, 'wide', 'font-family').source.by !== 'nothing';
  if (!isSet) return UNSET;
  const isOther = (script ?? main) !== main;
  const draws = isOther && declared.some((one) => plain(one) === plain(face ?? ''));
  return (draws ? face : stack[0]) ?? UNSET;
}

/** The families that set a site's text or are declared on it, first those that most text asks for. */
export function familiesOf(stock: Stock): StockFamily[] {
  const all = Math.max(1, charactersOfStock(stock));
  const faces = new Map<string, StockFace[]>();
  for (const face of stock.pages.flatMap((page) => page.faces)) {
    const known = faces.get(plain(face.family)) ?? [];
    // Pages of a site declare the same faces, and fetch those of them that they show.
    const others = known.filter((one) => !isSame(one, face));
    const same = known.find((one) => isSame(one, face));
    const shown = same?.state === 'loaded' ? same : face;
    faces.set(plain(face.family), [...others, shown]);
  }
  const declared = [...faces.values()].flatMap(([first]) => (first ? [first.family] : []));

  const main = mainScript(stock);

  interface Found extends Pick<StockFamily, 'name' | 'characters' | 'texts'> {
    shownBy: Map<string | null, number>;
    asked: Map<string, AskedFace>;
  }
  const found = new Map<string, Found>();
  const shown = new Set<string>();
  const written = writtenIn(stock.texts);
  stock.texts.forEach((text, number) => {
    const look = lookOf(stock, text, 'wide');
    for (const end of STOCK_ENDS) {
      const { face } = lookOf(stock, text, end);
      if (face !== null) shown.add(plain(face));
    }
    const name = familyOf(stock, text, written[number]?.script, main, declared);
    const known = found.get(plain(name)) ?? {
      name,
      characters: 0,
      texts: [],
      shownBy: new Map<string | null, number>(),
      asked: new Map<string, AskedFace>(),
    };
    found.set(plain(name), known);
    known.characters += text.characters;
    known.texts.push(number);
    known.shownBy.set(look.face, (known.shownBy.get(look.face) ?? 0) + text.characters);
    const slant = look.slant === 'normal' ? 'normal' : 'italic';
    const asked = known.asked.get(`${look.weight} ${slant}`);
    known.asked.set(`${look.weight} ${slant}`, {
      weight: look.weight,
      slant,
      characters: (asked?.characters ?? 0) + text.characters,
    });
  });

  const families = [...found.values()].map((one): StockFamily => {
    const { name, characters, texts } = one;
    const own = faces.get(plain(name)) ?? [];
    const [most = null] =
      [...one.shownBy].sort(([, a], [, b]) => b - a).map(([family]) => family) ?? [];
    const isShown = [...one.shownBy.keys()].some((family) => plain(family ?? '') === plain(name));
    const state: FamilyState =
      isGenericWord(name) || systemWord(name)
        ? 'generic'
        : name === UNSET
          ? 'unset'
          : isShown
            ? own.length > 0
              ? 'shown'
              : 'local'
            : own.length > 0
              ? 'missing'
              : knownFont(name)
                ? 'carried'
                : 'unanswered';
    return {
      name,
      state,
      characters,
      share: characters / all,
      texts,
      instead: most !== null && plain(most) === plain(name) ? undefined : most,
      faces: own,
      lacking: [...one.asked.values()].flatMap((asked) => lackingFace(own, asked) ?? []),
      nearest: state === 'unanswered' ? spellingOf(name, declared) : null,
    };
  });
  const unasked = [...faces].flatMap(([key, own]): StockFamily[] => {
    const [first] = own;
    // What stands further back in a stack sets letters that the first lacks.
    if (!first || found.has(key) || shown.has(key)) return [];
    const fetched = own.some(({ state }) => state === 'loaded');
    return [
      {
        name: first.family,
        state: fetched ? 'fetched' : 'unused',
        characters: 0,
        share: 0,
        texts: [],
        instead: undefined,
        faces: own,
        lacking: [],
        nearest: null,
      },
    ];
  });
  return [...families.sort((a, b) => b.characters - a.characters), ...unasked];
}

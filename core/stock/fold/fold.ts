import type { Claim, Lineage } from '../claims';
import type { Patch } from '../../document/patch';
import { freeKey } from '../../document/faces';
import { widthInWords } from '../../document/occasion';
import {
  MOST_WIDTHS,
  type Colour,
  type ProjectDocument,
  type SitePage,
  type SiteWidth,
  type Voice,
} from '../../document/projectDocument';
import type { Scale } from '../../document/scale';
import { crossingsOf } from '../../scale/crossing';
import { stepSizeAt } from '../../scale/sizeAt';
import { stepsOf } from '../../scale/steps';
import { resolveInUse } from '../../style/resolve';
import { movesTogether, type MovedText, type Moves } from '../moves';
import { lookOf, type Stock, type StockText } from '../stock';
import type { SiteBreak } from '../widths';
import { bodySize, roleOfText } from '../fights';
import { foldColours, type FoldedColours } from './foldColours';
import {
  FOLD_LIMITS,
  foldSizes,
  type FoldedScale,
  type FoldLimits,
  type GivenSeries,
  type SizeShare,
} from './foldSizes';
import {
  foldStyles,
  STYLE_TOLERANCE,
  type FoldedStyles,
  type StockKind,
  type StyleTolerance,
} from './foldStyles';
import { foldVoices, voicePart, voicesOfProject, type FoldedVoices } from './foldVoices';
import { ROOT_SIZE } from '../../scale/lengths';

/** What is known of a site beside its stock: its kinds of text, and what selectors meet. */
export interface StockView {
  kinds: readonly StockKind[];
  /** Numbers of the texts that a selector meets, on all pages. */
  meets: (selector: string) => readonly number[];
}

/** The same where what stands around the texts is known too. */
export interface SiteView extends StockView {
  /** What of some claims holds for each text, by its number. */
  lineages: (claims: readonly Claim[]) => readonly Lineage[];
}

/** What of a proposal is taken. */
export interface FoldChoice {
  voices: boolean;
  scale: boolean;
  styles: boolean;
  limits: FoldLimits;
  tolerance: StyleTolerance;
  /** Families by the keys of the voices that a person gives them; those that go by their names otherwise. */
  families: Readonly<Record<string, string | null>>;
  /** The scale that a person wants; the one that is found when null. */
  series: GivenSeries | null;
  /** Names that a person gives, by the keys of the voices and of the styles. */
  names: { voices: Readonly<Record<string, string>>; styles: Readonly<Record<string, string>> };
  /** Keys of styles that are left as they are on the site. */
  left: readonly string[];
}

export const WHOLE_FOLD: FoldChoice = {
  voices: true,
  scale: true,
  styles: true,
  limits: FOLD_LIMITS,
  tolerance: STYLE_TOLERANCE,
  families: {},
  series: null,
  names: { voices: {}, styles: {} },
  left: [],
};

/** A site folded into a project: what would be taken, and what it would move. */
export interface Fold {
  voices: FoldedVoices;
  /** Null where the project's own scale stays. */
  scale: FoldedScale | null;
  /** What 1rem is on the site, as a scale has it: left out where it is the usual, null where it differs. */
  root: number | null | undefined;
  colours: FoldedColours;
  styles: FoldedStyles;
  /** Widths at which the site sets type otherwise. */
  widths: readonly SiteBreak[];
  choice: FoldChoice;
}

/** What 1rem is on a site: one size on all pages at both widths, or null. Undefined where that is the usual. */
function rootOf({ pages }: Stock): number | null | undefined {
  const sizes = new Set(pages.flatMap(({ root }) => (root ? [root.narrow, root.wide] : [])));
  const [first = ROOT_SIZE, ...more] = sizes;
  if (more.length > 0) return null;
  return first === ROOT_SIZE ? undefined : first;
}

export const sizesOf = (stock: Stock): SizeShare[] => {
  const found = new Map<string, SizeShare>();
  for (const text of stock.texts) {
    const [small, large] = [lookOf(stock, text, 'narrow').size, lookOf(stock, text, 'wide').size];
    const key = `${small} ${large}`;
    const known = found.get(key) ?? { small, large, characters: 0 };
    found.set(key, { ...known, characters: known.characters + text.characters });
  }
  return [...found.values()];
};

/** The step of a project's scale that is nearest to a size at both ends. */
const nearestStep =
  ({ scale }: ProjectDocument) =>
  ({ small, large }: { small: number; large: number }): number => {
    const off = (step: (typeof steps)[number]) =>
      Math.abs(step.small - small) + Math.abs(step.large - large);
    const steps = stepsOf(scale);
    return [...steps].sort((a, b) => off(a) - off(b))[0]?.number ?? 0;
  };

/** Whether a text is one of the body's: running text of the size that most of it has. */
const isBodyOf = (stock: Stock): ((text: StockText) => boolean) => {
  const size = bodySize(stock, 'wide');
  const running = stock.texts.some((text) => roleOfText(text) === 'text');
  return (text) =>
    (!running || roleOfText(text) === 'text') && lookOf(stock, text, 'wide').size === size;
};

/**
 * Folds a site into a project, as far as it is wanted: families to voices, sizes to a scale, runs of text to
 * styles, selectors of the site's own to text elements. Nothing is changed by it.
 *
 * @throws RangeError for a stock without text
 */
export function foldStock(
  stock: Stock,
  view: StockView,
  document: ProjectDocument,
  choice: FoldChoice = WHOLE_FOLD,
): Fold {
  const [page] = stock.pages;
  const voices = choice.voices ? foldVoices(stock, document) : voicesOfProject(stock, document);
  const scale = choice.scale
    ? foldSizes(
        sizesOf(stock),
        { small: page?.narrow ?? 360, large: page?.wide ?? 1280 },
        choice.limits,
        choice.series,
      )
    : null;
  const names = new Map(
    view.kinds.flatMap(({ name, texts }) => texts.map((number) => [number, name] as const)),
  );
  const numbers = new Map(stock.texts.map((text, number) => [text, number]));
  const colours = foldColours(
    stock,
    isBodyOf(stock),
    (text) => names.get(numbers.get(text) ?? -1) ?? 'Colour',
  );
  const styles = foldStyles(
    stock,
    view.kinds,
    {
      voiceOf: voices.voiceOf,
      stepOf: scale?.stepOf ?? nearestStep(document),
      colourKeyOf: colours.colourKeyOf,
    },
    view.meets,
    choice.tolerance,
  );
  return {
    voices,
    scale,
    root: rootOf(stock),
    colours,
    styles,
    widths: breaksOfSite(stock),
    choice,
  };
}

const replaced = (document: ProjectDocument, part: keyof ProjectDocument, value: unknown): Patch =>
  document[part] === undefined
    ? [{ op: 'add', path: `/${part}`, value }]
    : [{ op: 'replace', path: `/${part}`, value }];

const without = (document: ProjectDocument, ...parts: (keyof ProjectDocument)[]): Patch =>
  parts.flatMap((part) =>
    document[part] === undefined ? [] : [{ op: 'remove' as const, path: `/${part}` }],
  );

/** Most widths that a fold brings: those that most of the site's rules are about. */
const MOST_BREAKS = 4;

/** The widths at which a site sets type otherwise, on all of its pages, those that most rules are about first. */
function breaksOfSite({ pages }: Stock): SiteBreak[] {
  const found = new Map<string, SiteBreak>();
  for (const one of pages.flatMap(({ breaks = [] }) => breaks)) {
    const key = `${one.container ?? ''} ${one.from}`;
    const known = found.get(key);
    // Pages of a site share their sheets.
    if (!known || known.rules < one.rules) found.set(key, one);
  }
  return [...found.values()].sort((a, b) => b.rules - a.rules).slice(0, MOST_BREAKS);
}

/** Adds widths of the site's that a project does not have yet, for its styles to differ at. */
function widthsPatch(document: ProjectDocument, breaks: readonly SiteBreak[]): Patch {
  const { widths = {} } = document;
  const room = MOST_WIDTHS - Object.keys(widths).length;
  const added = breaks
    .filter(
      ({ from, container }) =>
        !Object.values(widths).some((one) => one.from === from && one.container === container),
    )
    .slice(0, Math.max(0, room))
    .map(({ from, container }): [string, SiteWidth] => {
      const width = { name: '', from, ...(container ? { container } : {}) };
      const key = [
        ...(container ? [container.toLowerCase().replace(/[^a-z0-9]+/g, '-')] : []),
        from,
      ];
      return [
        freeKey(Object.keys(widths), key.join('-'), 'from'),
        { ...width, name: capital(widthInWords(width)) },
      ];
    });
  return added.length > 0
    ? replaced(document, 'widths', { ...widths, ...Object.fromEntries(added) })
    : [];
}

const capital = (words: string): string => words.replace(/^./, (first) => first.toUpperCase());

/** The layer that a site's own style sheets are put into, so that what is folded wins. */
export const SITE_LAYER = 'site';

/**
 * The change that takes a fold: one, so that one undo gives all of it back.
 * @param pages of the site, to be proofed on from then on
 */
export function foldPatch(
  document: ProjectDocument,
  { voices, scale, root, colours, styles, widths, choice }: Fold,
  pages: Readonly<Record<string, SitePage>> = {},
): Patch {
  const patch: Patch = [];
  const kept: Record<string, Voice> = {};
  if (choice.voices) {
    voices.voices.forEach((voice, i) => {
      const family = choice.families[voice.key];
      const name = choice.names.voices[voice.key] ?? voice.name;
      kept[voice.key] = voicePart(
        { ...voice, name },
        family === undefined ? voice.family : family,
        i + 1,
      );
    });
    // Styles that stay name the voices that they have now.
    if (!choice.styles) {
      for (const [key, voice] of Object.entries(document.voices)) kept[key] ??= voice;
    }
    patch.push(...replaced(document, 'voices', kept), ...without(document, 'pair'));
  }
  if (scale) {
    const { scale: before } = document;
    const steps = choice.styles
      ? { down: scale.scale.down, up: scale.scale.up }
      : {
          down: Math.max(before.down, scale.scale.down),
          up: Math.max(before.up, scale.scale.up),
        };
    const value: Scale = {
      ...scale.scale,
      ...steps,
      ...(root === undefined ? {} : { root }),
    };
    // A site may well have what is larger on a desktop smaller on a phone: its sizes are kept, and the mark tells.
    const crosses = crossingsOf(value).length > 0;
    patch.push({
      op: 'replace',
      path: '/scale',
      value: crosses ? { ...value, crossing: true } : value,
    });
  } else if (root !== document.scale.root) {
    // The project's own scale, at the root of the site that it is put on.
    patch.push(
      root === undefined
        ? { op: 'remove', path: '/scale/root' }
        : { op: 'add', path: '/scale/root', value: root },
    );
  }
  if (choice.styles) {
    const parts: Record<string, Colour> = {};
    colours.colours.forEach(({ key, name, value }, i) => {
      parts[key] = { name, light: value, dark: value, place: i + 1 };
    });
    const isLeft = (key: string) => choice.left.includes(key);
    const worn = styles.styles.filter(({ key }) => !isLeft(key));
    patch.push(
      ...replaced(document, 'colours', parts),
      ...replaced(
        document,
        'styles',
        Object.fromEntries(
          worn.map(({ key, style }) => [
            key,
            { ...style, name: choice.names.styles[key] ?? style.name },
          ]),
        ),
      ),
      ...replaced(
        document,
        'elements',
        Object.fromEntries(
          styles.elements
            .filter(({ element }) => !isLeft(element.style))
            .map(({ key, element }) => [key, element]),
        ),
      ),
      ...widthsPatch(document, widths),
      ...without(document, 'aside'),
      // Outside all layers, it wins over sheets in one, wherever it is linked.
      { op: 'replace', path: '/delivery/layer', value: null },
      { op: 'add', path: '/delivery/siteLayer', value: SITE_LAYER },
    );
  }
  const added = Object.entries(pages).filter(([key]) => !document.pages?.[key]);
  if (added.length > 0) {
    patch.push(
      ...(document.pages
        ? added.map(([key, value]) => ({ op: 'add' as const, path: `/pages/${key}`, value }))
        : [{ op: 'add' as const, path: '/pages', value: Object.fromEntries(added) }]),
    );
  }
  return patch;
}

/**
 * How far texts of a stock would move by a fold, as its project has it: reckoned from styles, without the page.
 *
 * @param folded the document with the fold taken
 * @param texts numbers of those that are looked at; all that wear a style when left out
 */
export function movesOf(
  stock: Stock,
  { styles }: Pick<Fold, 'styles'>,
  folded: ProjectDocument,
  texts?: readonly number[],
): Moves {
  const styleOf = new Map(
    styles.styles.flatMap(({ key, texts: own }) => own.map((number) => [number, key] as const)),
  );
  const moved = (texts ?? [...styleOf.keys()]).flatMap((number): MovedText[] => {
    const text = stock.texts[number];
    const key = styleOf.get(number);
    if (!text || key === undefined || !folded.styles[key]) return [];
    const [narrow, wide] = [lookOf(stock, text, 'narrow'), lookOf(stock, text, 'wide')];
    const { set } = folded.styles[key];
    // What stands in the midst of text and sets no size has that of the text around it.
    const around = set.step === undefined && styles.styles.find((one) => one.key === key)?.style;
    const isWithin = around && around.follows === null;
    const sized = isWithin && text.within !== null ? (styleOf.get(text.within) ?? key) : key;
    const style = folded.styles[sized] ? resolveInUse(folded, sized) : null;
    if (!style) return [];
    const page = stock.pages[text.page];
    const sizeAt = (width: number) => stepSizeAt(folded.scale, style.step.value, width);
    const own = resolveInUse(folded, key);
    return [
      {
        characters: text.characters,
        size: Math.max(
          Math.abs(sizeAt(page?.narrow ?? 360) - narrow.size),
          Math.abs(sizeAt(page?.wide ?? 1280) - wide.size),
        ),
        weight: set.weight === undefined && isWithin ? 0 : Math.abs(own.weight.value - wide.weight),
        turned:
          !(set.slant === undefined && isWithin) &&
          (own.slant.value === 'normal') !== (wide.slant === 'normal'),
      },
    ];
  });
  return movesTogether(moved);
}

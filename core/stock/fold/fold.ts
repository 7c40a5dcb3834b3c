import type { Claim, Lineage } from '../claims';
import type { Patch } from '../../document/patch';
import { freeKey } from '../../document/faces';
import { widthInWords } from '../../document/occasion';
import {
  MOST_LANGUAGES,
  MOST_WIDTHS,
  type Colour,
  type ProjectDocument,
  type SitePage,
  type SiteWidth,
  type Voice,
} from '../../document/projectDocument';
import type { Scale } from '../../document/scale';
import { crossingsOf } from '../../scale/crossing';
import { stepsOf } from '../../scale/steps';
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
  settingOf,
  STYLE_TOLERANCE,
  type FoldedStyles,
  type Setting,
  type SettingTerms,
  type StockKind,
  type StyleTolerance,
} from './foldStyles';
import { languageStylesPatch } from './foldLanguageStyles';
import { foldScripts, type FoldedScripts } from './foldScripts';
import {
  foldVoices,
  voicePart,
  voicesOfProject,
  type FoldedSeat,
  type FoldedVoice,
  type FoldedVoices,
} from './foldVoices';
import { languagesOfStock } from '../written';
import { scriptOfTag } from '../../script';
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
  /** Families by the keys of the voices, and of the seats in them, that a person gives them; those that go by their names otherwise. */
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
  /** What is written in other scripts than the site's first. */
  scripts: FoldedScripts;
  /** The languages that its pages say they are in, that of most text first. */
  languages: readonly string[];
  /** How a text is set on the site, in the terms of the project, and its length. */
  ownSetting: (number: number) => { setting: Setting; characters: number };
  choice: FoldChoice;
}

/** What 1rem is on a site: one size on all pages at both widths, or null. Undefined where that is the usual. */
function rootOf({ pages }: Stock): number | null | undefined {
  const sizes = new Set(pages.flatMap(({ root }) => (root ? [root.narrow, root.wide] : [])));
  const [first = ROOT_SIZE, ...more] = sizes;
  if (more.length > 0) return null;
  return first === ROOT_SIZE ? undefined : first;
}

/** The sizes of a site's texts, each once; a text in another script counts to the size that its kind has in the first. */
export const sizesOf = (
  stock: Stock,
  { counterparts }: Pick<FoldedScripts, 'counterparts'>,
): SizeShare[] => {
  const found = new Map<string, SizeShare>();
  stock.texts.forEach((text, number) => {
    const sized = stock.texts[counterparts.get(number)?.as ?? number] ?? text;
    const [small, large] = [lookOf(stock, sized, 'narrow').size, lookOf(stock, sized, 'wide').size];
    const key = `${small} ${large}`;
    const known = found.get(key) ?? { small, large, characters: 0 };
    found.set(key, { ...known, characters: known.characters + text.characters });
  });
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
  const scripts = foldScripts(stock, view.kinds);
  const { counterparts } = scripts;
  const voices = choice.voices
    ? foldVoices(stock, document, scripts)
    : voicesOfProject(stock, document);
  const scale = choice.scale
    ? foldSizes(
        sizesOf(stock, scripts),
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
  const terms: SettingTerms = {
    voiceOf: voices.voiceOf,
    stepOf: scale?.stepOf ?? nearestStep(document),
    colourKeyOf: colours.colourKeyOf,
    counterpartOf: (number) => counterparts.get(number)?.as ?? null,
  };
  const styles = foldStyles(stock, view.kinds, terms, view.meets, choice.tolerance);
  return {
    voices,
    scale,
    root: rootOf(stock),
    colours,
    styles,
    widths: breaksOfSite(stock),
    scripts,
    languages: languagesOfStock(stock),
    ownSetting: (number) => {
      const text = stock.texts[number];
      if (!text) throw new RangeError('The stock has no such text');
      return { setting: settingOf(stock, text, terms), characters: text.characters };
    },
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

/** Adds the languages of a site to those of a project; the first, which styles are made for, is of the site's first script. */
function spokenPatch(document: ProjectDocument, found: readonly string[]): Patch {
  const [first = ''] = found;
  const scriptOf = (tag: string | undefined) => scriptOfTag(tag ?? '')?.key;
  const isFirst = scriptOf(document.languages[0]) === scriptOf(first);
  const all = isFirst ? [...document.languages, ...found] : [...found, ...document.languages];
  const value = [...new Set(all)].slice(0, MOST_LANGUAGES);
  return found.length === 0 || value.join() === document.languages.join()
    ? []
    : [{ op: 'replace', path: '/languages', value }];
}

const capital = (words: string): string => words.replace(/^./, (first) => first.toUpperCase());

/** What a family is given for a seat by, beside the keys of voices. */
export const seatKey = (
  voice: Pick<FoldedVoice, 'key'>,
  seat: Pick<FoldedSeat, 'script'>,
): string => `${voice.key} ${seat.script}`;

/** The layer that a site's own style sheets are put into, so that what is folded wins. */
export const SITE_LAYER = 'site';

/**
 * The change that takes a fold: one, so that one undo gives all of it back.
 * @param pages of the site, to be proofed on from then on
 */
export function foldPatch(
  document: ProjectDocument,
  fold: Fold,
  pages: Readonly<Record<string, SitePage>> = {},
): Patch {
  const { voices, scale, root, colours, styles, widths, scripts, languages, choice } = fold;
  const patch: Patch = [];
  const kept: Record<string, Voice> = {};
  const given = (key: string, found: string | null): string | null =>
    Object.hasOwn(choice.families, key) ? (choice.families[key] ?? null) : found;
  if (choice.voices) {
    voices.voices.forEach((voice, i) => {
      const name = choice.names.voices[voice.key] ?? voice.name;
      kept[voice.key] = voicePart(
        { ...voice, name },
        given(voice.key, voice.family),
        i + 1,
        (seat) => given(seatKey(voice, seat), seat.family),
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
      ...(Object.keys(scripts.byLanguage).length > 0
        ? replaced(document, 'byLanguage', { ...document.byLanguage, ...scripts.byLanguage })
        : []),
      ...without(document, 'aside'),
      // Outside all layers, it wins over sheets in one, wherever it is linked.
      { op: 'replace', path: '/delivery/layer', value: null },
      { op: 'add', path: '/delivery/siteLayer', value: SITE_LAYER },
    );
  }
  patch.push(...spokenPatch(document, languages));
  if (choice.styles) patch.push(...languageStylesPatch(fold, document, patch));
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

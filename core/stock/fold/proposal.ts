import { previewOf } from '../../change/change';
import type { Patch } from '../../document/patch';
import type { ProjectDocument, SitePage } from '../../document/projectDocument';
import { stepSizeAt } from '../../scale/sizeAt';
import { stepsOf, type Step } from '../../scale/steps';
import type { Stock } from '../stock';
import { movesTogether, type Moves } from '../moves';
import { foldPatch, foldStock, sizesOf, type Fold, type FoldChoice } from './fold';
import { movesOf } from './foldMoves';
import type { FoldedScale, SizeShare } from './foldSizes';
import type { FoldedElement, FoldedStyle, StockKind, Unfolded } from './foldStyles';
import type { FoldedVoice } from './foldVoices';

/** All that a fold is made from, as data: it can be made elsewhere than where the pages are. */
export interface StockFacts {
  stock: Stock;
  kinds: readonly StockKind[];
  /** Numbers of the texts that each selector meets which may be asked for. */
  met: Readonly<Record<string, readonly number[]>>;
}

/** Gathers what a fold is made from. @param meets numbers of the texts that a selector meets */
export function stockFacts(
  stock: Stock,
  { kinds, meets }: { kinds: readonly StockKind[]; meets: (selector: string) => readonly number[] },
): StockFacts {
  const asked = new Set([
    ...kinds.flatMap(({ selector }) => selector ?? []),
    ...stock.sources.flatMap((source) => (source.by === 'rule' ? [source.selector] : [])),
    ...stock.texts.flatMap(({ tag, place }) => [tag, ...(place ? [`${place} ${tag}`] : [])]),
  ]);
  return {
    stock,
    kinds,
    met: Object.fromEntries([...asked].map((selector) => [selector, meets(selector)])),
  };
}

/** A size of the site, and what it becomes. */
export interface FoldedSize extends SizeShare {
  step: number;
  /** How far it moves at the end where it moves most, CSS px. */
  moves: number;
}

/** A fold as it is shown and taken. */
export interface Proposal {
  voices: readonly FoldedVoice[];
  /** The languages that the site's pages say they are in, by their tags, that of most text first. */
  languages: readonly string[];
  /** Null where the project's own scale stays. */
  scale:
    | (Pick<FoldedScale, 'scale' | 'odd'> & {
        steps: readonly Step[];
        sizes: readonly FoldedSize[];
      })
    | null;
  styles: readonly (FoldedStyle & { moves: Moves })[];
  elements: readonly FoldedElement[];
  unfolded: readonly Unfolded[];
  /** The change that takes it. */
  patch: Patch;
  /** Whether the project can be made so. */
  isPossible: boolean;
  /** What would move of the texts that wear a style, as far as it can be reckoned without the pages. */
  moves: Moves;
}

const STILL: Moves = movesTogether([]);

/** Folds a site into a project as far as it is wanted, with all that has to be shown about it. @throws RangeError for a stock without text */
export function proposeFold(
  { stock, kinds, met }: StockFacts,
  document: ProjectDocument,
  choice: FoldChoice,
  pages: Readonly<Record<string, SitePage>> = {},
): Proposal {
  const fold = foldStock(
    stock,
    { kinds, meets: (selector) => met[selector] ?? [] },
    document,
    choice,
  );
  const patch = foldPatch(document, fold, pages);
  const folded = previewOf(document, patch);
  const moves = (texts?: readonly number[]): Moves =>
    folded && choice.styles ? movesOf(stock, fold, folded, texts) : STILL;
  return {
    voices: fold.voices.voices,
    languages: fold.languages,
    scale: fold.scale && {
      scale: fold.scale.scale,
      odd: fold.scale.odd,
      steps: folded ? stepsOf(folded.scale) : [],
      sizes: folded ? foldedSizes(stock, fold, fold.scale, folded) : [],
    },
    styles: fold.styles.styles.map((style) => ({ ...style, moves: moves(style.texts) })),
    elements: fold.styles.elements,
    unfolded: fold.styles.unfolded,
    patch,
    isPossible: folded !== null,
    moves: moves(),
  };
}

/** What each size of a site becomes, first what sets most of the text. */
function foldedSizes(
  stock: Stock,
  { scripts }: Pick<Fold, 'scripts'>,
  { scale, stepOf }: FoldedScale,
  folded: ProjectDocument,
): FoldedSize[] {
  return sizesOf(stock, scripts)
    .map((size) => {
      const step = stepOf(size);
      const at = (width: number) => stepSizeAt(folded.scale, step, width);
      const moves = Math.max(
        Math.abs(at(scale.small.width) - size.small),
        Math.abs(at(scale.large.width) - size.large),
      );
      return { ...size, step, moves };
    })
    .sort((a, b) => b.characters - a.characters);
}

import type { ProjectDocument } from '../../document/projectDocument';
import { stepSizeAt } from '../../scale/sizeAt';
import { documentInLanguage, siteLanguages } from '../../style/inLanguage';
import { resolveInUse } from '../../style/resolve';
import { movesTogether, type MovedText, type Moves } from '../moves';
import { lookOf, type Stock } from '../stock';
import type { Fold } from './fold';

/**
 * How far texts of a stock would move by a fold, as its project has it: reckoned from styles, without the page.
 *
 * @param folded the document with the fold taken
 * @param texts numbers of those that are looked at; all that wear a style when left out
 */
export function movesOf(
  stock: Stock,
  { styles, scripts }: Pick<Fold, 'styles' | 'scripts'>,
  folded: ProjectDocument,
  texts?: readonly number[],
): Moves {
  const styleOf = new Map(
    styles.styles.flatMap(({ key, texts: own }) => own.map((number) => [number, key] as const)),
  );
  const ways = new Map(
    siteLanguages(folded).map((language) => [language.tag, documentInLanguage(folded, language)]),
  );
  const inLanguage = (number: number): ProjectDocument =>
    ways.get(scripts.counterparts.get(number)?.written.language ?? '') ?? folded;
  const moved = (texts ?? [...styleOf.keys()]).flatMap((number): MovedText[] => {
    const text = stock.texts[number];
    const key = styleOf.get(number);
    if (!text || key === undefined || !folded.styles[key]) return [];
    const [narrow, wide] = [lookOf(stock, text, 'narrow'), lookOf(stock, text, 'wide')];
    const { set } = folded.styles[key];
    // What stands in the midst of text and sets no size has that of the text around it.
    const around = set.step === undefined && styles.styles.find((one) => one.key === key)?.style;
    const isWithin = around && around.follows === null;
    const at = inLanguage(number);
    const sized = isWithin && text.within !== null ? (styleOf.get(text.within) ?? key) : key;
    const style = at.styles[sized] ? resolveInUse(at, sized) : null;
    if (!style) return [];
    const page = stock.pages[text.page];
    const sizeAt = (width: number) => stepSizeAt(at.scale, style.step.value, width);
    const own = resolveInUse(at, key);
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

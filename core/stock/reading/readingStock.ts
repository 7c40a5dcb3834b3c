import type { Document, Element } from 'domhandler';
import { familiesIn, isCssColour } from '../../css';
import type { LivePage, LiveText, LiveView } from '../../page/readerFile';
import { namedIn, ownTextIn, seenIn } from '../../page/pageTree';
import { wordsOf } from '../../page/textsOfPage';
import type { PageAsRead } from '../../page/pagesAsRead';
import { liveFace, LiveTexts, overLook } from '../live';
import { ProvenanceReader } from '../provenanceReader';
import { lettersOutside } from '../outside';
import { breaksOf } from '../widths';
import {
  StockBook,
  STOCK_ENDS,
  type SetAt,
  type Stock,
  type StockEnd,
  type StockText,
  type TextLook,
} from '../stock';
import { documentOf, MARKUP, meeting, textElementsOf, viewWithoutBrowser } from './markup';
import { lineages, type Claim, type Lineage } from '../claims';

/** A page of which nothing was computed where it is live: only a browser can say what sets it. */
export class NotLiveError extends Error {
  override readonly name = 'NotLiveError';
}

/** What a live page says of a text, where nothing is known beside it. */
function lookOf(live: LiveText, faces: LivePage['faces']): TextLook {
  const stack = familiesIn(live.family);
  const loaded = new Set(
    faces.flatMap(({ family, status }) => (status === 'loaded' ? [family.toLowerCase()] : [])),
  );
  const nothing: TextLook = {
    stack,
    // Older readers do not say which face draws a text: the first of those that came.
    face: stack.find((family) => loaded.has(family.toLowerCase())) ?? null,
    size: 0,
    weight: 0,
    slant: 'normal',
    lineHeight: null,
    letterSpacing: 0,
    letterCase: 'none',
    colour: isCssColour(live.colour) ? live.colour : 'rgb(0, 0, 0)',
    ground: null,
  };
  return overLook(nothing, live);
}

const named = (node: Element): string => namedIn(MARKUP, node);

/** The narrowest and the widest that the page was read at. */
function endsOf(views: readonly LiveView[]): Record<StockEnd, LiveView> | null {
  const [first, ...more] = [...views].sort((a, b) => a.width - b.width);
  return first ? { narrow: first, wide: more.at(-1) ?? first } : null;
}

/**
 * The type of pages as the reader left them, without a browser: what texts look like is taken as the live page
 * computed it, and what decides it is reckoned from the rules that the reader kept. The ground of a text, and
 * what conditions on containers decide, are not known.
 *
 * @param made ISO 8601
 * @returns the stock, and what of some claims holds for each text
 * @throws NotLiveError for a page that was not read where it is live
 */
export function stockOfReadings(
  pages: readonly PageAsRead[],
  made: string,
): { stock: Stock; lineages: (claims: readonly Claim[]) => readonly Lineage[] } {
  const book = new StockBook();
  const parsed: Document[] = [];
  const nodes: Element[] = [];
  for (const { title, html, rules, elsewhere, unread, live } of pages) {
    const ends = endsOf(live.views);
    if (!ends) throw new NotLiveError(`${title} was not read where it is live.`);
    const page = documentOf(html);
    parsed.push(page);
    const readers = Object.fromEntries(
      STOCK_ENDS.map((end) => [
        end,
        {
          shown: new LiveTexts(ends[end]),
          provenances: new ProvenanceReader(
            book,
            viewWithoutBrowser(page, ends[end].width),
            rules,
            named,
          ),
        },
      ]),
    ) as Record<StockEnd, { shown: LiveTexts; provenances: ProvenanceReader<Element> }>;
    const faces = live.faces.map(liveFace);
    const texts: { node: Element; text: Omit<StockText, 'within'> }[] = [];
    for (const [element, node] of textElementsOf(page).entries()) {
      const own = ownTextIn(MARKUP, node);
      const words = wordsOf(own);
      const [narrow, wide] = STOCK_ENDS.map((end) => readers[end].shown.of(words));
      const set = (end: StockEnd, shown: LiveText): SetAt => ({
        look: book.look(lookOf(shown, live.faces)),
        provenances: book.provenances(readers[end].provenances.provenances(node)),
        measure: shown.measure ?? null,
      });
      // What is seen at one width only is described as it is there.
      const [small, large] = [narrow ?? wide, wide ?? narrow];
      if (!small || !large) continue;
      const { tag, classes, role, place, language } = seenIn(MARKUP, node);
      const outside = lettersOutside(own, familiesIn(large.family)[0], faces);
      texts.push({
        node,
        text: {
          page: book.pages.length,
          element,
          tag,
          classes,
          role,
          place,
          ...(language ? { language } : {}),
          words,
          characters: [...own].length,
          ...(outside ? { outside } : {}),
          narrow: set('narrow', small),
          wide: set('wide', large),
        },
      });
    }
    nodes.push(...book.add(MARKUP, texts).keys());
    const breaks = breaksOf(rules);
    book.pages.push({
      title,
      narrow: ends.narrow.width,
      wide: ends.wide.width,
      ...(breaks.length > 0 ? { breaks } : {}),
      faces,
      live: true,
      elsewhere,
      ...(unread.length > 0 ? { unread } : {}),
    });
  }
  return {
    stock: book.close(made),
    lineages: (claims) =>
      lineages(
        nodes,
        claims,
        (selector) => parsed.flatMap((page) => meeting(page, selector)),
        MARKUP.parent,
      ),
  };
}

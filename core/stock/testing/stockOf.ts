import type { SiteBreak } from '../widths';
import {
  STOCK_PROPERTIES,
  StockBook,
  type Provenances,
  type Stock,
  type StockFace,
  type StockSource,
  type TextLook,
} from '../stock';

/** A text of a made-up page: what is said of it, and what is usual where nothing is. */
export interface MadeText {
  tag?: string;
  classes?: string[];
  place?: string;
  /** Number of the text that it stands in. */
  within?: number;
  characters?: number;
  words?: string;
  language?: string;
  outside?: string;
  look?: Partial<TextLook>;
  /** What it is otherwise at the narrow end. */
  narrow?: Partial<TextLook>;
  measure?: number | null;
  /** What decides its properties. */
  sources?: Partial<Record<(typeof STOCK_PROPERTIES)[number], StockSource>>;
  /** Properties that it inherits, and from which element. */
  from?: Partial<Record<(typeof STOCK_PROPERTIES)[number], string>>;
}

export const USUAL_LOOK: TextLook = {
  stack: ['Literata', 'serif'],
  face: 'Literata',
  size: 16,
  weight: 400,
  slant: 'normal',
  lineHeight: 24,
  letterSpacing: 0,
  letterCase: 'none',
  colour: 'rgb(20, 20, 20)',
  ground: '#ffffff',
};

export const rule = (
  selector: string,
  property: string,
  value: string,
  more: Partial<Extract<StockSource, { by: 'rule' }>> = {},
): StockSource => ({
  by: 'rule',
  sheet: 'site.css',
  line: 1,
  selector,
  specificity: [0, 0, 1],
  layer: null,
  important: false,
  property,
  value,
  ...more,
});

/** A stock of one page with these texts. */
export function stockOf(
  texts: readonly MadeText[],
  page: {
    faces?: StockFace[];
    narrow?: number;
    wide?: number;
    root?: { narrow: number; wide: number };
    breaks?: SiteBreak[];
  } = {},
): Stock {
  const book = new StockBook();
  for (const [element, text] of texts.entries()) {
    const provenances = book.provenances(
      Object.fromEntries(
        STOCK_PROPERTIES.map((property) => [
          property,
          {
            source: book.source(text.sources?.[property] ?? rule('body', property, 'some')),
            from: text.from?.[property] ?? (text.sources?.[property] ? null : 'body'),
          },
        ]),
      ) as unknown as Provenances,
    );
    const at = (look: Partial<TextLook>) => ({
      look: book.look({ ...USUAL_LOOK, ...look }),
      provenances,
      measure: text.measure ?? null,
    });
    book.texts.push({
      page: 0,
      element,
      tag: text.tag ?? 'p',
      classes: text.classes ?? [],
      role: null,
      place: text.place ?? null,
      within: text.within ?? null,
      ...(text.language ? { language: text.language } : {}),
      words: text.words ?? 'A light has burned on Tarnholm',
      characters: text.characters ?? 100,
      ...(text.outside ? { outside: text.outside } : {}),
      narrow: at({ ...text.look, ...text.narrow }),
      wide: at(text.look ?? {}),
    });
  }
  const { faces = [], narrow = 360, wide = 1280, root, breaks } = page;
  book.pages.push({
    title: 'The light',
    narrow,
    wide,
    ...(root ? { root } : {}),
    ...(breaks ? { breaks } : {}),
    faces,
    live: false,
    elsewhere: [],
  });
  return book.close('2026-11-27T00:00:00.000Z');
}

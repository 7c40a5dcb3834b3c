import type { ProjectDocument } from '@lettera/core/document';
import {
  provenanceAt,
  type Drift,
  type Drifted,
  type Stock,
  type StockSource,
  type StockText,
} from '@lettera/core/stock';
import type { Finding, Findings, FoundAt } from './findings';
import { counted } from './report';

/** What a style element of a page is called, among the style sheets of the site. */
const STYLE_ELEMENT = /^(.*)\.style-(\d+)\.css$/;

/** The file that a rule stands in, and the line; of a style element the page, and which of its elements it is. */
function fileOf({ sheet, line }: { sheet: string; line: number }): FoundAt {
  const [, page, number] = STYLE_ELEMENT.exec(sheet) ?? [];
  return page === undefined ? { sheet, line } : { sheet: page, styleElement: Number(number), line };
}

/** What sets a property of a text, as a place. */
function sourceAt(source: StockSource): FoundAt {
  switch (source.by) {
    case 'rule': {
      const { selector, property, value, important } = source;
      return {
        selector,
        ...fileOf(source),
        says: `${property}: ${value}${important ? ' !important' : ''}`,
      };
    }
    case 'inline':
      return { says: `a style attribute: ${source.value}${source.important ? ' !important' : ''}` };
    case 'browser':
      return { says: 'the browser’s own style sheet' };
    case 'nothing':
      return {};
  }
}

/** Where one thing is otherwise on one page, what sets it there once. */
function placesOf(
  stock: Stock,
  { property, width }: Drifted,
  texts: readonly StockText[],
): FoundAt[] {
  const places = new Map<string, FoundAt>();
  for (const text of texts) {
    const page = stock.pages[text.page];
    const end = page?.narrow === width ? 'narrow' : 'wide';
    const source =
      property === 'unicode-range' ? {} : sourceAt(provenanceAt(stock, text, end, property).source);
    const key = JSON.stringify(source);
    const title = page?.title ?? '';
    if (!places.has(key)) places.set(key, { page: title, words: text.words, ...source });
  }
  return [...places.values()];
}

/** What is otherwise, in a sentence, and why. */
function inWords(
  name: string,
  { property, by, expected, found, width }: Drifted,
  texts: number,
): string {
  const where = `at ${width} px, ${counted(texts, 'text')}`;
  if (property === 'unicode-range') {
    return `${name}: the files of ${expected} on the site have no ${found}, ${where}`;
  }
  return by === 'said'
    ? `${name}: ${property} is ${found} on the site and ${expected} in the project, ${where}`
    : `${name}: ${property} is left open and the site’s own, ${found}; what is around it has ${expected}, ${where}`;
}

/** How far a site follows a project, as findings: one for each thing and page. */
export function driftFindings(
  { elements, name }: ProjectDocument,
  stock: Stock,
  { following, unclaimed, drifted }: Drift,
  by: string,
): Findings {
  const findings = drifted.flatMap((one): Finding[] => {
    const byPage = new Map<number, StockText[]>();
    for (const number of one.texts) {
      const text = stock.texts[number];
      if (!text) continue;
      byPage.set(text.page, [...(byPage.get(text.page) ?? []), text]);
    }
    return [...byPage].map(([page, texts]) => {
      const { property, expected, found, width } = one;
      const element = elements[one.element]?.name ?? one.element;
      const title = stock.pages[page]?.title ?? '';
      return {
        rule: `drift/${property}`,
        severity: one.by === 'said' ? 'error' : 'note',
        message: inWords(element, one, texts.length),
        remedy: '',
        at: placesOf(stock, one, texts),
        key: [one.element, property, width, expected, found, title].join('|'),
      };
    });
  });
  const left = unclaimed.length > 0 ? `, ${unclaimed.length} claimed by no element` : '';
  return {
    name,
    findings,
    sum: `${name}: ${following.length} of ${counted(stock.texts.length, 'text')} follow${left}, read by ${by}`,
    more: {
      by,
      texts: stock.texts.length,
      following: following.length,
      unclaimed: unclaimed.length,
    },
  };
}

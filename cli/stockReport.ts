import {
  familiesOf,
  gatherNear,
  lookOf,
  nearSize,
  sharesOf,
  type Drift,
  type Stock,
} from '@lettera/core/stock';
import type { ProjectDocument } from '@lettera/core/document';

/** The format of a stock that is written to a file, and its version. */
export const STOCK_FORMAT = { format: 'lettera-stock', version: 1 } as const;

const percent = (share: number): string => `${(share * 100).toFixed(1)} %`;
const counted = (of: number, what: string): string => `${of} ${what}${of === 1 ? '' : 's'}`;

/** A stock in a few lines. @param by what it was read with */
export function stockInWords(stock: Stock, by: string): string {
  const { pages, texts } = stock;
  const [page] = pages;
  const families = familiesOf(stock)
    .filter(({ characters }) => characters > 0)
    .map(({ name, share, state }) => `- ${name || 'no family'}: ${percent(share)}, ${state}`);
  const sizes = gatherNear(
    sharesOf(stock, (text) => Math.round(lookOf(stock, text, 'wide').size * 10) / 10),
    nearSize,
  ).map(
    ({ values, share }) => `- ${values.map(({ value }) => value).join(', ')} px: ${percent(share)}`,
  );
  return [
    `${counted(pages.length, 'page')}, ${counted(texts.length, 'text')}, at ${page?.narrow ?? 0} and ${page?.wide ?? 0} px, by ${by}`,
    'Families by share of the text:',
    ...families,
    `Sizes at ${page?.wide ?? 0} px:`,
    ...sizes,
  ].join('\n');
}

/** How far a site follows a project, in lines. */
export function driftInWords(
  name: string,
  { elements }: ProjectDocument,
  stock: Stock,
  { following, unclaimed, drifted }: Drift,
  by: string,
): string {
  const lines = drifted.map(({ element, property, expected, found, width, texts }) =>
    property === 'unicode-range'
      ? `- ${elements[element]?.name ?? element}: the files of ${expected} on the site have no ${found}, at ${width} px, ${counted(texts.length, 'text')}`
      : `- ${elements[element]?.name ?? element}: ${property} is ${found} on the site and ${expected} in the project, at ${width} px, ${counted(texts.length, 'text')}`,
  );
  const left = unclaimed.length > 0 ? `, ${unclaimed.length} claimed by no element` : '';
  return [
    ...lines,
    `${name}: ${following.length} of ${counted(stock.texts.length, 'text')} follow${left}, read by ${by}`,
  ].join('\n');
}

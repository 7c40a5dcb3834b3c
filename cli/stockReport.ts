import { counted } from './report';
import {
  familiesOf,
  gatherNear,
  lookOf,
  nearSize,
  sharesOf,
  type Stock,
} from '@lettera/core/stock';

/** The format of a stock that is written to a file, and its version. */
export const STOCK_FORMAT = { format: 'lettera-stock', version: 1 } as const;

const percent = (share: number): string => `${(share * 100).toFixed(1)} %`;

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

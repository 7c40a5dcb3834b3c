import { TEXT_PARTS, type Fitness, type TextPart } from './fitness';

/** What each part is called within a sentence. */
export const PART_NAMES: Record<TextPart, string> = {
  running: 'running text',
  short: 'short text',
  headings: 'headings',
  code: 'code and figures',
};

const listed = (names: string[]): string =>
  names.length < 2
    ? (names[0] ?? '')
    : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`;

/** What a family is fit for, in a word or two: the most demanding part that it can play. */
export function fitnessWord({ drawn }: Fitness): string {
  if (drawn.running.verdict === 'fit') return 'running text';
  if (drawn.running.verdict === 'caveat') return 'text, with care';
  if (drawn.code.verdict === 'fit') return 'code, headings';
  if (drawn.short.verdict === 'fit') return 'short text, headings';
  return drawn.headings.verdict === 'unfit' ? 'ornament' : 'headings only';
}

/** A fitness in sentences: what it is fit for, what for with care and what not, each with its measures. */
export function fitnessSentences({ drawn, offer }: Fitness): string[] {
  const fit = TEXT_PARTS.filter((part) => drawn[part].verdict === 'fit');
  const others = TEXT_PARTS.filter((part) => drawn[part].verdict !== 'fit').map((part) => {
    const { verdict, reasons } = drawn[part];
    const how = verdict === 'caveat' ? 'with care' : 'not';
    const said = reasons.filter(({ cost }) => verdict === 'caveat' || cost === Infinity);
    return `${how} for ${PART_NAMES[part]}: ${said.map(({ text }) => text).join('; ')}.`;
  });
  return [
    ...(fit.length > 0 ? [`fit for ${listed(fit.map((part) => PART_NAMES[part]))}.`] : []),
    ...others,
    ...(offer.length > 0 ? [`${offer.join('; ')}.`] : []),
  ].map((text) => text.charAt(0).toUpperCase() + text.slice(1));
}

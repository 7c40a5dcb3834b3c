import { scriptOf } from '../script';
import { hairline, type FitnessLimit, type TextPart } from './fitnessLimits';

/** How far beyond the known text faces of a script one is still fit, and how far it can be borne. */
const MARGIN = { fit: 1.25, bearable: 1.6 };
/** Few words forgive more. */
const SHORT = { fit: 1.6, bearable: 2.2 };

const around = ([least, most]: readonly [number, number], by: number): [number, number] => [
  least / by,
  most * by,
];

const limitsBy = (key: string, margin: typeof MARGIN): FitnessLimit[] => {
  const { body, text } = scriptOf(key) ?? {};
  if (!body || !text) return [];
  const ends = (range: readonly [number, number]) => ({
    fit: around(range, margin.fit),
    bearable: around(range, margin.bearable),
  });
  return [
    {
      ...ends(text.colour),
      value: ({ colour }) => colour,
      low: (value) => `light strokes, ${value.toFixed(2)} of the ${body.called}: they grey out`,
      high: (value) => `heavy strokes, ${value.toFixed(2)} of the ${body.called}: they fill in`,
    },
    {
      ...ends(text.width),
      value: ({ width }) => width,
      low: (value) => `condensed, letters ${value.toFixed(2)} of the ${body.called} wide`,
      high: (value) => `wide, letters ${value.toFixed(2)} of the ${body.called} wide`,
    },
  ];
};

/**
 * What each part asks of a face in a script, judged by its own letters: as dark and as wide as faces that texts in it
 * are set in. Thin strokes are thinner than in Latin, and hold: Amiri 0.37 px at 17 px is a text face, Rozha One 0.32
 * is none. Empty for a script of which no text faces were measured.
 */
export function scriptLimits(key: string): Record<Exclude<TextPart, 'code'>, FitnessLimit[]> {
  const own = limitsBy(key, MARGIN);
  if (own.length === 0) return { running: [], short: [], headings: [] };
  return {
    running: [...own, hairline([0.45, 0.33])],
    short: [...limitsBy(key, SHORT), hairline([0.4, 0.25])],
    headings: [hairline([0.3, 0.15])],
  };
}

import type { FaceClass } from '../document/vocabulary';
import type { FaceMeasures } from './measureFace';

/** What the outlines say a face is. A display or a written face shows in none of them for sure. */
export type MeasuredClass = 'serif' | 'slab serif' | 'sans serif' | 'monospaced';

/** A foot wider than this many stems is a serif. */
export const SERIF_FOOT = 1.35;
/** A stroke that leans more ends in a curve, not in a foot, degrees. */
const LEANS = 6;

/** One measure that distinguishes a slab from a serif, and where its limit lies. */
interface SlabSign {
  name: string;
  unit: string;
  value: (measures: FaceMeasures) => number | null;
  limit: number;
  /** Whether slabs lie above the limit or below it. */
  slabs: 'above' | 'below';
}

/**
 * Thickness alone puts oldstyle and slab serifs within a hundredth of one limit, so three measures are
 * asked, and one that says “serif” is enough. Ours, held from both sides: the slabs of the library have
 * feet from 0.61 stems (Bitter), growing by at most 1.18 (Bitter), and strokes of a contrast up to 1.40
 * (Bitter); its other serifs have a contrast from 1.79 (Literata).
 */
export const SLAB_SIGNS: readonly SlabSign[] = [
  {
    name: 'thickness of the feet',
    unit: 'stems',
    value: ({ footThickness }) => footThickness,
    limit: 0.55,
    slabs: 'above',
  },
  {
    name: 'their growth towards the stroke',
    unit: 'times',
    value: ({ footGrowth }) => footGrowth,
    limit: 1.3,
    slabs: 'below',
  },
  {
    name: 'stroke contrast',
    unit: 'times',
    value: ({ contrast }) => contrast,
    limit: 1.6,
    slabs: 'below',
  },
];

/** What one sign says of a face with feet, and how far from its limit the face lies. */
export interface SlabReading {
  name: string;
  unit: string;
  value: number;
  limit: number;
  says: 'slab serif' | 'serif';
}

/** The three signs read on a face; empty for one without feet. */
export function slabReadings(measures: FaceMeasures): SlabReading[] {
  if ((measures.foot ?? 0) <= SERIF_FOOT) return [];
  return SLAB_SIGNS.flatMap(({ name, unit, value, limit, slabs }) => {
    const read = value(measures);
    if (read === null) return [];
    const isSlab = slabs === 'above' ? read >= limit : read <= limit;
    return [{ name, unit, value: read, limit, says: isSlab ? 'slab serif' : 'serif' }];
  });
}

/** The class that the outlines show, or null for a face without the letters that tell. */
export function measuredClass(measures: FaceMeasures): MeasuredClass | null {
  const { monospaced, foot, slope } = measures;
  if (monospaced) return 'monospaced';
  if (foot === null || Math.abs(slope) > LEANS) return null;
  if (foot <= SERIF_FOOT) return 'sans serif';
  const readings = slabReadings(measures);
  const agreed = readings.length === SLAB_SIGNS.length;
  return agreed && readings.every(({ says }) => says === 'slab serif') ? 'slab serif' : 'serif';
}

/** The class that a face with such outlines would claim. */
const CLASS_AS: Record<MeasuredClass, FaceClass> = {
  serif: 'serif',
  'slab serif': 'serif',
  'sans serif': 'sans-serif',
  monospaced: 'monospace',
};

/** The class to list a face under that claims none: the one it is drawn in, else a display face. */
export function classDrawn(measures: FaceMeasures): FaceClass {
  const measured = measuredClass(measures);
  return measured ? CLASS_AS[measured] : 'display';
}

const SAYS: Partial<Record<FaceClass, MeasuredClass[]>> = {
  serif: ['serif', 'slab serif'],
  'sans-serif': ['sans serif'],
  monospace: ['monospaced'],
};

/** Whether the class that a library or a file claims is one that the outlines contradict. */
export function classesDisagree(claimed: FaceClass, measured: MeasuredClass | null): boolean {
  const agreeing = SAYS[claimed];
  return agreeing !== undefined && measured !== null && !agreeing.includes(measured);
}

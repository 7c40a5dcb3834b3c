import type { FaceClass } from '../document/vocabulary';
import type { FaceMeasures } from './measureFace';

/** What the outlines say a face is. A display or a written face shows in none of them for sure. */
export type MeasuredClass = 'serif' | 'slab serif' | 'sans serif' | 'monospaced';

/** A foot wider than this many stems is a serif; one at least this thick, in stems, is a slab. */
export const SERIF = { footWidth: 1.35, slabThickness: 0.6 };
/** A stroke that leans more ends in a curve, not in a foot, degrees. */
const LEANS = 6;

/** The class that the outlines show, or null for a face without the letters that tell. */
export function measuredClass(measures: FaceMeasures): MeasuredClass | null {
  const { monospaced, foot, footThickness, slope } = measures;
  if (monospaced) return 'monospaced';
  if (foot === null || Math.abs(slope) > LEANS) return null;
  if (foot <= SERIF.footWidth) return 'sans serif';
  return (footThickness ?? 0) >= SERIF.slabThickness ? 'slab serif' : 'serif';
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

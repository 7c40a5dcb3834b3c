import type { FaceClass } from '../document/vocabulary';
import { measuresAt } from '../measure/weights';
import { fitnessOf, type FitnessReason, type PartFitness } from '../measure/fitness';
import { measuredClass, type MeasuredClass } from '../measure/measuredClass';
import type { FaceMeasures } from '../measure/measureFace';
import type { SetAt, TextUse } from '../style/textUse';
import { nearestWeight } from '../style/weightPlan';
import type { Partner, Role } from './partner';

/** How a family is drawn, in the words that a reason uses. */
export type Kind = MeasuredClass | 'written' | 'display';

/** Slab serifs are serifs too: the two are no plain reason for two, and have one middle. */
export const genusOf = (kind: Kind): Kind => (kind === 'slab serif' ? 'serif' : kind);

/** A family as it would stand in a voice: at the weight and size that the voice is set in. */
export interface Seated {
  partner: Partner;
  role: Role;
  kind: Kind;
  /** Measured at 400, or at the weight nearest to it: how the family is drawn. */
  regular: FaceMeasures;
  /** Measured at the weight that the voice is set in, or the nearest that the family has. */
  face: FaceMeasures;
  /** The weight that it shows, and the smallest size in CSS px. */
  setAt: SetAt;
  /** Its fitness for what the voice sets. */
  fitness: PartFitness;
  /** Whether it is drawn for size alone: unfit for running text, and not for being monospaced. */
  forSize: boolean;
  /** What is missing from it for text. */
  offer: readonly string[];
}

const KIND_OF_CLASS: Record<FaceClass, Kind> = {
  serif: 'serif',
  'sans-serif': 'sans serif',
  monospace: 'monospaced',
  display: 'display',
  handwriting: 'written',
};

/** How a family is drawn: as measured, where the outlines tell, and as claimed where they cannot. */
function kindOf({ class: claimed }: Partner, regular: FaceMeasures): Kind {
  return claimed === 'handwriting' ? 'written' : (measuredClass(regular) ?? KIND_OF_CLASS[claimed]);
}

const SIZE_OF: Record<Role, keyof TextUse['sizes']> = {
  heading: 'headings',
  subheading: 'subheadings',
  text: 'running',
};

/** A face drawn for size alone competes with the heading above it. */
const TOO_LOUD: FitnessReason = { text: 'drawn for size, it competes with the heading', cost: 1 };

const tooLoud = ({ verdict, reasons }: PartFitness): PartFitness => ({
  verdict: verdict === 'unfit' ? 'unfit' : 'caveat',
  reasons: [TOO_LOUD, ...reasons],
});

/** A family as a site would set it in a voice; null for one that was not measured. */
export function seatIn(partner: Partner, role: Role, use: TextUse): Seated | null {
  const { measures, faces } = partner;
  if (!measures) return null;
  const wanted = use.sizes[SIZE_OF[role]];
  const uprights = faces.filter(({ style }) => style === 'normal');
  const weight = nearestWeight(uprights.length > 0 ? uprights : faces, wanted.weight);
  const setAt = { size: wanted.size, weight };
  const part = role === 'text' ? 'running' : 'headings';
  const { drawn, offer } = fitnessOf(
    { measures, faces, claimed: partner.class },
    { ...use, sizes: { ...use.sizes, [part]: setAt } },
  );
  const forSize = drawn.running.verdict === 'unfit' && !measures.regular.monospaced;
  return {
    partner,
    role,
    kind: kindOf(partner, measures.regular),
    regular: measures.regular,
    face: measuresAt(measures, weight),
    setAt,
    fitness: role === 'subheading' && forSize ? tooLoud(drawn[part]) : drawn[part],
    forSize,
    offer,
  };
}

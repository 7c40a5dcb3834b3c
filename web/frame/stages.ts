import { stages as say } from './words';
/** The parts of the job, in the order in which designers work. */
export const STAGES = [
  { key: 'stock', name: say.takeStock, letter: 'k' },
  { key: 'faces', name: 'Faces', letter: 'a' },
  { key: 'pair', name: 'Pair', letter: 'p' },
  { key: 'scale', name: 'Scale', letter: 's' },
  { key: 'fallbacks', name: 'Fallbacks', letter: 'f' },
  { key: 'styles', name: 'Styles', letter: 't' },
  { key: 'deliver', name: 'Deliver', letter: 'd' },
] as const;

export type StageKey = (typeof STAGES)[number]['key'];

export const isStage = (value: unknown): value is StageKey =>
  STAGES.some(({ key }) => key === value);

import { AS_LATIN, script } from './script';

export const greek = script({
  key: 'greek',
  name: 'Greek',
  iso: ['Grek'],
  has: /\p{Script=Greek}/u,
  capitals: true,
  body: { of: 'top', letters: ['κ', 'χ', 'ι'], called: 'x-height', againstX: 1 },
  reaches: 'ΐΆζφρ',
  stroke: 'ο',
  sentence: 'Όλοι οι άνθρωποι γεννιούνται ελεύθεροι και ίσοι στην αξιοπρέπεια και τα δικαιώματα.',
  setting: AS_LATIN,
});

import type { Seated } from './seated';

type Say = [holds: (seat: Seated) => boolean, words: string];

const width = ({ face }: Seated): number => face.width ?? 1;
const serifs = ({ kind }: Seated): boolean => kind === 'serif' || kind === 'slab serif';

/** What headings in a family are like, the first that holds. */
const ABOVE: readonly Say[] = [
  [({ face }) => face.lowerCase !== 'own', 'signs and titles in capitals'],
  [({ kind }) => kind === 'written', 'a word or two in a personal hand'],
  [({ kind }) => kind === 'monospaced', 'headings with a machine’s tone'],
  [(seat) => width(seat) <= 0.8, 'long headings in little room'],
  [(seat) => width(seat) >= 1.16, 'short, wide headings'],
  [({ regular }) => (regular.contrast ?? 0) >= 4, 'large headings with fine hairlines'],
  [({ regular }) => (regular.colour ?? 0) >= 0.21, 'short, dark headings'],
  [({ kind }) => kind === 'slab serif', 'sturdy headings'],
  [serifs, 'bookish headings'],
  [({ face }) => (face.squareness ?? 0) >= 0.18, 'firm headings with square shoulders'],
  [({ face }) => (face.squareness ?? 1) <= 0.05, 'clean, round headings'],
  [({ face }) => (face.aperture ?? 1) <= 0.19, 'tight, closed headings'],
  [({ face }) => (face.aperture ?? 0) >= 0.32, 'open, friendly headings'],
];

/** What text in a family is like, the first that holds. */
const BELOW: readonly Say[] = [
  [({ kind }) => kind === 'monospaced', 'code and data'],
  [(seat) => serifs(seat) && (seat.face.contrast ?? 0) > 2.6, 'long reading at larger sizes'],
  [(seat) => serifs(seat) && (seat.face.xHeight ?? 0) < 0.455, 'long reading, set a little larger'],
  [serifs, 'long reading on any screen'],
  [({ face }) => (face.aperture ?? 0) >= 0.28, 'forms, tables and small sizes'],
  [({ face }) => (face.width ?? 1) < 0.965, 'much text in little room'],
];

const first = (says: readonly Say[], seat: Seated, otherwise: string): string =>
  says.find(([holds]) => holds(seat))?.[1] ?? otherwise;

/** What a family is good for in the part that it is sought for, in a phrase. */
export const goodFor = (seat: Seated): string =>
  seat.role === 'text'
    ? first(BELOW, seat, 'short texts and interfaces')
    : first(ABOVE, seat, 'plain headings');

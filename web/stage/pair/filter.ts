import type { TextPart } from '@lettera/core/measure';
import { sameSuperfamily, type Partner, type Role } from '@lettera/core/pairing';
import { partnerOf } from '../../store/families';
import type { LineUpRow } from '../../store/rows/rows';

/** What partners are narrowed to. */
export interface PartnerFilter {
  class: 'any' | 'same' | 'other';
  wanted: ('superfamily' | 'fit' | 'italic' | 'case')[];
  /** Whether every letter of the site's languages must be there. */
  languages: boolean;
  /** Scripts that it must have files of. */
  scripts: string[];
  mostBytes: number | null;
}

export const NO_PARTNER_FILTER: PartnerFilter = {
  class: 'any',
  wanted: [],
  languages: false,
  scripts: [],
  mostBytes: null,
};

const PART_OF: Record<Role, TextPart> = {
  heading: 'headings',
  subheading: 'headings',
  text: 'running',
};

/** Whether a family passes as a partner for those that are held. */
export function passesAsPartner(
  row: LineUpRow,
  held: readonly LineUpRow[],
  sought: Role,
  filter: PartnerFilter,
  languages: readonly string[],
): boolean {
  const partner: Partner = partnerOf(row);
  const wants = (what: PartnerFilter['wanted'][number]) => filter.wanted.includes(what);
  return (
    (filter.class === 'any' ||
      held.every((one) => (row.class === one.class) === (filter.class === 'same'))) &&
    (!wants('superfamily') || held.some((one) => sameSuperfamily(partner, partnerOf(one)))) &&
    (!wants('fit') || row.fitness?.drawn[PART_OF[sought]].verdict === 'fit') &&
    (!wants('italic') || row.measures?.italic === 'drawn') &&
    (!wants('case') || row.caseKey !== null) &&
    (!filter.languages || languages.every((tag) => row.measures?.languages.includes(tag))) &&
    filter.scripts.every((script) => row.scripts.includes(script)) &&
    (filter.mostBytes === null || row.bytes <= filter.mostBytes)
  );
}

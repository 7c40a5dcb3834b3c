import { sameSuperfamily, type Partner } from '@lettera/core/pairing';
import { partnerOf } from '../../store/families';
import type { LineUpRow } from '../../store/rows/rows';

/** What partners are narrowed to. */
export interface PartnerFilter {
  class: 'any' | 'same' | 'other';
  wanted: ('superfamily' | 'text' | 'italic' | 'case')[];
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

/** Whether a family passes as a partner for the held one. */
export function passesAsPartner(
  row: LineUpRow,
  held: LineUpRow,
  filter: PartnerFilter,
  languages: readonly string[],
): boolean {
  const partner: Partner = partnerOf(row);
  const wants = (what: PartnerFilter['wanted'][number]) => filter.wanted.includes(what);
  return (
    (filter.class === 'any' || (row.class === held.class) === (filter.class === 'same')) &&
    (!wants('superfamily') || sameSuperfamily(partner, partnerOf(held))) &&
    (!wants('text') || row.fitness?.use === 'text') &&
    (!wants('italic') || row.italic) &&
    (!wants('case') || row.caseKey !== null) &&
    (!filter.languages || languages.every((tag) => row.measures?.languages.includes(tag))) &&
    filter.scripts.every((script) => row.scripts.includes(script)) &&
    (filter.mostBytes === null || row.bytes <= filter.mostBytes)
  );
}

/** What a font file says of being embedded, from `fsType`. OpenType 1.9, OS/2 "fsType". */
export interface EmbeddingRights {
  /** The licence that the field states, in words. */
  says: string;
  /** Whether it may not stand on a web page without a further licence. */
  forbidsWeb: boolean;
  /** Whether it may not be cut to some of its characters. */
  forbidsSubsetting: boolean;
}

const RESTRICTED = 0x0002;
const PREVIEW_AND_PRINT = 0x0004;
const EDITABLE = 0x0008;
const NO_SUBSETTING = 0x0100;
const BITMAPS_ONLY = 0x0200;

/** The least restrictive of the usage bits set holds; none set means installable. */
function usage(fsType: number): { says: string; forbidsWeb: boolean } {
  if (fsType & EDITABLE) return { says: 'editable embedding', forbidsWeb: false };
  if (fsType & PREVIEW_AND_PRINT) return { says: 'preview and print only', forbidsWeb: true };
  if (fsType & RESTRICTED) return { says: 'restricted: no embedding', forbidsWeb: true };
  return { says: 'installable', forbidsWeb: false };
}

/** The embedding rights in a font's `fsType`. What its licence says goes before it. */
export function embeddingRights(fsType: number): EmbeddingRights {
  const { says, forbidsWeb } = usage(fsType);
  const forbidsSubsetting = (fsType & NO_SUBSETTING) !== 0;
  const bitmaps = (fsType & BITMAPS_ONLY) !== 0;
  return {
    says: [says, forbidsSubsetting && 'no subsetting', bitmaps && 'bitmaps only']
      .filter(Boolean)
      .join(', '),
    forbidsWeb: forbidsWeb || bitmaps,
    forbidsSubsetting,
  };
}

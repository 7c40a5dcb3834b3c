import { EVERY_CHARACTER, sharedUnicodeRange, unitedUnicodeRange } from '../css/unicodeRange';
import type { DeliveryEvidence, DeliveryPlan } from './plan';

/**
 * The characters that the delivered files of each family have together, as a `unicode-range` by the family's key
 * in the case. A family that no file is delivered of is left out; a file that was not read is taken to have all.
 */
export function heldCharacters(
  { files }: Pick<DeliveryPlan, 'files'>,
  { readings }: Pick<DeliveryEvidence, 'readings'>,
): Record<string, string> {
  const held = new Map<string, string[]>();
  for (const { familyKey, file, source, cut } of files) {
    const kept = sharedUnicodeRange(file.unicodeRange, cut?.characters ?? null);
    const range = sharedUnicodeRange(kept || EVERY_CHARACTER, readings[source]?.characters ?? null);
    held.set(familyKey, [...(held.get(familyKey) ?? []), range].filter(Boolean));
  }
  return Object.fromEntries(
    [...held].map(([family, ranges]) => [family, unitedUnicodeRange(ranges)]),
  );
}

import { EVERY_CHARACTER, sharedUnicodeRange, unitedUnicodeRange } from '../css/unicodeRange';
import type { DeliveryWays, KnownFonts } from './deliveryWays';

/**
 * The characters that the delivered files of each family have together, as a `unicode-range` by the family's key
 * in the case: the same in whichever way they are made. A family that no file is delivered of is left out; a file that was not read is taken to have all.
 */
export function heldCharacters(
  { parts }: Pick<DeliveryWays, 'parts'>,
  { readings }: Pick<KnownFonts, 'readings'>,
): Record<string, string> {
  const held = new Map<string, string[]>();
  for (const { familyKey, file, source, cut } of parts.flatMap(({ ways: [first = []] }) => first)) {
    const kept = sharedUnicodeRange(file.unicodeRange, cut?.characters ?? null);
    const range = sharedUnicodeRange(kept || EVERY_CHARACTER, readings[source]?.characters ?? null);
    const ranges = held.get(familyKey) ?? [];
    if (range) ranges.push(range);
    held.set(familyKey, ranges);
  }
  return Object.fromEntries(
    [...held].map(([family, ranges]) => [family, unitedUnicodeRange(ranges)]),
  );
}

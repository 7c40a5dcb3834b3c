import type { StackEntry } from '../../fallback/stackEntry';

/** FNV-1a, 32 bits: http://www.isthe.com/chongo/tech/comp/fnv/. */
function hash32(text: string): number {
  let hash = 0x811c9dc5;
  for (const byte of new TextEncoder().encode(text)) hash = Math.imul(hash ^ byte, 0x01000193);
  return hash >>> 0;
}

/**
 * What the stack of a voice is counted under: another, when its entries are others, so that what was counted of an
 * earlier one is not taken for this one's.
 */
export const stackCounted = (voice: string, stack: readonly Pick<StackEntry, 'name'>[]): string =>
  `${voice}@${hash32(stack.map(({ name }) => name).join('\n'))
    .toString(16)
    .padStart(8, '0')}`;

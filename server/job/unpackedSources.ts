import { createHash } from 'node:crypto';
import { unpack } from '@lettera/core/font/file';

/** Sources of the families that are cut in turn: a voice's own, and those of its scripts. */
const KEPT = 4;

const kept = new Map<string, Promise<Uint8Array>>();

/**
 * A font as it is unpacked, from those that this process cut last where it is among them: unpacking one of ten
 * thousand letters takes ten times as long as cutting some out, and such a font is cut into a hundred files.
 * @throws FontError where it cannot be unpacked
 */
export function unpackedSource(bytes: Uint8Array): Promise<Uint8Array> {
  const key = createHash('sha256').update(bytes).digest('hex');
  const sfnt = kept.get(key) ?? unpack(bytes).then((font) => font.sfnt);
  // The latest stands last.
  kept.delete(key);
  kept.set(key, sfnt);
  sfnt.catch(() => kept.delete(key));
  for (const oldest of [...kept.keys()].slice(0, -KEPT)) kept.delete(oldest);
  return sfnt;
}

import { Blob, Face } from 'harfbuzzjs';
import type { UnpackedFont } from './container';

/** An OpenType feature that a face offers to be switched on, and what it is called. */
export interface OfferedFeature {
  tag: string;
  /** As the face names it, else what its registration says. */
  name: string;
}

/**
 * What registered features give (OpenType 1.9, "Registered features"). Those left out are always on, belong to
 * the shaping of a script, or have a property of their own.
 */
const REGISTERED: Readonly<Record<string, string>> = {
  afrc: 'upright fractions',
  case: 'signs at the height of capitals',
  cpsp: 'spacing for capitals',
  cswh: 'contextual swashes',
  hist: 'historical forms',
  mgrk: 'mathematical Greek',
  nalt: 'letters in circles and boxes',
  ordn: 'ordinals',
  ornm: 'ornaments',
  rand: 'random forms',
  salt: 'other forms of letters',
  sinf: 'scientific inferiors',
  subs: 'subscript',
  sups: 'superscript',
  swsh: 'swashes',
  titl: 'forms for titling',
};
/** Stylistic sets and character variants, which a face may name. */
const NUMBERED: readonly [pattern: RegExp, name: string][] = [
  [/^ss(0[1-9]|1\d|20)$/, 'stylistic set'],
  [/^cv(0[1-9]|[1-9]\d)$/, 'character variant'],
];

/** Features of the GSUB table by tag, and the number of the name that each gives itself. */
function featureNames(gsub: DataView): Map<string, number | null> {
  const names = new Map<string, number | null>();
  const list = gsub.getUint16(6);
  for (let i = 0; i < gsub.getUint16(list); i++) {
    const record = list + 2 + 6 * i;
    const tag = String.fromCharCode(...[0, 1, 2, 3].map((at) => gsub.getUint8(record + at)));
    const feature = list + gsub.getUint16(record + 4);
    const params = gsub.getUint16(feature);
    // Both kinds of parameters, of `ss` and of `cv`, hold the name’s number after their first word.
    const name = params === 0 ? null : gsub.getUint16(feature + params + 2);
    if (!names.get(tag)) names.set(tag, name);
  }
  return names;
}

/**
 * The features that a face offers to be switched on, by tag. OpenType 1.9, "GSUB", "Feature parameters".
 * A table that runs out of its bounds offers none.
 */
export function offeredFeatures({ sfnt, tables }: UnpackedFont): OfferedFeature[] {
  const record = tables.get('GSUB');
  if (!record) return [];
  let names: Map<string, number | null>;
  try {
    names = featureNames(new DataView(sfnt.buffer, sfnt.byteOffset + record.offset, record.length));
  } catch {
    return [];
  }
  const face = new Face(new Blob(sfnt));
  return [...names]
    .flatMap(([tag, id]): OfferedFeature[] => {
      const [, kind] = NUMBERED.find(([pattern]) => pattern.test(tag)) ?? [];
      const known = kind ? `${kind} ${Number(tag.slice(2))}` : REGISTERED[tag];
      if (known === undefined) return [];
      const own = kind && id ? face.getName(id, 'en').trim().slice(0, 80) : '';
      return [{ tag, name: own || known }];
    })
    .sort((a, b) => (a.tag < b.tag ? -1 : 1));
}

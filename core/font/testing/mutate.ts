/** Numbers from 0 up to 1 that are the same at every run. Mulberry32, public domain, T. Ettinger. */
export function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

type Mutation = (file: Uint8Array, random: () => number) => Uint8Array;

const at = (length: number, random: () => number): number => Math.floor(random() * length);

/** Bytes turned into others, few or many, anywhere. */
const flipBytes: Mutation = (file, random) => {
  const mutated = file.slice();
  const count = 1 + at(60, random);
  for (let i = 0; i < count; i++) mutated[at(file.length, random)] = at(256, random);
  return mutated;
};

/** The end cut off. */
const cutShort: Mutation = (file, random) => file.slice(0, at(file.length, random));

/** A field of the header or of the table directory that says something else: lengths, offsets, counts. */
const lieInDirectory: Mutation = (file, random) => {
  const mutated = file.slice();
  const view = new DataView(mutated.buffer);
  const end = Math.min(file.length - 4, 12 + 16 * 20);
  const lies = [
    0,
    1,
    0x7fffffff,
    0xffffffff,
    file.length,
    file.length * 2,
    at(file.length, random),
  ];
  const count = 1 + at(3, random);
  for (let i = 0; i < count; i++) {
    view.setUint32(4 + 4 * at(end / 4 - 1, random), (lies[at(lies.length, random)] ?? 0) >>> 0);
  }
  return mutated;
};

/** A stretch in the middle taken out, so that all that follows stands in the wrong place. */
const cutOut: Mutation = (file, random) => {
  const from = at(file.length, random);
  const to = Math.min(file.length, from + 1 + at(file.length / 4, random));
  return Uint8Array.from([...file.subarray(0, from), ...file.subarray(to)]);
};

/** A stretch written over with zeros or with ones. */
const blank: Mutation = (file, random) => {
  const mutated = file.slice();
  const from = at(file.length, random);
  mutated.fill(random() < 0.5 ? 0 : 0xff, from, from + at(2000, random));
  return mutated;
};

const MUTATIONS = [flipBytes, flipBytes, cutShort, lieInDirectory, lieInDirectory, cutOut, blank];

/** A font file damaged or made to lie, always the same for the same number. */
export function mutated(file: Uint8Array, number: number): Uint8Array {
  const random = seeded(number);
  const mutation = MUTATIONS[number % MUTATIONS.length] ?? flipBytes;
  return mutation(file, random);
}

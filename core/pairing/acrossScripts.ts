import { besideSize } from '../measure/besideSize';
import { fitnessOf, type FitnessUse } from '../measure/fitness';
import { measuresAt } from '../measure/weights';
import { scriptOf, type Language, type Script } from '../script';
import { sameSuperfamily, type Partner } from './partner';

/** Why a family of another script stands where it does, in words with figures. */
export interface ScriptReason {
  text: string;
  /** How much it tells: for it above 0, against it below. */
  weight: number;
}

/** A family that may serve a script beside a held one. */
export interface ScriptPartner {
  key: string;
  /** How many times the text's size it would be set at. */
  size: number;
  reasons: ScriptReason[];
  score: number;
}

/** What is held, and the weight that its voice is set in. */
export interface HeldBeside {
  partner: Partner;
  weight: number;
}

/** What counts how much, ours; held by families whose company is well known (`acrossScripts.test.ts`). */
const WEIGHTS = {
  /** Strokes that swell beside strokes that do not are two hands on one page. */
  contrast: 2,
  /** A darker script shouts in the midst of a line. */
  colour: 1.2,
  superfamily: 1.5,
  /** Letters far from their own size carry strokes and spaces that were drawn for another. */
  size: 1,
  weights: 0.5,
  /** What tires in text, or breaks up. */
  fitness: 1.5,
  languages: 3,
} as const;

/** Ratios within which two look alike, and beyond which they look like two. */
const ALIKE = { contrast: 1.25, colour: 1.12, size: 1.12 } as const;
const APART = { contrast: 2.2, colour: 1.6, size: 1.45 } as const;
/** Sizes that fitness is judged at where a voice is not asked at any, CSS px: those of a page that is not told of. */
const RUNNING: FitnessUse['sizes'] = {
  running: { size: 17, weight: 400 },
  short: { size: 14, weight: 400 },
  headings: { size: 26, weight: 700 },
};
/** The stroke is measured on the regular: other weights are in proportion. */
const REGULAR = 400;

const upward = (ratio: number): number => (ratio < 1 ? 1 / ratio : ratio);

/** From 1 where two are alike to −1 where they are apart. */
function nearness(ratio: number, key: keyof typeof ALIKE): number {
  const [from, to] = [Math.log(ALIKE[key]), Math.log(APART[key])];
  const at = (Math.log(upward(ratio)) - from) / (to - from);
  return 1 - 2 * Math.min(1, Math.max(0, at));
}

const percent = (ratio: number): string => `${((upward(ratio) - 1) * 100).toFixed(0)} %`;
const one = (value: number): string => value.toFixed(1);

/** Families whose names differ only in the name of a script: drawn to go together. */
const withoutScript = (partner: Partner, { name }: Script): Partner => ({
  ...partner,
  name: partner.name.replace(new RegExp(`\\b(${name}|naskh|jp|kr|sc|tc)\\b`, 'giu'), '').trim(),
});

/** The families that can serve a script beside a held one, the best first; equal ones by key. */
export function scriptPartners(
  held: HeldBeside,
  candidates: readonly Partner[],
  scriptKey: string,
  languages: readonly Pick<Language, 'tag' | 'name'>[],
): ScriptPartner[] {
  const script = scriptOf(scriptKey);
  if (!script || !held.partner.measures) return [];
  return candidates
    .flatMap((partner) => judged(held, partner, script, languages) ?? [])
    .sort((a, b) => b.score - a.score || (a.key < b.key ? -1 : 1));
}

function judged(
  { partner: beside, weight }: HeldBeside,
  partner: Partner,
  script: Script,
  languages: readonly Pick<Language, 'tag' | 'name'>[],
): ScriptPartner | null {
  const { measures } = partner;
  const own = measures?.scripts[script.key];
  if (!measures || !own || !beside.measures) return null;
  const size = besideSize(beside.measures, measures, script.key);
  if (size === null) return null;
  const reasons: ScriptReason[] = [];
  const add = (text: string, by: number) => reasons.push({ text, weight: by });

  const heldAt = measuresAt(beside.measures, weight);
  const { regular } = beside.measures;
  if (regular.contrast && own.thin && own.thick) {
    const contrast = own.thick / own.thin;
    const near = nearness(contrast / regular.contrast ** script.swells, 'contrast');
    const figures = `${one(contrast)} to 1 beside ${one(regular.contrast)}`;
    add(
      near > 0.5
        ? `strokes swell alike: ${figures}`
        : `strokes swell ${near > 0 ? 'a little ' : ''}${contrast > regular.contrast ** script.swells ? 'more' : 'less'}: ${figures}`,
      WEIGHTS.contrast * near,
    );
  }
  const atRegular = measuresAt(beside.measures, REGULAR);
  if (atRegular.stem && own.thick) {
    const ratio = (own.thick * size) / atRegular.stem;
    const near = nearness(ratio, 'colour');
    add(
      near > 0
        ? `equally dark at its size, within ${percent(ratio)}`
        : `${ratio > 1 ? 'darker' : 'lighter'} at its size, by ${percent(ratio)}`,
      WEIGHTS.colour * near,
    );
  }
  const near = nearness(size, 'size');
  if (near < 1) {
    add(
      `${near > 0 ? 'set' : 'has to be set'} at ${Math.round(size * 100)} % to look as large`,
      (WEIGHTS.size * (near - 1)) / 2,
    );
  } else add(`as large at its own size, within ${percent(size)}`, WEIGHTS.size / 2);
  if (sameSuperfamily(withoutScript(beside, script), withoutScript(partner, script)))
    add('of one superfamily', WEIGHTS.superfamily);
  const has = (wanted: number) =>
    partner.faces.some(
      ({ weightMin, weightMax }) => wanted >= weightMin - 50 && wanted <= weightMax + 50,
    );
  if (weight >= 600 && !has(weight)) {
    add(`no weight near ${weight}: a bold would be made up`, -2 * WEIGHTS.weights);
  } else if (!has(700)) add('no bold', -WEIGHTS.weights);
  else add('has a bold', WEIGHTS.weights / 2);
  if (heldAt.slope > 5) add('stands upright beside a face that leans', -WEIGHTS.weights);
  if (script.text) {
    const { drawn } = fitnessOf(
      { measures, faces: partner.faces, claimed: partner.class },
      { sizes: RUNNING, languages: [] },
      script.key,
    );
    const [worst] = weight >= 600 ? drawn.headings.reasons : drawn.running.reasons;
    if (worst) add(worst.text, -WEIGHTS.fitness * Math.min(1, worst.cost));
  }
  const lacking = languages.filter(({ tag }) => !measures.languages.includes(tag));
  if (lacking.length > 0) {
    add(
      `lacks some letters of ${lacking.map(({ name }) => name).join(', ')}`,
      (-WEIGHTS.languages * lacking.length) / languages.length / 2,
    );
  }
  return {
    key: partner.key,
    size,
    reasons: reasons.sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight)),
    score: reasons.reduce((sum, { weight: by }) => sum + by, 0),
  };
}

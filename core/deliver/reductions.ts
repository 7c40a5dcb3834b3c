import { siteName } from '../document/familyName';
import type { Patch } from '../document/patch';
import type { ProjectDocument } from '../document/projectDocument';
import { BODY_STYLE } from '../document/vocabulary';
import { resolveStyle } from '../style/resolve';
import { voiceUses } from '../style/usage';
import { weightPatch } from '../style/weightPlan';
import type { DeliveryPlan } from './plan';

/** One way to load less: what is given up in words, and the change that does it. */
export interface Reduction {
  /** What tells it from the others of a document. */
  key: string;
  says: string;
  patch: Patch;
}

/** What prices, dates and tables are made of. */
export const FIGURES = '0123456789 .,:;%+−–×/€£';

/** A weight fewer of a voice: the styles set in it take the nearest of the other weights. */
function weightsFewer(document: ProjectDocument): Reduction[] {
  return [...voiceUses(document)].flatMap(([voice, { requests }]) => {
    const { name = '', family } = document.voices[voice] ?? {};
    const upright = requests.filter(({ slant }) => slant === 'normal');
    const weights = [...new Set(upright.map(({ weight }) => weight))];
    if (!family || weights.length < 2) return [];
    // What the running text is set in stays.
    const body = resolveStyle(document, BODY_STYLE);
    const kept = body.voice.value === voice ? body.weight.value : null;
    const dispensable = weights.filter((weight) => weight !== kept);
    return dispensable.map((from): Reduction => {
      const others = weights.filter((weight) => weight !== from);
      const to = others.reduce((best, weight) =>
        Math.abs(weight - from) < Math.abs(best - from) ? weight : best,
      );
      const styles = requests.filter(({ weight }) => weight === from).flatMap((one) => one.styles);
      return {
        key: `weight ${voice} ${from}`,
        says: `${name} without ${from}: its ${styles.length === 1 ? 'style takes' : `${styles.length} styles take`} ${to}`,
        patch: weightPatch(
          document,
          styles.map((style) => ({ style, from, to })),
        ),
      };
    });
  });
}

/** A script fewer: the files that hold it leave the case. */
function scriptsFewer(document: ProjectDocument, { files }: DeliveryPlan): Reduction[] {
  const scripts = [...new Set(files.map(({ file }) => file.script))].filter(
    (script) => script !== 'latin' && script !== 'all',
  );
  return scripts.flatMap((script): Reduction[] => {
    const patch = Object.entries(document.case).flatMap(([key, { faces }]) =>
      faces.flatMap((face, f) => {
        if (face.files.every((file) => file.script === script)) return [];
        const kept = face.files.filter((file) => file.script !== script);
        return kept.length === face.files.length
          ? []
          : [{ op: 'replace' as const, path: `/case/${key}/faces/${f}/files`, value: kept }];
      }),
    );
    return patch.length === 0
      ? []
      : [
          {
            key: `script ${script}`,
            says: `No ${script} of its own: it shows in the fallback`,
            patch,
          },
        ];
  });
}

/** Families beside the text's that would set figures alone. */
function figuresOnly(document: ProjectDocument, { files }: DeliveryPlan): Reduction[] {
  const text = document.voices[resolveStyle(document, BODY_STYLE).voice.value ?? '']?.family;
  const keys = [...new Set(files.map(({ familyKey }) => familyKey))].filter((key) => key !== text);
  return keys.flatMap((key): Reduction[] => {
    const family = document.case[key];
    return !family || family.onlyFor !== undefined
      ? []
      : [
          {
            key: `figures ${key}`,
            says: `${siteName(family)} for figures only: its letters show in the fallback`,
            patch: [{ op: 'add', path: `/case/${key}/onlyFor`, value: FIGURES }],
          },
        ];
  });
}

const settings = ({ delivery }: ProjectDocument): Reduction[] => [
  ...(delivery.letters === 'whole'
    ? [
        {
          key: 'letters',
          says: 'Only what the site needs: the letters of its languages and pages, and its weights',
          patch: [{ op: 'replace' as const, path: '/delivery/letters', value: 'needed' }],
        },
      ]
    : []),
  ...(delivery.letters !== 'whole' && delivery.loanLetters !== false
    ? [
        {
          key: 'loan-letters',
          says: 'Without the letters of names and loan words (é, ñ, ü): where a text has one, it shows in the fallback',
          patch: [{ op: 'add' as const, path: '/delivery/loanLetters', value: false }],
        },
      ]
    : []),
  ...(delivery.boldItalics
    ? [
        {
          key: 'bold-italics',
          says: 'No bold inside italics of its own: browsers thicken the italic',
          patch: [{ op: 'replace' as const, path: '/delivery/boldItalics', value: false }],
        },
      ]
    : []),
  ...(delivery.features === 'used'
    ? []
    : [
        {
          key: 'features',
          says: 'Only the layout features that styles use',
          patch: [{ op: 'add' as const, path: '/delivery/features', value: 'used' }],
        },
      ]),
];

/** The ways to load less that a project has, each a change of its own. What each saves is for the files to tell. */
export const reductionsOf = (document: ProjectDocument, plan: DeliveryPlan): Reduction[] => [
  ...settings(document),
  ...weightsFewer(document),
  ...scriptsFewer(document, plan),
  ...figuresOnly(document, plan),
];

import { beforeAll, describe, expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { drawnFor } from '../../foundry/drawnFor';
import { familySheet } from '../measure/familySheet';
import { bytesAt } from '../measure/testing/faces';
import { languageOf } from '../script';
import { scriptPartners } from './acrossScripts';
import type { Partner } from './partner';

const MODULES = join(process.cwd(), 'node_modules');
const { dependencies } = JSON.parse(readFileSync('foundry/package.json', 'utf8')) as {
  dependencies: Record<string, string>;
};
const PACKAGES = Object.keys(dependencies).filter((name) => name.includes('fontsource'));

/** A family of the library, measured on its upright in the file of one script; null where it has none. */
async function partnerOf(name: string, script: string): Promise<Partner | null> {
  const folder = join(MODULES, name);
  const id = name.slice(name.indexOf('/') + 1);
  const metadata = JSON.parse(readFileSync(join(folder, 'metadata.json'), 'utf8')) as {
    family: string;
    category: Partner['class'];
    variable?: { wght?: { min: string; max: string } } | false;
  };
  const axis = metadata.variable ? metadata.variable.wght : undefined;
  const faces = readdirSync(join(folder, 'files')).flatMap((file) => {
    const [, of, weight] = /^(.+)-(wght|\d+)-normal\.woff2$/.exec(file) ?? [];
    if (of !== `${id}-${script}` || !weight) return [];
    const [weightMin, weightMax] =
      weight === 'wght' ? [Number(axis?.min), Number(axis?.max)] : [Number(weight), Number(weight)];
    return [{ style: 'normal' as const, weightMin, weightMax, file }];
  });
  const regular =
    faces.find(({ weightMin, weightMax }) => weightMin <= 400 && weightMax >= 400) ?? faces[0];
  if (!regular) return null;
  const file = bytesAt(join(folder, 'files', regular.file));
  const { measures } = await familySheet({ files: [file], weight: 400 }, null, [
    { file, weights: [400] },
  ]);
  return { key: id, name: metadata.family, class: metadata.category, faces, measures };
}

const held = new Map<string, Partner>();
const byScript = new Map<string, Partner[]>();

beforeAll(async () => {
  for (const id of [...SERIFS, ...SANS]) {
    const name = PACKAGES.find((one) => one.endsWith(`/${id}`)) ?? '';
    const partner = await partnerOf(name, 'latin');
    if (partner) held.set(id, partner);
  }
  for (const script of Object.keys(KNOWN)) {
    const all = await Promise.all(PACKAGES.map((name) => partnerOf(name, script)));
    byScript.set(
      script,
      all.filter((one) => one !== null),
    );
  }
}, 120_000);

/** Text faces whose strokes swell, and ones whose strokes do not; the second half of each was kept back. */
const SERIFS = ['literata', 'source-serif-4', 'newsreader', 'crimson-pro'];
const SANS = ['figtree', 'public-sans', 'hanken-grotesk', 'mulish'];

/** Of each script, families that are known to go with the first, and with the second. */
const KNOWN: Readonly<Record<string, readonly [serif: string[], sans: string[]]>> = {
  arabic: [
    ['noto-naskh-arabic', 'markazi-text', 'amiri'],
    ['noto-sans-arabic', 'vazirmatn', 'readex-pro', 'rubik'],
  ],
  hebrew: [
    ['noto-serif-hebrew', 'frank-ruhl-libre'],
    ['assistant', 'heebo', 'rubik', 'fredoka'],
  ],
  devanagari: [
    ['noto-serif-devanagari', 'martel'],
    ['noto-sans-devanagari', 'hind', 'kalam'],
  ],
  bengali: [['noto-serif-bengali'], ['hind-siliguri']],
  tamil: [['noto-serif-tamil'], ['catamaran', 'hind-madurai']],
  armenian: [['noto-serif-armenian'], ['noto-sans-armenian']],
  georgian: [['noto-serif-georgian'], ['noto-sans-georgian']],
  japanese: [['sawarabi-mincho'], ['biz-udpgothic', 'sawarabi-gothic']],
  korean: [['gowun-batang'], ['gowun-dodum']],
};

const orderFor = (id: string, script: string, weight = 400) => {
  const partner = held.get(id);
  if (!partner) throw new Error(`${id} is not in the library`);
  return scriptPartners({ partner, weight }, byScript.get(script) ?? [], script, []);
};

describe('partners in another script', () => {
  describe.each(Object.entries(KNOWN))('in %s', (script, [serif, sans]) => {
    test.each(SERIFS)('what goes with %s stands first', (id) => {
      expect(serif).toContain(orderFor(id, script)[0]?.key);
    });
    test.each(SANS)('what goes with %s stands first', (id) => {
      expect(sans).toContain(orderFor(id, script)[0]?.key);
    });
  });

  test('a family of the same superfamily is told, and why another is not first', () => {
    const [first, second] = orderFor('literata', 'japanese');
    expect(first?.reasons.map(({ text }) => text).join('; ')).toMatch(/strokes swell alike: \d/);
    expect(second?.reasons.map(({ text }) => text).join('; ')).toMatch(/strokes swell less: \d/);
    expect((first?.score ?? 0) > (second?.score ?? 0)).toBe(true);
  });

  test('a heading without a weight near its own would be thickened, and says so', () => {
    const mincho = orderFor('literata', 'japanese', 700).find(
      ({ key }) => key === 'sawarabi-mincho',
    );
    expect(mincho?.reasons.map(({ text }) => text)).toContain(
      'no weight near 700: a bold would be made up',
    );
  });

  test('a size near its own is told as that, another as the one that it is set at', () => {
    /** How much larger or smaller is still told as alike. */
    const ALIKE = 1.12;
    const told = { own: 0, set: 0 };
    for (const script of byScript.keys()) {
      for (const { size, reasons } of orderFor('public-sans', script)) {
        const texts = reasons.map(({ text }) => text);
        // Sizes are rounded to a hundredth once they are told.
        if ([ALIKE, 1 / ALIKE].some((limit) => Math.abs(size - limit) < 0.01)) continue;
        const isNear = size < ALIKE && size > 1 / ALIKE;
        told[isNear ? 'own' : 'set']++;
        expect(texts.some((text) => text.startsWith('as large at its own size'))).toBe(isNear);
        expect(texts.some((text) => text.endsWith('% to look as large'))).toBe(!isNear);
      }
    }
    expect(Math.min(told.own, told.set)).toBeGreaterThan(2);
  });

  test('letters of the site’s languages that are lacking weigh against a family', () => {
    const partner = held.get('literata');
    if (!partner) throw new Error('no Literata');
    const hindi = languageOf('hi');
    const bengali = languageOf('bn');
    const of = (languages: (typeof hindi)[]) =>
      scriptPartners(
        { partner, weight: 400 },
        byScript.get('devanagari') ?? [],
        'devanagari',
        languages.flatMap((one) => one ?? []),
      ).find(({ key }) => key === 'noto-serif-devanagari');
    expect(of([hindi])?.reasons.some(({ text }) => text.includes('lacks'))).toBe(false);
    const lacking = of([hindi, bengali]);
    expect(lacking?.reasons.map(({ text }) => text)).toContain('lacks some letters of Bangla');
    expect((lacking?.score ?? 0) < (of([hindi])?.score ?? 0)).toBe(true);
  });

  test('every family drawn for a script is measured in it, at a size within bounds', () => {
    for (const [script, partners] of byScript) {
      for (const partner of partners) {
        if (drawnFor(partner.key) !== script) continue;
        const found = orderFor('source-serif-4', script).find(({ key }) => key === partner.key);
        expect({ key: partner.key, size: found?.size }).toEqual({
          key: partner.key,
          size: expect.any(Number),
        });
        expect(found?.size).toBeGreaterThan(0.6);
        expect(found?.size).toBeLessThan(1.6);
      }
    }
  });

  test('none for a held family that was not measured, and for no script', () => {
    const partner = { ...(held.get('literata') as Partner), measures: null };
    expect(
      scriptPartners({ partner, weight: 400 }, byScript.get('arabic') ?? [], 'arabic', []),
    ).toEqual([]);
    expect(orderFor('literata', 'qaaa')).toEqual([]);
  });
});

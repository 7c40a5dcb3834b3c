import { describe, expect, test } from '@jest/globals';
import { applyChange } from '../change';
import type { Patch, ProjectDocument } from '../document';
import type { Axis } from '../font/reading';
import { inUnicodeRange } from '../css/unicodeRange';
import { face, family, plansOf, seatedDocument } from '../testing/documents';
import { stylesheet } from './stylesheet';
import { madeKey, PACKED, type Cut } from './cut';
import { heldCharacters } from './heldCharacters';
import { deliveryWays } from './deliveryWays';
import { casePlan, deliveryPlan, totalBytes, type DeliveryEvidence } from './plan';

type Readings = DeliveryEvidence['readings'];
const axis = (min: number, max: number, tag = 'wght'): Axis => ({
  tag,
  min,
  default: Math.max(min, Math.min(max, 400)),
  max,
});
const UPRIGHT = 'a'.repeat(64);
const ITALIC = 'b'.repeat(64);
const SEMIBOLD = 'c'.repeat(64);
const BOLD = 'd'.repeat(64);
const VARIABLE = { format: 'woff2', axes: [axis(200, 900)], fsType: 0 } as const;
const readings: Readings = {
  [UPRIGHT]: { ...VARIABLE, axes: [axis(200, 900)] },
  [ITALIC]: { ...VARIABLE, axes: [axis(200, 900)] },
  [SEMIBOLD]: { ...VARIABLE, axes: [] },
  [BOLD]: { ...VARIABLE, axes: [] },
};

const changed = (document: ProjectDocument, ...patch: Patch) =>
  applyChange(document, patch).document;
const set = (member: string, value: unknown): Patch[number] => ({
  op: 'add',
  path: `/delivery/${member}`,
  value,
});
const plan = (document = seatedDocument(), more: Partial<DeliveryEvidence> = {}) =>
  deliveryPlan(document, { readings, made: {}, copy: '', ...more });
const of = (source: string, document?: ProjectDocument, more?: Partial<DeliveryEvidence>) =>
  plan(document, more).files.filter((file) => file.source === source);
const cutOf = (source: string, document?: ProjectDocument, more?: Partial<DeliveryEvidence>) =>
  of(source, document, more)[0]?.cut;
/** What is wanted of a file that sets so many weights in two ways, with bytes for each. */
const madeIn = (source: string, bytes: (cut: Cut) => number, document?: ProjectDocument) =>
  Object.fromEntries(
    plan(document)
      .wanted.filter((file) => file.source === source)
      .map(({ cut }) => [madeKey(source, cut), bytes(cut)]),
  );

describe('the weights of a file', () => {
  test('are those that the text elements show, and its face says no more', () => {
    expect(cutOf(UPRIGHT)?.axes).toEqual({ wght: [400, 700] });
    expect(cutOf(ITALIC)?.axes).toEqual({ wght: [400, 400] });
    expect(of(UPRIGHT)[0]?.face).toMatchObject({ weightMin: 400, weightMax: 700 });
    const lighter = changed(seatedDocument(), {
      op: 'add',
      path: '/styles/body/set/weight',
      value: 300,
    });
    expect(cutOf(UPRIGHT, lighter)?.axes).toEqual({ wght: [300, 700] });
  });

  test('are those of bold inside italics too where that is delivered', () => {
    const crossed = changed(seatedDocument(), set('boldItalics', true));
    expect(cutOf(ITALIC, crossed)?.axes).toEqual({ wght: [400, 700] });
  });

  test('are kept as they were taken in where all is kept', () => {
    const whole = changed(seatedDocument(), set('letters', 'whole'));
    expect(cutOf(UPRIGHT, whole)).toBeNull();
    const narrower = changed(whole, {
      op: 'replace',
      path: '/case/literata/faces/0/weightMin',
      value: 350,
    });
    expect(cutOf(UPRIGHT, narrower)?.axes).toEqual({ wght: [350, 900] });
  });

  test('never go beyond the axis', () => {
    const heavy = changed(seatedDocument(), {
      op: 'add',
      path: '/styles/strong/set/weight',
      value: 950,
    });
    expect(cutOf(UPRIGHT, heavy)?.axes).toEqual({ wght: [400, 900] });
  });

  test.each([
    // The face of the sample goes from 200 to 900: an axis that only touches it is one of its own.
    ['that touches the face from above', [900, 1000], true],
    ['that touches the face from below', [100, 200], true],
    ['that lies beyond the face', [901, 1000], false],
  ] as const)('are limited on an axis %s', (_, [min, max], isItsOwn) => {
    const [reading] = [{ ...VARIABLE, axes: [axis(min, max)] }];
    const cut = cutOf(UPRIGHT, undefined, { readings: { ...readings, [UPRIGHT]: reading } });
    expect('wght' in (cut?.axes ?? {})).toBe(isItsOwn);
  });

  test.each([
    ['one file', 10_000, 6_000, 1],
    ['one file where both come to the same', 12_000, 6_000, 1],
    ['a file for each weight', 12_001, 6_000, 2],
  ])('come in the smaller of the two: %s', (_, together, each, count) => {
    const made = madeIn(UPRIGHT, ({ axes }) => {
      const [least, most] = axes['wght'] ?? [];
      return least === most ? each : together;
    });
    const files = of(UPRIGHT, undefined, { made });
    expect(files).toHaveLength(count);
    expect(totalBytes(files)).toBe(count === 1 ? together : 2 * each);
    expect(new Set(files.map(({ path }) => path)).size).toBe(count);
    if (count === 2) expect(files.map(({ face: { weightMin } }) => weightMin)).toEqual([400, 700]);
  });

  test('wait for both to be made', () => {
    const made = madeIn(UPRIGHT, () => 5_000);
    const [key = ''] = Object.keys(made);
    expect(totalBytes(of(UPRIGHT, undefined, { made: { [key]: 5_000 } }))).toBeNull();
    expect(totalBytes(of(UPRIGHT, undefined, { made }))).not.toBeNull();
  });
});

describe('other axes of a file', () => {
  const withAxis = (tag: string, min: number, max: number) => ({
    readings: {
      ...readings,
      [UPRIGHT]: { ...VARIABLE, axes: [axis(200, 900), axis(min, max, tag)] },
    },
  });

  test('are pinned where nothing moves along them', () => {
    expect(cutOf(UPRIGHT, undefined, withAxis('GRAD', 0, 500))?.axes).toMatchObject({
      GRAD: [400, 400],
    });
    expect(cutOf(UPRIGHT, undefined, withAxis('wdth', 75, 125))?.axes).toMatchObject({
      wdth: [100, 100],
    });
    expect(cutOf(UPRIGHT, undefined, withAxis('slnt', -10, 0))?.axes).toMatchObject({
      slnt: [0, 0],
    });
  });

  test('are limited to the points that styles set, with the file’s own where some do not', () => {
    const set700 = changed(seatedDocument(), {
      op: 'add',
      path: '/styles/lead/set/axes',
      value: 'GRAD 450',
    });
    expect(cutOf(UPRIGHT, set700, withAxis('GRAD', 0, 500))?.axes).toMatchObject({
      GRAD: [400, 450],
    });
  });

  test('of optical size are limited to the sizes of the text, or pinned where it is off', () => {
    const [small, large] = cutOf(UPRIGHT, undefined, withAxis('opsz', 6, 144))?.axes['opsz'] ?? [];
    expect(small).toBeGreaterThan(10);
    expect(large).toBeLessThan(60);
    const off = changed(seatedDocument(), {
      op: 'add',
      path: '/styles/body/set/opticalSize',
      value: 'none',
    });
    expect(cutOf(UPRIGHT, off, withAxis('opsz', 6, 144))?.axes['opsz']).toEqual([144, 144]);
  });

  test('of slant stay whole where an italic is made of the upright', () => {
    const upright = changed(seatedDocument(), { op: 'remove', path: '/case/literata/faces/1' });
    expect(cutOf(UPRIGHT, upright, withAxis('slnt', -10, 0))?.axes).not.toHaveProperty('slnt');
  });
});

describe('a family that shows only where it is installed', () => {
  const names = { fullName: 'Archivo Bold', postScriptName: 'Archivo-Bold' };
  const evidence = { readings: { ...readings, [BOLD]: { ...VARIABLE, axes: [], ...names } } };
  const local = changed(seatedDocument(), {
    op: 'add',
    path: '/case/archivo/localOnly',
    value: true,
  });

  test('has no file delivered, and the names of each face that is asked for', () => {
    expect(of(BOLD, local)).toEqual([]);
    expect(of(UPRIGHT, local)).not.toEqual([]);
    const { locals } = plan(local, evidence);
    expect(locals.map(({ face: { weightMin }, names: known }) => [weightMin, known])).toEqual([
      [600, []],
      [700, ['Archivo Bold', 'Archivo-Bold']],
    ]);
    expect(plan(seatedDocument(), evidence).locals).toEqual([]);
  });

  test('goes by its family’s name alone where it is the regular, whose name that is', () => {
    const namesOf = (...given: Parameters<typeof face>) => {
      const document = seatedDocument();
      const text = document.case['literata'];
      if (text) Object.assign(text, { localOnly: true, faces: [face(...given)] });
      return plan(document, { readings: {} }).locals.map(({ names }) => names);
    };
    expect(namesOf('normal', 400)).toEqual([['Literata']]);
    expect(namesOf('normal', 200, 400)).toEqual([['Literata']]);
    expect(namesOf('normal', 400, 900)).toEqual([['Literata']]);
    expect(namesOf('normal', 401)).toEqual([[]]);
    expect(namesOf('normal', 200, 399)).toEqual([[]]);
    expect(namesOf('italic', 400)).toEqual([[]]);
  });

  test('is a face over those names in the style sheet, and none over a file', () => {
    const { fallback } = plansOf(local);
    const css = stylesheet(local, { fallback, delivery: plan(local, evidence) });
    expect(css).toContain('src: local("Archivo Bold"), local("Archivo-Bold");');
    expect(css).not.toContain('archivo-700');
    expect(css).toContain('--font-heading: "Archivo",');
  });
});

describe('the characters of a file', () => {
  const range = (source: string, document?: ProjectDocument, more?: Partial<DeliveryEvidence>) =>
    of(source, document, more)[0]?.file.unicodeRange ?? '';

  test('are what the site needs of those that its face sets', () => {
    const alone = changed(seatedDocument(), set('loanLetters', false));
    expect(range(UPRIGHT, alone)).toBe(
      'U+20-7E, U+A0, U+A3, U+A7, U+A9, U+AB, U+AD-AE, U+B0, U+B7, U+BB, U+D7',
    );
    expect(cutOf(UPRIGHT, alone)?.characters).toBe(range(UPRIGHT, alone));
    expect(range(UPRIGHT, alone, { copy: 'þ' })).toMatch(/U\+D7, U\+DE, U\+FE$/);
  });

  test('are those of names and loan words too, and ask for no other file', () => {
    // Café, Beyoncé, señor, garçon, Þokuljós.
    for (const letter of 'éñçÉÑÇþß') {
      expect(inUnicodeRange(range(UPRIGHT), letter.codePointAt(0) ?? 0)).toBe(true);
    }
    const split = seatedDocument();
    split.case['literata']?.faces.forEach(({ files }) =>
      files.forEach((file) => Object.assign(file, { script: 'all', unicodeRange: null })),
    );
    expect(of(UPRIGHT, split).map(({ file }) => file.script)).toEqual(['all']);
    const greek = changed(seatedDocument(), { op: 'replace', path: '/languages', value: ['el'] });
    expect(inUnicodeRange(range(UPRIGHT, greek), 0xe9)).toBe(false);
  });

  test('are all of a script whose letters no table has, where pages are in it', () => {
    const document = seatedDocument();
    document.case['literata']?.faces.forEach(({ files }) =>
      files.forEach((file) => Object.assign(file, { script: 'all', unicodeRange: null })),
    );
    const scripts = (copy: string) =>
      of(UPRIGHT, document, { copy }).map(({ file }) => file.unicodeRange ?? '');
    const arabic = scripts('منارة').join();
    // A letter, a figure and a mark that the page does not have.
    for (const letter of 'ژ٤ٌ')
      expect(inUnicodeRange(arabic, letter.codePointAt(0) ?? 0)).toBe(true);
    // Of Greek, of which the table has the letters by language, and of Han, which is large, those there are.
    expect(scripts('λ').join()).toContain('U+39B, U+3BB');
    expect(scripts('灯').join()).toContain('U+706F');
    expect(scripts('灯').join()).not.toContain('U+706E');
  });

  test('are those of languages that the pages say they are in', () => {
    const said = { languages: ['pl-PL', 'x-none'] };
    const wide = seatedDocument();
    wide.case['literata']?.faces.forEach(({ files }) =>
      files.forEach((file) => Object.assign(file, { script: 'all', unicodeRange: null })),
    );
    const all = of(UPRIGHT, wide, said)
      .map(({ file }) => file.unicodeRange)
      .join();
    expect(inUnicodeRange(all, 'ł'.codePointAt(0) ?? 0)).toBe(true);
  });

  test('are only those that the file has', () => {
    const has = { ...readings, [UPRIGHT]: { ...VARIABLE, axes: [], characters: 'U+41-5A' } };
    expect(range(UPRIGHT, undefined, { readings: has })).toBe('U+41-5A');
    // It has no other that could be left out.
    expect(cutOf(UPRIGHT, undefined, { readings: has })).toBeNull();
    const more = { ...has, [UPRIGHT]: { ...VARIABLE, axes: [], characters: 'U+41-5A, U+2603' } };
    expect(cutOf(UPRIGHT, undefined, { readings: more })?.characters).toBe('U+41-5A');
  });

  test('are all where all is kept, and where a language’s letters are not known', () => {
    for (const document of [
      changed(seatedDocument(), set('letters', 'whole')),
      changed(seatedDocument(), { op: 'replace', path: '/languages', value: ['en', 'qaa'] }),
    ]) {
      expect(range(UPRIGHT, document)).toBe('U+0000-00FF');
      expect(cutOf(SEMIBOLD, document)).toBeNull();
    }
  });

  test('are those of given copy alone where a family sets no other', () => {
    const only = changed(
      seatedDocument(),
      { op: 'add', path: '/case/archivo/onlyFor', value: 'Þokuljós' },
      { op: 'remove', path: '/styles/kicker/set/case' },
    );
    expect(range(BOLD, only)).toBe('U+20, U+6A-6C, U+6F, U+73, U+75, U+DE, U+F3');
    expect(range(UPRIGHT, only)).toBe(range(UPRIGHT));
    const capitals = changed(only, {
      op: 'add',
      path: '/styles/heading/set/case',
      value: 'uppercase',
    });
    expect(range(BOLD, capitals)).toMatch(/U\+4A-4C, .*U\+D3/);
    // In capitals is another voice.
    const others = changed(only, { op: 'add', path: '/styles/lead/set/case', value: 'uppercase' });
    expect(range(BOLD, others)).toBe(range(BOLD, only));
  });

  test('are marks on its letters too, whichever file libraries have them in', () => {
    const upright = { ...VARIABLE, axes: [axis(200, 900)], characters: 'U+20-FF, U+303' };
    const known: Readings = { ...readings, [UPRIGHT]: upright };
    const range = (copy: string) =>
      of(UPRIGHT, seatedDocument(), { copy, readings: known })[0]?.file.unicodeRange ?? '';
    const has = (copy: string, character: string) =>
      inUnicodeRange(range(copy), character.codePointAt(0) ?? 0);
    // The font has the tilde, and draws an acute joined with its letter: a cedilla below m it has not.
    expect(has('m\u0303', '\u0303')).toBe(true);
    expect(has('e\u0301', '\u0301')).toBe(true);
    expect(has('m\u0331', '\u0331')).toBe(false);
    expect(has('m', '\u0303')).toBe(false);
  });

  test('are split by script where the file has several', () => {
    const document = seatedDocument();
    document.case['literata']?.faces.forEach(({ files }) =>
      files.forEach((file) => Object.assign(file, { script: 'all', unicodeRange: null })),
    );
    const files = of(UPRIGHT, document, { copy: 'λ Ж ő' });
    expect(files.map(({ file }) => [file.script, file.unicodeRange])).toEqual([
      ['cyrillic', 'U+416, U+436'],
      ['greek', 'U+39B, U+3BB'],
      ['latin', expect.stringMatching(/^U\+20-7E, /)],
      ['latin-ext', 'U+150-151'],
    ]);
    expect(new Set(files.map(({ path }) => path)).size).toBe(4);
  });
});

describe('the characters that delivered files have', () => {
  const held = (document = seatedDocument(), known = readings) =>
    heldCharacters(deliveryWays(document, { readings: known, copy: 'ř' }), {
      readings: known,
    });

  test('are those that they are cut to, by family', () => {
    expect(Object.keys(held())).toEqual(['archivo', 'literata']);
    const literata = held()['literata'] ?? '';
    expect([...'aZ9é'].every((one) => inUnicodeRange(literata, one.codePointAt(0) ?? 0))).toBe(
      true,
    );
    expect([...'ř光λ'].some((one) => inUnicodeRange(literata, one.codePointAt(0) ?? 0))).toBe(
      false,
    );
  });

  test('are no more than the files have', () => {
    const few = Object.fromEntries(
      Object.entries(readings).map(([key, one]) => [key, { ...one, characters: 'U+41-5A' }]),
    );
    expect(held(seatedDocument(), few)['literata']).toBe('U+41-5A');
    // A file that says what it is for has no more than that.
    const whole = changed(seatedDocument(), set('letters', 'whole'));
    expect(held(whole)['literata']).toBe('U+00-FF');
  });
});

describe('a file that is left out', () => {
  test('has nothing that others of its face have not, or marks alone', () => {
    const document = { ...seatedDocument(), languages: ['vi'] };
    const [first] = document.case['archivo']?.faces ?? [];
    const [template] = first?.files ?? [];
    if (!first || !template) throw new Error('There is no face');
    // As libraries part a family: what Vietnamese has stands in two of them.
    first.files = (
      [
        ['latin', 'U+0-FF'],
        ['latin-ext', 'U+100-24F, U+1E00-1EFF'],
        [
          'vietnamese',
          'U+102-103, U+110-111, U+128-129, U+168-169, U+1A0-1B0, U+300-301, U+1EA0-1EF9',
        ],
        ['cyrillic-ext', 'U+301, U+460-52F'],
      ] as const
    ).map(([script, unicodeRange], i) => ({
      ...template,
      sha256: String(i).repeat(64),
      script,
      unicodeRange,
    }));
    const { files, leftOut } = plan(document, { copy: 'e\u0301' });
    const own = (
      all: readonly { familyKey: string; face: { weightMin: number }; file: { script: string } }[],
    ) =>
      all.filter(
        ({ familyKey, file }) =>
          familyKey === 'archivo' &&
          file.script !== 'all' &&
          first.files.some((one) => one.script === file.script),
      );
    const kept = own(files).map(({ file }) => file.script);
    expect(kept).toContain('latin');
    // One of the two that have the letters, and none for the sake of a mark.
    expect(kept.filter((script) => script === 'latin-ext' || script === 'vietnamese')).toHaveLength(
      1,
    );
    expect(kept).not.toContain('cyrillic-ext');
    const why = Object.fromEntries(leftOut.map(({ file, why: one }) => [file.script, one]));
    expect(why['cyrillic-ext']).toBe('no-characters');
    expect(Object.values(why)).toContain('held-by-others');
  });

  test('is of a face that nothing asks for, or has no character that is needed', () => {
    const document = seatedDocument();
    document.case['archivo']?.faces.push(face('normal', 900, 900, 'e'));
    const [greek] = face('normal', 700, 700, 'f').files;
    if (greek) {
      document.case['archivo']?.faces[1]?.files.push({ ...greek, unicodeRange: 'U+370-3FF' });
    }
    const why = plan(document).leftOut.map(({ file, why: reason }) => [file.sha256[0], reason]);
    expect(why).toEqual([
      ['f', 'no-characters'],
      ['e', 'unused-face'],
    ]);
    expect(of('f'.repeat(64), document, { copy: 'ψ' })).toHaveLength(1);
    const whole = changed(document, set('letters', 'whole'));
    expect(plan(whole).leftOut).toEqual([]);
  });

  test('is of a family that nothing is set in; what it would cost is known all the same', () => {
    const idle = changed(seatedDocument(), {
      op: 'replace',
      path: '/voices/text/family',
      value: null,
    });
    expect(plan(idle).files.map(({ familyKey }) => familyKey)).not.toContain('literata');
    const cost = (document: ProjectDocument) =>
      casePlan(document, { readings, made: {}, copy: '' }).files.map(({ familyKey }) => familyKey);
    expect(cost(idle)).toContain('literata');
    const document = seatedDocument();
    Object.assign(document.case['literata'] ?? {}, {
      source: 'reference',
      reference: { stylesheet: 'https://type.tarnholm.example/s.css', standIn: 'Lora' },
    });
    expect(cost(document)).not.toContain('literata');
  });
});

describe('a file whose licence forbids it to be cut', () => {
  const NO_SUBSETTING = 0x0100;
  const forbidding = (format: 'woff2' | 'ttf') => ({
    readings: {
      ...readings,
      [UPRIGHT]: { ...VARIABLE, axes: [axis(200, 900)], fsType: NO_SUBSETTING, format },
    },
  });

  test('is delivered whole, packed at most, and said to be', () => {
    expect(of(UPRIGHT, undefined, forbidding('woff2'))).toMatchObject([
      { cut: null, bytes: 20_000, file: { unicodeRange: 'U+0000-00FF' } },
    ]);
    expect(cutOf(UPRIGHT, undefined, forbidding('ttf'))).toEqual(PACKED);
    expect(plan(undefined, forbidding('ttf')).uncut).toEqual(['Literata']);
    expect(plan().uncut).toEqual([]);
  });
});

describe('a file that is delivered', () => {
  test('is as it was taken in where nothing is known of it, or nothing is to be done', () => {
    expect(of(UPRIGHT, undefined, { readings: {} })).toMatchObject([{ cut: null, bytes: 20_000 }]);
    const whole = changed(seatedDocument(), set('letters', 'whole'));
    expect(of(BOLD, whole)).toMatchObject([{ cut: null, bytes: 20_000 }]);
  });

  test('is packed where it is no WOFF2, and has no bytes before it is made', () => {
    const whole = changed(seatedDocument(), set('letters', 'whole'));
    const ttf = { ...readings, [BOLD]: { ...VARIABLE, format: 'ttf' as const, axes: [] } };
    expect(of(BOLD, whole, { readings: ttf })).toMatchObject([{ cut: PACKED, bytes: null }]);
    const made = { [madeKey(BOLD, PACKED)]: 7_000 };
    expect(of(BOLD, whole, { readings: ttf, made })[0]?.bytes).toBe(7_000);
  });

  test('keeps every layout feature, or those in use', () => {
    expect(cutOf(BOLD)?.features).toBeNull();
    const used = changed(seatedDocument(), set('features', 'used'));
    expect(cutOf(BOLD, used)?.features).toEqual(expect.arrayContaining(['kern', 'liga', 'locl']));
    expect(cutOf(BOLD, used)?.features).not.toContain('onum');
    const old = changed(used, {
      op: 'add',
      path: '/styles/body/set/figures',
      value: 'oldstyle-nums',
    });
    expect(cutOf(BOLD, old)?.features).toContain('onum');
  });

  test('says what it is for', () => {
    expect(of(UPRIGHT)[0]?.purpose).toBe('Literata 400 to 700, latin');
    expect(of(ITALIC)[0]?.purpose).toBe('Literata 400 italic, latin');
  });

  test('has a path that no other has', () => {
    const document = seatedDocument();
    const twice = [face('normal', 400, 400, 'e'), face('normal', 400, 400, 'f')];
    document.case['literata'] = family('Literata', twice);
    const whole = changed(document, set('letters', 'whole'));
    const paths = plan(whole).files.map(({ path }) => path);
    expect(new Set(paths).size).toBe(paths.length);
    expect(paths).toContain('fonts/literata-400-normal-latin-2.woff2');
  });
});

test('bytes together are not known while one file’s are not', () => {
  expect(totalBytes([{ bytes: 2 }, { bytes: 3 }])).toBe(5);
  expect(totalBytes([{ bytes: null }, { bytes: 3 }])).toBeNull();
  expect(totalBytes([])).toBe(0);
});

import { createHash } from 'node:crypto';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { FaceReading } from '../font';
import { face, family, seatedDocument } from '../testing/documents';
import { applyChange, ChangeError, lookAt, patchBetween, patchesTouch, type Patch } from './change';
import { describePatch } from './describe';
import { newDocument } from './newDocument';
import type { Voice } from './projectDocument';
import {
  correctFacePatch,
  dropFacePatch,
  moveFacePatch,
  sharedPlaces,
  takeFilesIn,
} from './takeIn';
import { documentErrors } from './validate';

const replace = (path: string, value: unknown): Patch => [{ op: 'replace', path, value }];

function refusal(patch: unknown): ChangeError {
  try {
    applyChange(seatedDocument(), patch);
  } catch (error) {
    if (error instanceof ChangeError) return error;
  }
  throw new Error('The change was not refused');
}

describe('a document', () => {
  test('is valid as it starts, and with families seated', () => {
    expect(documentErrors(newDocument('Tarnholm'))).toEqual([]);
    expect(documentErrors(seatedDocument())).toEqual([]);
  });

  test.each([null, 4, 'text', [], {}])('is not %j', (value) => {
    expect(documentErrors(value)).not.toEqual([]);
  });

  test.each<[string, Patch, string, RegExp]>([
    ['a ratio of 0', replace('/scale/small/ratio', 0), '/scale/small/ratio', /less than 1/],
    [
      'a base of a million',
      replace('/scale/large/base', 1e6),
      '/scale/large/base',
      /greater than 64/,
    ],
    ['a ratio in words', replace('/scale/small/ratio', 'golden'), '/scale/small/ratio', /number/],
    ['ends that cross', replace('/scale/small/width', 1400), '/scale/small/width', /1280 px/],
    [
      'a family not in the case',
      replace('/voices/text/family', 'skerry'),
      '/voices/text/family',
      /not in the case/,
    ],
    [
      'a step out of the scale',
      replace('/styles/lead/set/step', 9),
      '/styles/lead/set/step',
      /step 9/,
    ],
    [
      'a style that follows itself',
      replace('/styles/heading/follows', 'heading-2'),
      '/styles/heading/follows',
      /itself/,
    ],
    [
      'an unknown property',
      [{ op: 'add', path: '/styles/lead/set/glow', value: 1 }],
      '/styles/lead/set/glow',
      /not a property/,
    ],
    [
      'null for what can only be left out',
      replace('/styles/lead/set/step', null),
      '/styles/lead/set/step',
      /must be a number/,
    ],
    [
      'a key that CSS could not name',
      [{ op: 'add', path: '/colours/Ink 2', value: { name: 'x', light: '#000', dark: '#000' } }],
      '/colours',
      /keys match/,
    ],
    [
      'no colour',
      replace('/colours/ink/light', 'red; } body {'),
      '/colours/ink/light',
      /CSS colour/,
    ],
    [
      'a selector that ends the rule',
      replace('/elements/lead/selectors', ['p { } x']),
      '/elements/lead/selectors',
      /selectors/,
    ],
    ['a document without its ink', [{ op: 'remove', path: '/colours/ink' }], '/colours', /ink/],
    [
      'a hash that is none',
      replace('/case/literata/faces/0/files/0/sha256', 'x'),
      '/case/literata/faces/0/files/0/sha256',
      /SHA-256/,
    ],
  ])('refuses %s and names its path', (_what, patch, path, message) => {
    const { errors } = refusal(patch);
    expect(errors.map((error) => error.path)).toContain(path);
    expect(errors.find((error) => error.path === path)?.message).toMatch(message);
  });
});

describe('a change', () => {
  test('leaves the document it was applied to as it was', () => {
    const document = seatedDocument();
    const { document: after } = applyChange(document, replace('/name', 'Skerry'));
    expect(after.name).toBe('Skerry');
    expect(document).toEqual(seatedDocument());
  });

  test.each<[string, unknown, RegExp]>([
    [
      'a path that is not there',
      replace('/scale/nothing/base', 4),
      /nothing at \/scale\/nothing\/base/,
    ],
    [
      'a test that does not hold',
      [{ op: 'test', path: '/name', value: 'x' }],
      /not what the patch expects/,
    ],
    ['something that is no patch', { op: 'replace' }, /list of operations/],
    ['an operation that is none', [{ op: 'destroy', path: '/name' }], /Operation 1/],
    ['a poisoned path', [{ op: 'add', path: '/__proto__/polluted', value: 1 }], /./],
  ])('is refused for %s', (_what, patch, message) => {
    expect(() => applyChange(seatedDocument(), patch)).toThrow(message);
    expect(({} as Record<string, unknown>)['polluted']).toBeUndefined();
  });

  test('and its inverse lead back to the same document', () => {
    const changes = fc.constantFrom<Patch>(
      replace('/scale/small/ratio', 1.4),
      replace('/voices/heading/family', null),
      [{ op: 'add', path: '/scale/overrides/2', value: { large: 40 } }],
      [{ op: 'remove', path: '/styles/quote/set/slant' }],
      [{ op: 'remove', path: '/elements/code-block' }],
      replace('/words', 'Ægir'),
      [{ op: 'copy', from: '/styles/lead', path: '/styles/standfirst' }],
    );
    fc.assert(
      fc.property(fc.array(changes, { maxLength: 6 }), (patches) => {
        const start = seatedDocument();
        const inverses: Patch[] = [];
        let document = start;
        for (const patch of patches) {
          try {
            const applied = applyChange(document, patch);
            document = applied.document;
            inverses.unshift(applied.inverse);
          } catch (error) {
            expect(error).toBeInstanceOf(ChangeError);
          }
        }
        for (const inverse of inverses) document = applyChange(document, inverse).document;
        expect(document).toEqual(start);
      }),
    );
  });

  test('is named in a designer’s words', () => {
    const document = seatedDocument();
    const named = (patch: Patch) => describePatch(document, patch);
    expect(named(replace('/scale/large/ratio', 1.3))).toBe('Scale: large end: ratio');
    expect(named(replace('/voices/heading/family', 'archivo'))).toBe('Voice Heading: family');
    expect(named(replace('/styles/lead/set/lineHeight', 1.3))).toBe('Style Lead: line height');
    expect(named([{ op: 'remove', path: '/case/archivo' }])).toBe('Case Archivo removed');
    expect(named(replace('/scale/changeAt', 800))).toBe('Scale: width of the change');
    expect(named(replace('', document))).toBe('The whole project');
  });

  test('touches another where one path is the other’s or lies within it', () => {
    const a = replace('/scale/small/ratio', 1.3);
    expect(patchesTouch(a, replace('/scale/small', {}))).toBe(true);
    expect(patchesTouch(a, replace('/scale/small/base', 17))).toBe(false);
    expect(patchesTouch(a, replace('/scale/small/ratios', 17))).toBe(false);
    expect(patchBetween(seatedDocument(), seatedDocument())).toEqual([]);
  });
});

describe('taking files in', () => {
  const file = (more: Partial<FaceReading>) => ({
    reading: {
      family: 'Tarnholm "Test" <b>; }',
      weight: 400,
      style: 'normal',
      axes: [],
      width: 100,
      licenceUrl: null,
      sha256: createHash('sha256').update(JSON.stringify(more)).digest('hex'),
      ...more,
    } as unknown as FaceReading,
    woff2Bytes: 900,
    class: 'serif' as const,
  });
  const key = () => 'tarnholm-test-b';

  test('groups files into one family by its name, light before heavy, upright before italic', () => {
    const patch = takeFilesIn(
      seatedDocument(),
      [file({ weight: 700 }), file({ style: 'italic' }), file({})],
      key,
    );
    const { document } = applyChange(seatedDocument(), patch);
    const taken = document.case['tarnholm-test-b'];
    expect(taken?.name).toBe('Tarnholm "Test" <b>; }');
    expect(taken?.faces.map(({ style, weightMin }) => `${style} ${weightMin}`)).toEqual([
      'normal 400',
      'normal 700',
      'italic 400',
    ]);
  });

  test('joins a family that came from files, and never one of the foundry', () => {
    const first = applyChange(seatedDocument(), takeFilesIn(seatedDocument(), [file({})], key));
    const second = applyChange(
      first.document,
      takeFilesIn(first.document, [file({ weight: 700 })], key),
    );
    expect(second.document.case['tarnholm-test-b']?.faces).toHaveLength(2);
    const again = applyChange(second.document, takeFilesIn(second.document, [file({})], key));
    expect(again.document).toEqual(second.document);
    const literata = takeFilesIn(
      seatedDocument(),
      [file({ family: 'Literata' })],
      () => 'literata',
    );
    expect(literata[0]?.path).toBe('/case/literata-2');
  });

  test('reads the width of a face, and keeps two that claim the same place', () => {
    const wide = { width: 125, fullName: 'Wide' };
    const patch = takeFilesIn(
      seatedDocument(),
      [
        file({ width: 100 }),
        file(wide),
        file({ ...wide, axes: [{ tag: 'wght', min: 300, default: 400, max: 500 }] }),
      ],
      key,
    );
    const faces = applyChange(seatedDocument(), patch).document.case['tarnholm-test-b']?.faces;
    expect(
      faces?.map(({ widthMin, weightMin, weightMax }) => [widthMin, weightMin, weightMax]),
    ).toEqual([
      [undefined, 400, 400],
      [125, 300, 500],
      [125, 400, 400],
    ]);
    expect(sharedPlaces(faces ?? [])).toEqual([[1, 2]]);
  });
});

describe('correcting what a file says of itself', () => {
  const taken = () => {
    const document = seatedDocument();
    document.case['skerry'] = family(
      'Skerry',
      [face('normal', 400, 400, 'e'), face('normal', 400, 400, 'f')],
      { source: 'files' },
    );
    return document;
  };

  test('puts a face where it belongs, in order', () => {
    const document = taken();
    expect(sharedPlaces(document.case['skerry']?.faces ?? [])).toEqual([[0, 1]]);
    const bold = { ...face('normal', 700, 700, 'e'), widthMin: 75, widthMax: 75 };
    const corrected = applyChange(document, correctFacePatch(document, 'skerry', 0, bold)).document;
    const faces = corrected.case['skerry']?.faces ?? [];
    expect(faces.map(({ weightMin }) => weightMin)).toEqual([700, 400]);
    expect(sharedPlaces(faces)).toEqual([]);
    expect(documentErrors(corrected)).toEqual([]);
  });

  test('moves a face to a family of another name, new or there already', () => {
    const document = taken();
    const key = () => 'skerry-display';
    const moved = applyChange(
      document,
      moveFacePatch(document, 'skerry', 0, 'Skerry Display', key),
    ).document;
    expect(moved.case['skerry-display']?.faces).toHaveLength(1);
    expect(moved.case['skerry']?.faces).toHaveLength(1);
    moved.voices['text'] = { ...moved.voices['text'], family: 'skerry' } as Voice;
    const emptied = applyChange(
      moved,
      moveFacePatch(moved, 'skerry', 0, 'Skerry Display', key),
    ).document;
    expect(emptied.case['skerry']).toBeUndefined();
    expect(emptied.case['skerry-display']?.faces).toHaveLength(2);
    expect(emptied.voices['text']?.family).toBe('skerry-display');
  });

  test('takes a face out, and leaves the last one to its family', () => {
    const document = taken();
    const patch = dropFacePatch(document, 'skerry', 1) ?? [];
    const left = applyChange(document, patch).document;
    expect(left.case['skerry']?.faces).toHaveLength(1);
    expect(dropFacePatch(left, 'skerry', 0)).toBeNull();
  });
});

describe('a family by reference', () => {
  const reference = { stylesheet: 'https://type.tarnholm.example/s.css', standIn: 'Literata' };
  const withReference = (more: object) => {
    const document = seatedDocument();
    document.case['skerry'] = family('Skerry', [face('normal', 400)], {
      source: 'reference',
      reference,
      ...more,
    });
    return document;
  };

  test('is valid with its address, and only with it', () => {
    expect(documentErrors(withReference({}))).toEqual([]);
    expect(documentErrors(withReference({ reference: undefined }))[0]?.path).toBe(
      '/case/skerry/reference',
    );
    expect(documentErrors(withReference({ source: 'files' }))[0]?.path).toBe(
      '/case/skerry/reference',
    );
  });

  test.each(['http://a.example/x.css', 'javascript:alert(1)', 'https://a"b.example/', ''])(
    'refuses the address %s',
    (stylesheet) => {
      const errors = documentErrors(withReference({ reference: { ...reference, stylesheet } }));
      expect(errors[0]?.path).toBe('/case/skerry/reference/stylesheet');
    },
  );
});

describe('a shortlist', () => {
  test('holds each family once, by where it stands', () => {
    const document = seatedDocument();
    document.shortlist = ['library/literata', 'case/archivo'];
    expect(documentErrors(document)).toEqual([]);
    document.shortlist = ['library/literata', 'library/literata'];
    expect(documentErrors(document)[0]?.path).toBe('/shortlist');
    document.shortlist = ['../etc'];
    expect(documentErrors(document)[0]?.path).toBe('/shortlist');
  });
});

test('a document that a later rule would refuse can be changed, and not made worse', () => {
  const document = newDocument('Tarnholm');
  document.scale.overrides = { '2': { small: 15 } };
  const change = (path: string, value: unknown) =>
    applyChange(document, [{ op: 'add', path, value }]).document;
  expect(change('/words', 'Sæfari').words).toBe('Sæfari');
  expect(change('/scale/overrides/2', {}).scale.overrides).toEqual({ '2': {} });
  expect(() => change('/scale/overrides/2', { small: 14 })).toThrow('must be allowed first');
});

test('a change that is only looked at is left out when it does not fit', () => {
  const document = newDocument('Tarnholm');
  const look = (path: string, value: unknown) => lookAt(document, [{ op: 'replace', path, value }]);
  expect(look('/scale/large/base', 21)?.scale.large.base).toBe(21);
  expect(document.scale.large.base).toBe(18);
  expect(look('/styles/lead/set/step', 9)).toBeNull();
  expect(look('/voices/none/family', 'x')).toBeNull();
});

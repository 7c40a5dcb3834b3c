import { createHash } from 'node:crypto';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { FaceReading } from '../font';
import { bundleFiles } from '../deliver';
import type { FieldError, ProjectDocument } from '../document';
import { ORDERED_PARTS } from '../document/places';
import { MOST_PARTS } from '../document/projectDocument';
import { DOCUMENT_LIMITS } from '../document/applyPatch';
import { face, family, plansOf, seatedDocument } from '../testing/documents';
import { applyChange, ChangeError, previewOf, patchBetween, patchesTouch } from './change';
import { sharedPlaces } from '../document/faces';
import type { Patch } from '../document/patch';
import { describePatch } from './describe';
import { differences } from './differences';
import { newDocument } from '../document/newDocument';
import { correctFacePatch, dropFacePatch, moveFacePatch, takeFilesIn } from './takeIn';
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
    expect(named(replace('/styles/lead/set/lineHeight', 1.3))).toBe(
      'Style Lead: line height 1.45 → 1.3',
    );
    expect(named([{ op: 'remove', path: '/styles/lead/set/step' }])).toBe(
      'Style Lead: size up-1 → following',
    );
    expect(named([{ op: 'add', path: '/styles/lead/set/voice', value: 'heading' }])).toBe(
      'Style Lead: voice following → Heading',
    );
    expect(named([{ op: 'remove', path: '/case/archivo' }])).toBe('Case Archivo removed');
    const notice = { name: 'Notice', follows: null, set: {} };
    expect(named([{ op: 'add', path: '/styles/n1', value: notice }])).toBe('Style Notice added');
    // What is put into a part is not that part.
    expect(named([{ op: 'add', path: '/styles/n1/set', value: { name: 'Other' } }])).toMatch(
      /^Style n1\b/,
    );
    expect(named(replace('/scale/changeAt', 800))).toBe('Scale: width of the change');
    expect(named(replace('', document))).toBe('The whole project');
    const { voices, scale, styles } = document;
    const whole = Object.entries({ voices, scale, styles }).flatMap(([part, value]) =>
      replace(`/${part}`, value),
    );
    expect(named([...whole, ...replace('/delivery/layer', null)])).toBe(
      'Voices, scale and styles anew',
    );
    expect(named([...replace('/scale', scale), ...replace('/name', 'Skerry')])).toBe(
      'Scale; Project name',
    );
  });

  test('leads from one state to another, told line by line', () => {
    const before = seatedDocument();
    const after = applyChange(before, [
      { op: 'add', path: '/styles/lead/set/weight', value: 620 },
      { op: 'replace', path: '/elements/table/style', value: 'caption' },
      { op: 'replace', path: '/colours/ink/light', value: '#000' },
      { op: 'replace', path: '/scale/large/ratio', value: 1.3 },
      { op: 'add', path: '/styles/new', value: { name: 'New', follows: null, set: {} } },
      { op: 'remove', path: '/elements/code-block' },
    ]).document;
    expect(differences(before, after).sort()).toEqual(
      [
        'Style Lead: weight following → 620',
        'Element Table: style Table → Caption',
        `Colour Ink: light background ${before.colours['ink']?.light ?? ''} → #000`,
        `Scale: large end: ratio ${before.scale.large.ratio} → 1.3`,
        'Style New added',
        'Element Code in a block removed',
      ].sort(),
    );
    expect(differences(after, after)).toEqual([]);
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
    bytes: 900,
    class: 'serif' as const,
  });
  const key = () => 'tarnholm-test-b';

  test('groups files into one family by its name, light before heavy, upright before italic', () => {
    const { patch } = takeFilesIn(
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
    const first = applyChange(
      seatedDocument(),
      takeFilesIn(seatedDocument(), [file({})], key).patch,
    );
    const second = applyChange(
      first.document,
      takeFilesIn(first.document, [file({ weight: 700 })], key).patch,
    );
    expect(second.document.case['tarnholm-test-b']?.faces).toHaveLength(2);
    const again = applyChange(second.document, takeFilesIn(second.document, [file({})], key).patch);
    expect(again.document).toEqual(second.document);
    const literata = takeFilesIn(
      seatedDocument(),
      [file({ family: 'Literata' })],
      () => 'literata',
    );
    expect(literata.patch[0]?.path).toBe('/case/literata-2');
  });

  test('leaves out a family that a document cannot hold, and no other', () => {
    const files = [file({ family: 'Fog' }), file({ family: ' ' }), file({ family: 'Constructor' })];
    const names = (name: string) => name.trim().toLowerCase() || 'blank';
    const { patch, refused } = takeFilesIn(seatedDocument(), files, names);
    const { document } = applyChange(seatedDocument(), patch);
    expect(document.case['fog']?.name).toBe('Fog');
    expect(document.case['constructor-2']?.name).toBe('Constructor');
    expect(refused.map(({ name }) => name)).toEqual([' ']);
  });

  test('takes weights and widths that an axis has beyond CSS to their ends', () => {
    const axes = [
      { tag: 'wght', min: 0, default: 400, max: 1200 },
      { tag: 'wdth', min: 0, default: 100, max: 2000 },
    ];
    const { patch } = takeFilesIn(seatedDocument(), [file({ axes })], key);
    const [face] =
      applyChange(seatedDocument(), patch).document.case['tarnholm-test-b']?.faces ?? [];
    expect(face).toMatchObject({ weightMin: 1, weightMax: 1000, widthMin: 1, widthMax: 1000 });
  });

  test('makes one face of files that are each for characters of their own', () => {
    const latin = { ...file({ fullName: 'a' }), unicodeRange: 'U+0-FF, U+131' };
    const greek = { ...file({ fullName: 'b' }), unicodeRange: 'U+370-3FF' };
    const bold = { ...file({ fullName: 'c', weight: 700 }), unicodeRange: 'U+370-3FF' };
    const signs = { ...file({ fullName: 'd' }), unicodeRange: 'U+2190-2193' };
    const { patch } = takeFilesIn(seatedDocument(), [greek, latin, bold, signs], key);
    const { document } = applyChange(seatedDocument(), patch);
    const parts = document.case['tarnholm-test-b']?.faces.map(({ weightMin, files }) => [
      weightMin,
      ...files.map(({ script, unicodeRange }) => `${script}: ${unicodeRange}`),
    ]);
    expect(parts).toEqual([
      [400, 'greek: U+370-3FF', 'latin: U+0-FF, U+131', 'symbols: U+2190-2193'],
      [700, 'greek: U+370-3FF'],
    ]);
    // What is for all characters, or for the same, is a face of its own, and listed.
    const { patch: more } = takeFilesIn(
      document,
      [file({ fullName: 'e' }), { ...file({ fullName: 'f' }), unicodeRange: 'U+0-7F' }],
      key,
    );
    expect(applyChange(document, more).document.case['tarnholm-test-b']?.faces).toHaveLength(4);
  });

  test('reads the width of a face, and keeps two that claim the same place', () => {
    const wide = { width: 125, fullName: 'Wide' };
    const { patch } = takeFilesIn(
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
    const split = applyChange(
      document,
      moveFacePatch(document, 'skerry', 0, 'Skerry Display', key),
    ).document;
    expect(split.case['skerry-display']?.faces).toHaveLength(1);
    expect(split.case['skerry']?.faces).toHaveLength(1);
    const moved = applyChange(split, replace('/voices/text/family', 'skerry')).document;
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
  const look = (path: string, value: unknown) =>
    previewOf(document, [{ op: 'replace', path, value }]);
  expect(look('/scale/large/base', 21)?.scale.large.base).toBe(21);
  expect(document.scale.large.base).toBe(18);
  expect(look('/styles/lead/set/step', 9)).toBeNull();
  expect(look('/voices/none/family', 'x')).toBeNull();
});

describe('a change shares what it does not touch', () => {
  test('down to the parts beside the one that is changed', () => {
    const before = seatedDocument();
    const { document: after } = applyChange(before, [
      { op: 'add', path: '/case/literata/alias', value: 'Site text' },
    ]);
    expect(after.case['literata']).not.toBe(before.case['literata']);
    expect(after.case['literata']?.faces).toBe(before.case['literata']?.faces);
    expect(after.case['archivo']).toBe(before.case['archivo']);
    expect(after.styles).toBe(before.styles);
    expect(after.scale).toBe(before.scale);
    expect(Object.isFrozen(after.case['literata']?.faces)).toBe(true);
  });

  test('and looks again at no more than it touches', () => {
    const before = seatedDocument();
    // A part that a later rule would refuse: looked at only when it is touched.
    const odd = {
      ...before,
      colours: { ...before.colours, odd: { name: 'Odd', light: '', dark: '#000', place: 9 } },
    };
    const changed = applyChange(odd as typeof before, replace('/styles/lead/set/step', 2)).document;
    expect(changed.colours['odd']?.light).toBe('');
    expect(() => applyChange(changed, replace('/colours/odd/dark', 'nothing'))).toThrow(
      'CSS colour',
    );
  });
});

describe('a patch that is not meant well', () => {
  const start = seatedDocument();
  const refused = (patch: unknown): FieldError[] => refusal(patch).errors;

  test.each([8, 14, 18, 1000])('cannot double the document %i times', (times) => {
    const patch = Array.from({ length: times }, (_, i) => ({
      op: 'copy',
      from: '/elements',
      path: `/elements/x${i}`,
    }));
    expect(refused(patch).length).toBeGreaterThan(0);
  });

  test('cannot make it wide, and then copy that again and again', () => {
    const wide = Object.fromEntries(
      Array.from({ length: DOCUMENT_LIMITS.width + 1 }, (_, i) => [`k${i}`, 1]),
    );
    expect(refused([{ op: 'add', path: '/elements/x', value: wide }])[0]?.message).toMatch(
      /too many/,
    );
    const narrower = Object.fromEntries(
      Array.from({ length: DOCUMENT_LIMITS.width - 10 }, (_, i) => [`k${i}`, 1]),
    );
    refused([
      { op: 'add', path: '/elements/x', value: narrower },
      ...Array.from({ length: 1999 }, () => ({
        op: 'replace',
        path: '/elements/x/k3',
        value: narrower,
      })),
    ]);
  });

  test('cannot bring in values that are nested without end', () => {
    const deep: unknown = JSON.parse(`${'['.repeat(50_000)}1${']'.repeat(50_000)}`);
    expect(refused([{ op: 'add', path: '/scale/added', value: deep }])[0]?.message).toMatch(/deep/);
    const objects: unknown = JSON.parse(`${'{"a":'.repeat(50_000)}1${'}'.repeat(50_000)}`);
    refused([{ op: 'test', path: '/scale', value: objects }]);
    refused([{ op: 'replace', path: '', value: objects }]);
  });

  test.each<[string, Patch[number], string]>([
    ['add under __proto__', { op: 'add', path: '/__proto__/x', value: 1 }, '/__proto__/x'],
    ['add __proto__', { op: 'add', path: '/__proto__', value: {} }, '/__proto__'],
    ['add constructor', { op: 'add', path: '/constructor', value: {} }, '/constructor'],
    ['add hasOwnProperty', { op: 'add', path: '/hasOwnProperty', value: 1 }, '/hasOwnProperty'],
    [
      'add to a style',
      { op: 'add', path: '/styles/lead/constructor', value: 1 },
      '/styles/lead/constructor',
    ],
    [
      'add a style',
      { op: 'copy', from: '/styles/lead', path: '/styles/constructor' },
      '/styles/constructor',
    ],
    [
      'replace under constructor',
      { op: 'replace', path: '/constructor/x', value: 1 },
      '/constructor/x',
    ],
    ['copy what is inherited', { op: 'copy', from: '/toString', path: '/words' }, '/toString'],
    [
      'move a part into itself',
      { op: 'move', from: '/scale', path: '/scale/small' },
      '/scale/small',
    ],
    ['remove what is not there', { op: 'remove', path: '/styles/none' }, '/styles/none'],
    ['remove the whole', { op: 'remove', path: '' }, ''],
    ['set to a list', { op: 'replace', path: '/styles/lead/set', value: [] }, '/styles/lead/set'],
    ['a scale that is a list', { op: 'replace', path: '/scale', value: [] }, '/scale'],
    ['a case that is a list', { op: 'replace', path: '/case', value: [] }, '/case'],
    ['a document that is a list', { op: 'replace', path: '', value: [] }, ''],
    ['a name of spaces', { op: 'replace', path: '/name', value: '   ' }, '/name'],
    [
      'a name with NUL',
      { op: 'replace', path: '/styles/lead/name', value: 'a\u0000' },
      '/styles/lead/name',
    ],
    ['an index beyond the list', { op: 'add', path: '/languages/7', value: 'is' }, '/languages/7'],
    ['an index in words', { op: 'add', path: '/languages/first', value: 'is' }, '/languages/first'],
    [
      'an index with a zero',
      { op: 'replace', path: '/languages/00', value: 'is' },
      '/languages/00',
    ],
    [
      'an end of a list that is not there',
      { op: 'replace', path: '/languages/-', value: 'is' },
      '/languages/-',
    ],
    [
      'a stand-in of the prototype',
      { op: 'replace', path: '/voices/text/family', value: 'constructor' },
      '/voices/text/family',
    ],
    [
      'a range beyond Unicode',
      { op: 'replace', path: '/case/literata/faces/0/files/0/unicodeRange', value: 'U+110000' },
      '/case/literata/faces/0/files/0/unicodeRange',
    ],
    [
      'a range the wrong way',
      { op: 'replace', path: '/case/literata/faces/0/files/0/unicodeRange', value: 'U+80-20' },
      '/case/literata/faces/0/files/0/unicodeRange',
    ],
    [
      'a width the wrong way',
      { op: 'add', path: '/case/archivo/faces/0/widthMin', value: 110 },
      '/case/archivo/faces/0/widthMin',
    ],
    [
      'a weight the wrong way',
      { op: 'replace', path: '/case/archivo/faces/0/weightMin', value: 610 },
      '/case/archivo/faces/0/weightMin',
    ],
    [
      'a colour cut short',
      { op: 'replace', path: '/colours/ink/dark', value: 'rgb(0 0 0' },
      '/colours/ink/dark',
    ],
    [
      'an element of scripts',
      { op: 'replace', path: '/elements/lead/selectors', value: ['script'] },
      '/elements/lead/selectors',
    ],
    [
      'a container cut short',
      { op: 'add', path: '/scale/containers', value: ['a([)]'] },
      '/scale/containers',
    ],
    [
      'a layer that CSS keeps',
      { op: 'replace', path: '/delivery/layer', value: 'initial' },
      '/delivery/layer',
    ],
    ...Object.entries({
      siteLayer: [7, '', 'a b', 'x) screen; @import "y', 'revert-layer', null],
      linked: ['beside', true, null],
      leave: ['h2', ['h2 {'], ['a,,b'], ['p::before'], ['h2', 'h2'], [7], Array(101).fill('h2')],
      first: ['h1', [7], ['h1', 'h1'], ['x'.repeat(81)]],
    }).flatMap(([member, values]) =>
      values.map((value): [string, Patch[number], string] => [
        `${member} of ${JSON.stringify(value).slice(0, 30)}`,
        { op: 'add', path: `/delivery/${member}`, value },
        `/delivery/${member}`,
      ]),
    ),
    [
      'an element that is important in words',
      { op: 'add', path: '/elements/h1/important', value: 'yes' },
      '/elements/h1/important',
    ],
    [
      'a family that is only there in words',
      { op: 'add', path: '/case/archivo/localOnly', value: 1 },
      '/case/archivo/localOnly',
    ],
    [
      'an alias with a line break',
      { op: 'add', path: '/case/archivo/alias', value: 'A\nB' },
      '/case/archivo/alias',
    ],
    [
      'a parent that comes round',
      { op: 'replace', path: '/elements/code/parent', value: 'code-block' },
      '/elements/code/parent',
    ],
  ])('cannot %s', (_what, operation, path) => {
    expect(refused([operation]).map((error) => error.path)).toContain(path);
    expect(Object.prototype).not.toHaveProperty('x');
    expect(start).toEqual(seatedDocument());
  });

  test.each<[unknown, boolean]>([
    [{ width: 360, base: 16, ratio: 1.2 }, true],
    // The order of members does not count, RFC 6902 §4.6; all of them do.
    [{ ratio: 1.2, base: 16, width: 360 }, true],
    [{ width: 360, base: 16, ratio: 1.3 }, false],
    [{ width: 360, base: 16 }, false],
    [{ width: 360, base: 16, ratio: 1.2, more: 1 }, false],
    [{ width: 360, base: 16, other: 1.2 }, false],
    [[360, 16, 1.2], false],
    [null, false],
    ['', false],
  ])('tests for %j at the small end: %s', (value, holds) => {
    const change = () =>
      applyChange(seatedDocument(), [{ op: 'test', path: '/scale/small', value }]);
    if (holds) expect(change().document).toEqual(seatedDocument());
    else expect(change).toThrow('not what the patch expects');
  });

  test('tests lists by their order and their length', () => {
    const holds = (value: unknown) => {
      try {
        applyChange(seatedDocument(), [{ op: 'test', path: '/elements/code/selectors', value }]);
        return true;
      } catch {
        return false;
      }
    };
    expect(holds(['code', 'pre', 'samp'])).toBe(true);
    expect(holds(['pre', 'code', 'samp'])).toBe(false);
    expect(holds(['code', 'pre'])).toBe(false);
    expect(holds({ 0: 'code', 1: 'pre', 2: 'samp' })).toBe(false);
  });

  test.each(Object.entries(MOST_PARTS))(
    'may bring the %s to %i entries, and no further',
    (part, most) => {
      const page = { name: 'Home', site: 'a'.repeat(64), path: 'index.html' };
      const document = { ...seatedDocument(), pages: { home: page } };
      const [key = ''] = Object.keys(document[part as 'styles']);
      const fill = (count: number): Patch =>
        Array.from({ length: count - Object.keys(document[part as 'styles']).length }, (_, i) => ({
          op: 'copy',
          from: `/${part}/${key}`,
          path: `/${part}/part-${i}`,
        }));
      expect(() => applyChange(document, fill(most))).not.toThrow();
      expect(() => applyChange(document, fill(most + 1))).toThrow(`at most ${most} entries`);
    },
  );

  test('holds at most 2,000 operations', () => {
    const patch = (length: number): Patch =>
      Array.from({ length }, () => ({ op: 'test', path: '/format', value: 1 }));
    expect(() => applyChange(start, patch(2000))).not.toThrow();
    expect(refused(patch(2001))[0]?.message).toBe('holds 2001 operations');
  });

  test('says in an operation what it needs', () => {
    for (const operation of [
      { op: 'add', path: '/words' },
      { op: 'move', path: '/words' },
      { op: 'copy', path: '/words', from: 4 },
      { op: 'add', path: 'words', value: 1 },
      { op: 'add', path: '/a~2', value: 1 },
      { op: 'constructor', path: '/words', value: 1 },
      null,
    ]) {
      expect(refusal([operation]).message).toMatch(/Operation 1/);
    }
  });
});

describe('the order of parts', () => {
  const keys = (document: ProjectDocument) =>
    ORDERED_PARTS.map((part) => Object.keys(document[part] ?? {}));
  const files = (document: ProjectDocument) => bundleFiles(document, plansOf(document), {});

  test('is what it was when a removal is undone', () => {
    const before = seatedDocument();
    const { document, inverse } = applyChange(before, [{ op: 'remove', path: '/elements/h2' }]);
    expect(Object.keys(document.elements)).not.toContain('h2');
    const back = applyChange(document, inverse).document;
    expect(keys(back)).toEqual(keys(before));
    expect(files(back)).toEqual(files(before));
  });

  test('is that of adding, a part that is replaced keeps its place, and one can be moved', () => {
    const add = (key: string): Patch => [
      { op: 'copy', from: '/elements/lead', path: `/elements/${key}` },
    ];
    const fresh = (key: string): Patch => [
      {
        op: 'add',
        path: `/elements/${key}`,
        value: { name: key, selectors: [`.${key}`], style: 'lead', parent: null },
      },
    ];
    const two = applyChange(
      applyChange(seatedDocument(), fresh('zeta')).document,
      fresh('alpha'),
    ).document;
    expect(Object.keys(two.elements).slice(-2)).toEqual(['zeta', 'alpha']);
    const replaced = applyChange(two, fresh('zeta')).document;
    expect(Object.keys(replaced.elements)).toEqual(Object.keys(two.elements));
    const moved = applyChange(two, [
      { op: 'add', path: '/elements/alpha/place', value: 0 },
    ]).document;
    expect(Object.keys(moved.elements)[0]).toBe('alpha');
    const copied = applyChange(seatedDocument(), add('standfirst')).document;
    expect(Object.keys(copied.elements).indexOf('standfirst')).toBe(2);
  });

  test('and all that is delivered is the same to the byte after any changes are undone', () => {
    const removals = ORDERED_PARTS.flatMap((part) =>
      Object.keys(seatedDocument()[part] ?? {}).map((key): Patch => [
        { op: 'remove', path: `/${part}/${key}` },
      ]),
    );
    const changes = fc.constantFrom<Patch>(
      ...removals,
      ...Object.keys(seatedDocument().elements).map((key): Patch => [
        { op: 'add', path: `/elements/${key}/place`, value: 3.5 },
      ]),
      [{ op: 'move', from: '/elements/lead', path: '/elements/standfirst' }],
      [{ op: 'replace', path: '/styles/lead/set', value: { lineHeight: 1.4, step: 1 } }],
      [
        { op: 'replace', path: '/voices/text/family', value: null },
        { op: 'remove', path: '/case/literata' },
      ],
      [
        { op: 'remove', path: '/elements/link' },
        { op: 'remove', path: '/styles/link' },
        { op: 'remove', path: '/colours/accent' },
      ],
    );
    fc.assert(
      fc.property(fc.array(changes, { minLength: 1, maxLength: 8 }), (patches) => {
        const before = seatedDocument();
        let document = before;
        const inverses: Patch[] = [];
        for (const patch of patches) {
          try {
            const applied = applyChange(document, patch);
            document = applied.document;
            inverses.unshift(applied.inverse);
          } catch (error) {
            if (!(error instanceof ChangeError)) throw error;
          }
        }
        // As they are kept: written as JSON and read again.
        for (const inverse of inverses) {
          const stored = JSON.parse(JSON.stringify([document, inverse])) as [
            ProjectDocument,
            Patch,
          ];
          document = applyChange(...stored).document;
        }
        expect(keys(document)).toEqual(keys(before));
        expect(files(document)).toEqual(files(before));
      }),
      { numRuns: 60 },
    );
  });
});

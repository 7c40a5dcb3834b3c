import { describe, expect, test } from '@jest/globals';
import { applyChange } from '../change';
import fc from 'fast-check';
import { newDocument, type Slant } from '../document';
import { face, seatedDocument } from '../testing/documents';
import { elementAt } from './elementAt';
import { matchFace } from './faceMatch';
import { resolveElement, resolveInUse, resolveStyle } from './resolve';
import { stepSizeAt } from '../scale/sizeAt';
import { spacingHere } from './spacingHere';
import { textUseOf } from './textUse';
import { familiesInUse, voiceRequests, voiceUses } from './usage';

describe('a style where it is in use', () => {
  test('is resolved where the first of its elements stands', () => {
    const document = seatedDocument();
    document.styles['inner'] = { name: 'Inner', follows: null, set: {}, place: 90 };
    Object.assign(document.styles['quote']?.set ?? {}, { weight: 300 });
    Object.assign(document.styles['caption']?.set ?? {}, { weight: 800 });
    const inside = (parent: string | null) => ({
      name: 'x',
      selectors: ['.x'],
      style: 'inner',
      parent,
    });
    const parentOf = (style: string): string =>
      Object.entries(document.elements).find(([, element]) => element.style === style)?.[0] ?? '';
    document.elements['first'] = inside(parentOf('quote'));
    document.elements['second'] = inside(parentOf('caption'));
    expect(resolveInUse(document, 'inner').weight.value).toBe(300);
    expect(resolveElement(document, 'second').weight.value).toBe(800);
  });
});

describe('letter spacing where it is inherited', () => {
  test('is the length that it came to where it was set', () => {
    const document = seatedDocument();
    const { scale } = document;
    const { width } = scale.large;
    Object.assign(document.styles['body']?.set ?? {}, { letterSpacing: 0.1, step: 0 });
    document.styles['large'] = { name: 'Large', follows: null, set: { step: 3 }, place: 90 };
    const at = (style: string) => spacingHere(document, resolveStyle(document, style), width);
    const [body, large] = [0, 3].map((step) => stepSizeAt(scale, step, width)) as [number, number];
    expect(at('body')).toBe(0.1);
    expect(at('large')).toBeCloseTo((0.1 * body) / large, 9);
    // Set there it is of its own size, and where nothing is set there is none.
    const own = structuredClone(document);
    Object.assign(own.styles['large']?.set ?? {}, { letterSpacing: 0.05 });
    expect(spacingHere(own, resolveStyle(own, 'large'), width)).toBe(0.05);
  });
});

describe('matchFace follows CSS Fonts 4 §5.2', () => {
  const weights = (...list: number[]) => list.map((weight) => face('normal', weight));
  const taken = (list: number[], weight: number) =>
    matchFace(weights(...list), { weight, slant: 'normal' })?.weight;

  test.each([
    [400, [300, 500, 600], 500],
    [450, [300, 400, 600], 400],
    [450, [300, 600], 300],
    [500, [600, 700], 600],
    [500, [400, 600], 400],
    [300, [100, 400], 100],
    [300, [400, 700], 400],
    [600, [400, 700, 900], 700],
    [600, [100, 400, 500], 500],
    [1000, [100, 900], 900],
  ])('%i of %j is %i', (weight, list, expected) => {
    expect(taken(list, weight)).toBe(expected);
  });

  test('variable ranges give the weight asked for, or their nearest end', () => {
    const faces = [face('normal', 200, 500), face('normal', 650, 800)];
    const at = (weight: number) => matchFace(faces, { weight, slant: 'normal' })?.weight;
    expect([at(340), at(700), at(600), at(100), at(900)]).toEqual([340, 700, 650, 200, 800]);
  });

  test('style goes before weight, and what is missing is made up', () => {
    const faces = [face('normal', 400), face('normal', 700), face('italic', 400)];
    expect(matchFace(faces, { weight: 700, slant: 'italic' })).toMatchObject({
      weight: 400,
      fakedBold: true,
      fakedItalic: false,
    });
    expect(matchFace(faces.slice(0, 2), { weight: 700, slant: 'italic' })).toMatchObject({
      weight: 700,
      fakedBold: false,
      fakedItalic: true,
    });
    expect(matchFace([], { weight: 400, slant: 'normal' })).toBeNull();
  });

  test('width goes before style: narrower first up to normal, wider first beyond it', () => {
    const faces = [75, 90, 110, 150].map((width) => ({
      ...face('normal', 400),
      widthMin: width,
      widthMax: width,
    }));
    const at = (width: number) =>
      matchFace(faces, { weight: 400, slant: 'normal', width })?.face.widthMin;
    expect([at(100), at(80), at(60), at(105), at(120), at(200)]).toEqual([
      90, 75, 75, 110, 150, 150,
    ]);
    const italic = { ...face('italic', 400), widthMin: 75, widthMax: 75 };
    expect(
      matchFace([italic, ...faces.slice(1)], { weight: 400, slant: 'italic' })?.face.style,
    ).toBe('normal');
  });

  test('italic and oblique answer for one another before upright does', () => {
    const oblique = { ...face('normal', 400), style: 'oblique' as const };
    const faces = [face('normal', 400), oblique];
    expect(matchFace(faces, { weight: 400, slant: 'italic' })).toMatchObject({
      face: { style: 'oblique' },
      fakedItalic: false,
    });
    expect(
      matchFace([oblique, face('italic', 400)], { weight: 400, slant: 'normal' })?.face.style,
    ).toBe('oblique');
  });

  test('is total: any family answers any request with one of its faces', () => {
    const faces = fc.array(
      fc
        .tuple(
          fc.constantFrom<Slant>('normal', 'italic'),
          fc.integer({ min: 1, max: 1000 }),
          fc.integer({ min: 0, max: 400 }),
        )
        .map(([style, min, span]) => face(style, min, Math.min(1000, min + span))),
      { minLength: 1, maxLength: 9 },
    );
    fc.assert(
      fc.property(faces, fc.integer({ min: 1, max: 1000 }), (list, weight) => {
        const match = matchFace(list, { weight, slant: 'normal' });
        expect(list).toContain(match?.face);
        expect(match?.weight).toBeGreaterThanOrEqual(match?.face.weightMin ?? 0);
        expect(match?.weight).toBeLessThanOrEqual(match?.face.weightMax ?? 0);
      }),
    );
  });
});

describe('following', () => {
  test('a property is set there, or comes from the style followed, the text around, the body, the browser', () => {
    const document = seatedDocument();
    const heading2 = resolveStyle(document, 'heading-2');
    expect(heading2.step).toMatchObject({ value: 3, origin: 'set', source: 'heading-2' });
    expect(heading2.weight).toMatchObject({ value: 700, origin: 'style', source: 'heading' });
    expect(heading2.case).toMatchObject({ value: 'none', origin: 'body', source: 'body' });

    const cell = resolveElement(document, 'table-heading');
    expect(cell.step).toMatchObject({ value: -1, origin: 'style', source: 'small' });
    const alone = applyChange(document, [
      { op: 'replace', path: '/styles/table-heading/follows', value: null },
    ]).document;
    expect(resolveElement(alone, 'table-heading').step).toMatchObject({
      value: -1,
      origin: 'parent',
      source: 'small',
    });
    const open = applyChange(document, [{ op: 'remove', path: '/styles/body/set/case' }]).document;
    expect(resolveStyle(open, 'lead').case).toMatchObject({
      value: 'none',
      origin: 'browser',
      source: null,
    });
  });

  test('the trace lists each place looked at', () => {
    const { weight } = resolveStyle(seatedDocument(), 'caption');
    expect(weight.trace.map(({ origin, style }) => [origin, style])).toEqual([
      ['set', 'caption'],
      ['style', 'small'],
      ['body', 'body'],
    ]);
    expect(resolveInUse(seatedDocument(), 'code').step.trace).toHaveLength(1);
  });

  test('of the last of several elements that match a node, the later wins', () => {
    const document = newDocument('X');
    const node = (localName: string, ...matching: string[]) =>
      elementAt(document, {
        localName,
        id: '',
        classList: [],
        matches: (selector) => selector === localName || matching.includes(selector),
      });
    expect(node('code', 'pre code')).toBe('code-block');
    expect(node('h2')).toBe('h2');
    expect(node('marquee')).toBeNull();
    const link = 'a:not(.button):not(nav a):not(.site-title)';
    expect(node('a', link, `${link}:hover`)).toBe('link');
  });
});

describe('what the styles ask for', () => {
  test('by voice, upright first', () => {
    const text = voiceUses(seatedDocument()).get('text');
    expect(text?.requests.map(({ weight, slant }) => `${weight} ${slant}`)).toEqual([
      '400 normal',
      '700 normal',
      '400 italic',
    ]);
    expect(text?.requests[2]?.styles).toEqual(['quote', 'pull-quote', 'emphasis']);
  });

  test('all that a voice answers, with bold inside italics counted in, what most styles ask first', () => {
    const document = seatedDocument();
    expect(familiesInUse(document)).toEqual(['archivo', 'literata']);
    expect(voiceRequests(document, 'text')).toEqual([
      { weight: 400, slant: 'normal' },
      { weight: 700, slant: 'normal' },
      { weight: 400, slant: 'italic' },
      { weight: 700, slant: 'italic' },
    ]);
  });
});

describe('how the site sets short text', () => {
  test('is its smallest text, the plainer one of two as small', () => {
    const document = newDocument('New');
    const { short, running } = textUseOf(document).sizes;
    expect(short.size).toBeLessThan(running.size);
    expect(short.weight).toBe(400);
    const bold = newDocument('Bold');
    for (const key of ['small', 'code'])
      Object.assign(bold.styles[key]?.set ?? {}, { weight: 700 });
    expect(textUseOf(bold).sizes.short.weight).toBe(600);
  });
});

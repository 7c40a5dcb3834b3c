import { describe, expect, test } from '@jest/globals';
import { applyChange } from '../change';
import { seatedDocument } from '../testing/documents';
import { barePage } from './barePage';
import {
  differencesOf,
  saidOf,
  facesMissing,
  typeOf,
  widthsToVerify,
  type GivenFace,
} from './verification';

const document = seatedDocument();

describe('what a browser makes of the bundle', () => {
  const project = typeOf(document, 'body', 1280);
  if (!project) throw new Error('The body has no family');

  test('is compared in family, size, line height, weight and slant', () => {
    expect(project.family).toBe('Literata');
    expect(project.lineHeight).toBeCloseTo(project.size * 1.55, 1);
    expect(differencesOf('body', 1280, project, project)).toEqual([]);
    const other = {
      family: 'Arial',
      size: project.size + 1,
      lineHeight: null,
      weight: 700,
      slant: 'italic',
    };
    const differences = differencesOf('body', 1280, project, other);
    expect(differences.map(({ what }) => what)).toEqual([
      'family',
      'weight',
      'slant',
      'size',
      'lineHeight',
    ]);
    expect(differences[0]).toMatchObject({ project: 'Literata', browser: 'Arial' });
  });

  test.each([
    [0.049, 0],
    [-0.049, 0],
    [0.051, 1],
    [-0.051, 1],
  ])('counts a size that is off by %f px: %i', (off, count) => {
    const size = project.size + off;
    // As a browser has it: line heights are multiples.
    const near = {
      ...project,
      size,
      lineHeight: size * ((project.lineHeight ?? 0) / project.size),
    };
    expect(differencesOf('body', 1280, project, near)).toHaveLength(count);
  });

  test('where another size stands, is told of the size alone while the lines are as far apart in it', () => {
    const larger = {
      ...project,
      size: project.size * 2,
      lineHeight: (project.lineHeight ?? 0) * 2,
    };
    expect(differencesOf('body', 1280, project, larger).map(({ what }) => what)).toEqual(['size']);
    const tighter = { ...larger, lineHeight: project.lineHeight };
    expect(differencesOf('body', 1280, project, tighter).map(({ what }) => what)).toEqual([
      'size',
      'lineHeight',
    ]);
  });

  test('is held on pages to what an element’s own style says', () => {
    expect([...saidOf(document, 'body')].sort()).toEqual([
      'family',
      'lineHeight',
      'size',
      'slant',
      'weight',
    ]);
    // An emphasis is as large and as heavy as the text that it stands in.
    expect([...saidOf(document, 'emphasis')]).toEqual(['slant']);
  });

  test('is looked at at both ends and between', () => {
    expect(widthsToVerify(document)).toEqual([360, 820, 1280]);
  });

  test('is held against what stands on narrow screens there', () => {
    const narrow = applyChange(document, [
      { op: 'add', path: '/styles/body/narrow', value: { weight: 500 } },
    ]).document;
    expect(typeOf(narrow, 'body', 360)?.weight).toBe(500);
    expect(typeOf(narrow, 'body', 1280)?.weight).toBe(400);
  });
});

describe('faces that did not come', () => {
  const given = (more: Partial<GivenFace> = {}): GivenFace[] => [
    { family: 'Literata', slant: 'normal', weightMin: 400, weightMax: 700, loaded: true },
    { family: 'Literata', slant: 'italic', weightMin: 400, weightMax: 400, loaded: true, ...more },
    { family: 'Archivo', slant: 'normal', weightMin: 600, weightMax: 700, loaded: true },
  ];

  test('are named, each once', () => {
    expect(facesMissing(document, given())).toEqual([]);
    // What only visitors may have is missed by none.
    const { archivo: heading, ...others } = document.case;
    if (!heading) throw new Error('There is a heading family.');
    const local = { ...document, case: { ...others, archivo: { ...heading, localOnly: true } } };
    expect(facesMissing(local, given().slice(0, 2))).toEqual([]);
    expect(facesMissing(document, given({ loaded: false }))).toEqual([
      'Literata 400 italic did not load',
    ]);
    expect(facesMissing(document, given().slice(0, 2))).toEqual([
      'Archivo: no file of it was found',
    ]);
  });
});

test('the bare page has an example of each element and nothing of its own', () => {
  const html = barePage(document);
  for (const key of Object.keys(document.elements)) {
    expect(html).toContain(`<section data-element="${key}">`);
  }
  expect(html).toContain('<link rel="stylesheet" href="lettera.css">');
  expect(html).not.toMatch(/<style|style=/);
});

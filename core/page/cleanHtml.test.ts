import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { parse, type DefaultTreeAdapterTypes as Tree } from 'parse5';
import { cleanHtml } from './cleanHtml';
import { runs } from '../testing/runs';

const clean = (text: string): string =>
  cleanHtml(text, {
    use: () => null,
    linked: () => undefined,
    standing: () => ({ address: '../sites/s/index.html.style-1.css', removed: [] }),
  }).html;

/** What a browser would read of it: every element, with its attributes. */
function elementsOf(html: string): Tree.Element[] {
  const found: Tree.Element[] = [];
  const visit = (node: Tree.Node): void => {
    if ('tagName' in node) found.push(node);
    if ('content' in node) visit(node.content);
    if ('childNodes' in node) node.childNodes.forEach(visit);
  };
  visit(parse(html));
  return found;
}

/** Elements that may stand in what was cleaned only as what Lettera itself put there, or not at all. */
const dangerous = ({ tagName, attrs }: Tree.Element): boolean =>
  /^(script|style|iframe|frame|object|embed|base|xmp|plaintext|noembed|noscript)$/.test(tagName) ||
  (tagName === 'link' &&
    !attrs.some(({ name, value }) => name === 'href' && value.startsWith('../sites/'))) ||
  attrs.some(
    ({ name, value }) =>
      name.startsWith('on') ||
      (/^(src|srcset|href|action|ping)$/.test(name) && /elsewhere/.test(value)),
  );

const sound = (text: string): void => {
  const html = clean(text);
  expect(clean(html.replaceAll(/<link[^>]*>/g, ''))).toBe(html.replaceAll(/<link[^>]*>/g, ''));
  expect(
    elementsOf(html)
      .filter(dangerous)
      .map(({ tagName }) => tagName),
  ).toEqual([]);
};

describe('markup that is another when it is read again', () => {
  const LINK = '<link rel=preconnect href=https://elsewhere.example>';
  test.each([
    `<form><math><mtext></form><form><mglyph><xmp>${LINK}</xmp>`,
    `<form><math><mtext></form><form><mglyph><style></math>${LINK}</style>`,
    `<math><mtext><table><mglyph><style><!--</style><img src=https://elsewhere.example/a>`,
    `<svg></p><style><a id="</style><img src=https://elsewhere.example/a onerror=x()>">`,
    `<noscript><p title="</noscript>${LINK}">`,
    `<xmp>${LINK}`,
    `<plaintext>${LINK}`,
    `<math><annotation-xml encoding="text/html"><style>${LINK}</style></annotation-xml></math>`,
    `<svg><foreignObject><xmp>${LINK}</xmp></foreignObject></svg>`,
    `<svg><title><xmp>${LINK}</xmp></title></svg>`,
    `<table><form><table><form>${LINK}`,
    `<textarea></textarea ${LINK}`,
    `<svg>${LINK}</svg>`,
    `<template><xmp>${LINK}</xmp></template>`,
    `<select><xmp>${LINK}</xmp></select>`,
  ])('%s comes out as it stays', (text) => sound(text));

  test('and so does any', () => {
    const piece = fc.constantFrom(
      ...'form math mtext mglyph malignmark mi svg foreignObject desc title style xmp table tr td select option template textarea p a b noembed noscript plaintext annotation-xml frameset'
        .split(' ')
        .flatMap((tag) => [`<${tag}>`, `</${tag}>`]),
      LINK,
      '<!--',
      '-->',
      '<![CDATA[',
      ']]>',
      '<img src=https://elsewhere.example/a>',
      'x',
      '<p title="',
      '">',
    );
    fc.assert(
      fc.property(fc.array(piece, { minLength: 2, maxLength: 14 }), (pieces) =>
        sound(pieces.join('')),
      ),
      { numRuns: runs(2000) },
    );
  });
});

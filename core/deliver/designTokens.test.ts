import { describe, expect, test } from '@jest/globals';
import { fallbacksOf, plansOf, seatedDocument } from '../testing/documents';
import { designTokens } from './designTokens';
import { sassTokens } from './sass';
import { specimen } from './specimen';
import { stylesheet } from './stylesheet';
import { customProperties } from './testing/properties';

type Token = { $value?: unknown; $type?: string } & Record<string, unknown>;

const tokens = () =>
  JSON.parse(designTokens(seatedDocument(), fallbacksOf(seatedDocument()))) as Record<
    string,
    Token
  >;

/** Every alias in a value, as the path that it names. */
function aliases(value: unknown): string[] {
  if (typeof value === 'string') {
    const match = /^\{(.+)\}$/.exec(value);
    return match ? [match[1] ?? ''] : [];
  }
  if (typeof value !== 'object' || value === null) return [];
  return Object.values(value).flatMap(aliases);
}

const at = (path: string): unknown =>
  path
    .split('.')
    .reduce<unknown>((node, key) => (node as Record<string, unknown>)?.[key], tokens());

describe('design tokens', () => {
  test('have a type for every group, as the format asks', () => {
    const { font, size, colour, style } = tokens();
    expect([font, size, colour, style].map((group) => group?.$type)).toEqual([
      'fontFamily',
      'dimension',
      'color',
      'typography',
    ]);
  });

  test('alias only tokens that are there', () => {
    const named = aliases(tokens());
    expect(named.length).toBeGreaterThan(40);
    for (const path of named)
      expect({ path, token: at(path) }).toMatchObject({
        token: { $value: expect.anything() as unknown },
      });
  });

  test('give colours as components of 0 to 1 with their alpha', () => {
    const document = seatedDocument();
    Object.assign(document.colours['ink'] ?? {}, { light: 'rgb(255 0 0 / 0.5)' });
    const { colour } = JSON.parse(designTokens(document, fallbacksOf(document))) as Record<
      string,
      Token
    >;
    expect(colour?.['ink']).toMatchObject({
      $value: { colorSpace: 'srgb', components: [1, 0, 0], alpha: 0.5, hex: '#ff0000' },
    });
  });

  test('keep what the format has no place for under a key of their own', () => {
    expect(at('size.base.$extensions.lettera')).toEqual({
      step: 0,
      small: { width: 360, size: { value: 1, unit: 'rem' } },
      large: { width: 1280, size: { value: 1.125, unit: 'rem' } },
    });
    expect(at('$extensions.lettera.fallbackFaces')).toEqual(
      expect.arrayContaining([
        {
          name: 'Georgia for Literata',
          local: 'georgia',
          variant: 'regular',
          weight: 400,
          slant: 'normal',
          sizeAdjust: 1.1,
          ascentOverride: 0.8636,
          descentOverride: 0.2273,
          lineGapOverride: 0,
          unicodeRange: 'U+20, U+A0',
        },
        expect.objectContaining({ name: 'Arial for Archivo', local: 'arial', weight: 700 }),
      ]),
    );
  });

  test('give letter spacing in rem at the style’s size, since the format knows no em', () => {
    const document = seatedDocument();
    Object.assign(document.styles['lead']?.set ?? {}, { letterSpacing: 0.1 });
    const { style } = JSON.parse(designTokens(document, fallbacksOf(document))) as Record<
      string,
      Token
    >;
    expect(style?.['lead']).toMatchObject({
      $value: { letterSpacing: { value: 0.1406, unit: 'rem' } },
      $extensions: { lettera: { letterSpacing: { value: 0.1, unit: 'em' } } },
    });
  });
});

test('Sass variables stand for the custom properties of the same name, one each', () => {
  const sass = sassTokens(seatedDocument(), fallbacksOf(seatedDocument()));
  const css = customProperties(stylesheet(seatedDocument(), plansOf(seatedDocument())));
  const variables = [...sass.matchAll(/^\$([a-z0-9-]+): var\(--([a-z0-9-]+)\);$/gm)];
  expect(variables.map(([, variable]) => `--${variable}`)).toEqual(css);
  for (const [, variable, property] of variables) expect(variable).toBe(property);
});

describe('the specimen', () => {
  const html = specimen(seatedDocument());

  test('shows every element and every step', () => {
    const { elements } = seatedDocument();
    for (const { name } of Object.values(elements)) expect(html).toContain(`${name} ·`);
    expect([...html.matchAll(/data-step="([^"]+)"/g)].map(([, step]) => step)).toEqual([
      'up-6',
      'up-5',
      'up-4',
      'up-3',
      'up-2',
      'up-1',
      'base',
      'down-1',
      'down-2',
    ]);
  });

  test('says of each what it is set in, and links the style sheet beside it', () => {
    expect(html).toContain('<h1>Heading 1 in Archivo 700</h1>');
    expect(html).toContain('Emphasis in Literata 400 italic');
    expect(html).toContain('<link rel="stylesheet" href="lettera.css">');
    expect(html).not.toContain('<script');
  });
});

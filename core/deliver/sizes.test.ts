import { describe, expect, test } from '@jest/globals';
import { generate, parse, walk, type Rule } from 'css-tree';
import { documentErrors } from '../change';
import type { ProjectDocument, Scale } from '../document';
import { fallbacksOf, plansOf, seatedDocument } from '../testing/documents';
import { designTokens } from './designTokens';
import { stylesheet } from './stylesheet';

const project = (scale: Partial<Scale>): ProjectDocument => {
  const document = seatedDocument();
  const made = { ...document, scale: { ...document.scale, ...scale } };
  expect(documentErrors(made)).toEqual([]);
  return made;
};

/** The declarations of every rule, with the conditions that it stands in. */
function rules(css: string): { within: string; selector: string; body: string }[] {
  const found: { within: string; selector: string; body: string }[] = [];
  const tree = parse(css, {
    onParseError: (error) => {
      throw error;
    },
  });
  walk(tree, {
    visit: 'Rule',
    enter(this: { atrule: unknown }, node: Rule) {
      const atrule = this.atrule as { name: string; prelude: null } | null;
      found.push({
        within: atrule ? `@${atrule.name} ${atrule.prelude ? generate(atrule.prelude) : ''}` : '',
        selector: generate(node.prelude),
        body: generate(node.block),
      });
    },
  });
  return found;
}

describe('sizes as they are delivered', () => {
  test('that change at one width stand twice, the second time under the width', () => {
    const changing = project({ between: 'media', changeAt: 700 });
    const all = rules(stylesheet(changing, plansOf(changing)));
    const [first, second] = all.filter(({ body }) => body.includes('--size-up-1:'));
    expect(first).toMatchObject({ within: '' });
    expect(first?.body).toContain('--size-base: 1rem');
    expect(second?.within).toBe('@media (min-width:700px)');
    expect(second?.body).toContain('--size-base: 1.125rem');
    expect(second?.body).not.toContain('--style-');
  });

  test('that are one at both ends are not repeated', () => {
    const { small } = seatedDocument().scale;
    const same = { between: 'media', large: { ...small, width: 1280 } } as const;
    expect(stylesheet(project(same), plansOf(project(same)))).not.toContain('@media');
  });

  test('that follow a container name what becomes one, and only then', () => {
    const document = project({ between: 'container', containers: ['article', 'aside'] });
    const css = stylesheet(document, plansOf(document));
    expect(css).toMatch(/--size-base: clamp\(.*cqi.*\)/);
    expect(rules(css)).toContainEqual(
      expect.objectContaining({
        selector: ':where(article,aside)',
        body: '{container-type:inline-size}',
      }),
    );
    const viewport = project({ containers: ['article'] });
    expect(stylesheet(viewport, plansOf(viewport))).not.toMatch(/container-type|--size:/);
  });

  test('on a grid have their lines rounded for each element with a size or a line height of its own', () => {
    const css = stylesheet(project({ grid: 4 }), plansOf(project({ grid: 4 })));
    expect(css).toContain('--grid: 0.25rem');
    const rounded = rules(css).filter(({ body }) => body.includes('round('));
    expect(rounded.every(({ within }) => within.startsWith('@supports'))).toBe(true);
    const of = (selector: string) =>
      rounded.find((rule) => rule.selector === `:where(${selector})`);
    expect(of('h1')?.body).toContain('var(--style-heading-1-line-height)*1em');
    // The quotation has a size of its own, and the body’s line height.
    expect(of('blockquote')?.body).toContain('var(--style-body-line-height)*1em');
    expect(of('em,i,cite')).toBeUndefined();
    expect(stylesheet(project({}), plansOf(project({})))).not.toContain('--grid');
  });

  test('keep in the tokens what the format has no place for', () => {
    const document = project({
      between: 'media',
      grid: 8,
      added: [1.5],
      names: { scheme: 'sizes', own: {} },
    });
    const tokens = JSON.parse(designTokens(document, fallbacksOf(document))) as {
      size: Record<string, { $extensions: { lettera: object } }>;
    };
    expect(tokens.size['$extensions']).toEqual({
      lettera: { between: 'media', changeAt: 820, grid: { value: 0.5, unit: 'rem' } },
    });
    expect(tokens.size['large-plus']?.$extensions.lettera).toMatchObject({ step: 1.5 });
  });
});

import { describe, expect, test } from '@jest/globals';
import { compileString } from 'sass';
import { applyChange, ChangeError, describePatch } from '../change';
import { marksOf } from '../check';
import type { Patch, ProjectDocument } from '../document';
import {
  addWidthPatch,
  documentAtWidth,
  documentOn,
  redundant,
  removeWidthPatch,
  resolveInUse,
  sameStyles,
  setCellPatch,
  sizeInViewport,
  sizeOn,
  usersOfColour,
  voiceUses,
} from '../style';
import { fallbacksOf, plansOf, seatedDocument } from '../testing/documents';
import { bundleFiles } from './bundle';
import { designTokens } from './designTokens';
import { readTokens } from './reading';
import { sassTokens } from './sass';
import { stylesheet } from './stylesheet';
import { stylesheetFaults } from './verify';

const changed = (patch: Patch, document: ProjectDocument = seatedDocument()) =>
  applyChange(document, patch).document;
/** The sample with what a style sets on an occasion. */
const on = (
  style: string,
  key: string,
  values: Record<string, string | number>,
  of?: ProjectDocument,
) => {
  const document = of ?? seatedDocument();
  const { at = {} } = document.styles[style] ?? {};
  return changed(
    [{ op: 'add', path: `/styles/${style}/at`, value: { ...at, [key]: values } }],
    document,
  );
};
const sheetOf = (document: ProjectDocument) => stylesheet(document, plansOf(document));
/** A style sheet on one line, so that rules can be sought in it. */
const flat = (document: ProjectDocument) => sheetOf(document).replace(/\s+/g, ' ');
const wide = (width: object, document?: ProjectDocument) =>
  changed([{ op: 'add', path: '/widths', value: { wide: { name: 'Wide', ...width } } }], document);

describe('a style on an occasion', () => {
  test('has rules behind those at rest, and tokens of its own', () => {
    const css = flat(on('navigation', 'hover', { weight: 700, colour: 'accent' }));
    expect(css).toContain('--style-navigation-color--hover: var(--colour-accent);');
    expect(css).toContain(
      ':where(nav:hover) { font-weight: var(--style-navigation-font-weight--hover); color: var(--style-navigation-color--hover); }',
    );
    expect(css.indexOf(':where(nav:hover)')).toBeGreaterThan(css.indexOf(':where(nav) {'));
  });

  test('hands it on to what follows it, unless that sets the same itself', () => {
    const document = on('heading', 'hover', { colour: 'accent', weight: 800 });
    const css = flat(document);
    expect(css).toContain('--style-heading-2-color--hover: var(--style-heading-color--hover);');
    const own = flat(
      changed([{ op: 'add', path: '/styles/heading-2/set/colour', value: 'quiet' }], document),
    );
    expect(own).not.toContain('--style-heading-2-color--hover');
    expect(own).toContain('--style-heading-2-font-weight--hover');
  });

  test('wins by its place where two states are met', () => {
    const keys = ['disabled', 'active', 'hover', 'focus', 'current', 'visited'];
    let document = seatedDocument();
    for (const key of keys) document = on('navigation', key, { colour: 'accent' }, document);
    const css = flat(document);
    const order = [
      ':visited',
      '[aria-current]',
      ':hover',
      ':focus-visible',
      ':active',
      ':disabled',
    ];
    const places = order.map((state) => css.indexOf(`:where(nav:${state.replace(/^:/, '')}`));
    const found = order.map((state, i) =>
      state === '[aria-current]'
        ? css.indexOf(':where(nav:is([aria-current]')
        : state === ':disabled'
          ? css.indexOf(':where(nav:is(:disabled')
          : (places[i] ?? -1),
    );
    expect(found.every((place) => place > 0)).toBe(true);
    expect(found).toEqual([...found].sort((a, b) => a - b));
  });

  test('is written with the weight that the delivery has', () => {
    const document = on('lead', 'selection', { colour: 'accent' });
    const stated = on('lead', 'hover', { colour: 'accent' }, document);
    const own = flat(changed([{ op: 'add', path: '/delivery/weight', value: 'own' }], stated));
    expect(own).toContain(' .lead:hover {');
    expect(own).toContain(' .lead::selection {');
    const over = flat(changed([{ op: 'add', path: '/delivery/weight', value: 'over' }], stated));
    expect(over).toMatch(/:is\(\.lead:hover\)(:not\(\.lettera-weight\)){4} \{/);
    expect(over).toMatch(/:is\(\.lead\)(:not\(\.lettera-weight\)){4}::selection \{/);
  });

  test('keeps the site’s own colours where those are kept', () => {
    const document = changed(
      [{ op: 'add', path: '/delivery/keepColoursOn', value: ['.banner'] }],
      on('lead', 'hover', { colour: 'accent', weight: 600 }),
    );
    const css = flat(document);
    expect(css).toContain(
      ':where(.lead:not(:where(.banner, .banner *)):hover) { color: var(--style-lead-color--hover); }',
    );
    expect(css).toContain(
      ':where(.lead:hover) { font-weight: var(--style-lead-font-weight--hover); }',
    );
  });

  test('takes what browsers take there, and nothing else', () => {
    const set = (style: string, key: string, values: Record<string, string | number>) => () =>
      on(style, key, values);
    expect(set('link', 'visited', { colour: 'ink' })).not.toThrow();
    expect(set('link', 'visited', { weight: 700 })).toThrow(ChangeError);
    expect(set('list', 'marker', { colour: 'accent', weight: 700 })).not.toThrow();
    expect(set('list', 'marker', { letterSpacing: 0.1 })).toThrow(ChangeError);
    expect(set('lead', 'first-letter', { dropLines: 3, inset: '0em 0.1em' })).not.toThrow();
    expect(set('lead', 'first-line', { dropLines: 3 })).toThrow(ChangeError);
    expect(set('lead', 'first-line', { smallCaps: 'small-caps', case: 'uppercase' })).not.toThrow();
    expect(set('lead', 'first-line', { measure: '40ch' })).toThrow(ChangeError);
    expect(set('lead', 'selection', { ground: 'ink' })).not.toThrow();
    expect(set('lead', 'selection', { step: 2 })).toThrow(ChangeError);
    expect(set('lead', 'forced-colours', { weight: 600 })).not.toThrow();
    expect(set('lead', 'forced-colours', { colour: 'ink' })).toThrow(ChangeError);
    expect(set('lead', 'hover', { colour: 'none-such' })).toThrow(/none-such/);
    expect(set('lead', 'none-such', {})).toThrow(/none-such/);
    expect(set('lead', 'constructor', {})).toThrow(ChangeError);
  });

  test('asks faces for its weights, and keeps its colours in use', () => {
    const document = on('navigation', 'hover', { weight: 640, ground: 'panel' });
    const weights = voiceUses(document)
      .get('heading')
      ?.requests.map(({ weight }) => weight);
    expect(weights).toContain(640);
    expect(usersOfColour(document, 'panel')).toContain('navigation');
    expect(() => changed([{ op: 'remove', path: '/colours/panel' }], document)).toThrow(
      ChangeError,
    );
  });

  test('says the same as another only where it does so on each', () => {
    const twins = changed([
      { op: 'add', path: '/styles/one', value: { name: 'One', follows: 'small', set: {} } },
      { op: 'add', path: '/styles/two', value: { name: 'Two', follows: 'small', set: {} } },
    ]);
    const together = (document: ProjectDocument) =>
      sameStyles(document).some((group) => group.includes('one') && group.includes('two'));
    expect(together(twins)).toBe(true);
    expect(together(on('one', 'hover', { weight: 600 }, twins))).toBe(false);
    const both = on('two', 'hover', { weight: 600 }, on('one', 'hover', { weight: 600 }, twins));
    expect(together(both)).toBe(true);
  });

  test('makes needed what is set to what it would follow at rest alone', () => {
    const set = changed([{ op: 'add', path: '/styles/heading-2/set/weight', value: 700 }]);
    const isNeedless = (document: ProjectDocument) =>
      redundant(document).some(
        ({ style, property }) => style === 'heading-2' && property === 'weight',
      );
    expect(isNeedless(set)).toBe(true);
    // It keeps its weight where the style that it follows has another.
    expect(isNeedless(on('heading', 'hover', { weight: 800 }, set))).toBe(false);
  });

  test('is named in the history, and set in cells', () => {
    const document = seatedDocument();
    const patch = setCellPatch(document, 'lead', 'weight', 600, 'at/hover');
    const after = changed(patch, document);
    expect(after.styles['lead']?.at).toEqual({ hover: { weight: 600 } });
    const next = setCellPatch(after, 'lead', 'weight', 620, 'at/hover');
    expect(next).toHaveLength(1);
    expect(describePatch(after, next)).toBe('Style Lead: weight, pointed at 600 → 620');
    expect(
      changed(setCellPatch(after, 'lead', 'weight', null, 'at/hover'), after).styles['lead']?.at,
    ).toEqual({ hover: {} });
  });

  test('is in tokens, and read back as it was', () => {
    const document = wide(
      { from: 900 },
      changed(
        [{ op: 'add', path: '/print', value: { base: 10, ratio: 1.2, addresses: true } }],
        on('lead', 'hover', { weight: 600 }),
      ),
    );
    const json = designTokens(document, fallbacksOf(document));
    const { patch } = readTokens(seatedDocument(), json);
    const back = changed(patch);
    expect(back.styles['lead']?.at).toEqual(document.styles['lead']?.at);
    expect(back.widths).toEqual(document.widths);
    expect(back.print).toEqual(document.print);
    expect(designTokens(back, fallbacksOf(back))).toBe(json);
  });

  test('is in the mixin of its style', () => {
    const document = on('lead', 'hover', { weight: 600 }, on('lead', 'marker', { colour: 'ink' }));
    const scss = sassTokens(document, fallbacksOf(document));
    const css = compileString(`${scss}\n.x { @include style-lead; }`).css.replace(/\s+/g, ' ');
    expect(css).toContain('.x:hover { font-weight: var(--style-lead-font-weight--hover); }');
    expect(css).toContain('.x::marker { color: var(--style-lead-color--marker); }');
  });

  test('is marked where it cannot be read, by itself, and not what only inherits from it', () => {
    const pale = changed([
      {
        op: 'add',
        path: '/colours/pale',
        value: { name: 'Pale', light: '#dddddd', dark: '#333333' },
      },
    ]);
    const low = (document: ProjectDocument) =>
      marksOf(document)
        .filter(({ rule, message }) => rule === 'low-contrast' && /^Pointed at\./.test(message))
        .map(({ style }) => style);
    expect(low(on('lead', 'hover', { colour: 'pale' }, pale))).toEqual(['lead']);
    expect(low(on('body', 'hover', { colour: 'pale' }, pale))).toEqual(['body']);
    expect(low(on('lead', 'hover', { colour: 'ink' }, pale))).toEqual([]);
    // WCAG asks nothing of what is unavailable.
    const off = marksOf(on('lead', 'disabled', { colour: 'pale' }, pale));
    expect(off.some(({ message }) => /^Unavailable/.test(message))).toBe(false);
  });
});

describe('a large first letter', () => {
  const css = flat(on('lead', 'first-letter', { dropLines: 3 }));

  test('is as tall as its lines where browsers know that, and is floated elsewhere', () => {
    const lines = 'var(--style-lead-initial-letter--first-letter)';
    expect(css).toContain('--style-lead-initial-letter--first-letter: 3;');
    expect(css).toContain(
      `:where(.lead)::first-letter { -webkit-initial-letter: ${lines}; initial-letter: ${lines}; }`,
    );
    expect(css).toContain(
      `@supports not (initial-letter: 2) { @supports not (-webkit-initial-letter: 2) { :where(.lead)::first-letter { float: inline-start; font-size: calc((${lines} - 1) * 1lh + 1cap);`,
    );
  });

  test('is as important as its element', () => {
    const document = changed(
      [{ op: 'add', path: '/elements/lead/important', value: true }],
      on('lead', 'first-letter', { dropLines: 3 }),
    );
    expect(flat(document)).toContain('float: inline-start !important;');
    expect(flat(document)).not.toContain('!important)');
  });
});

describe('widths of the site’s', () => {
  test('are conditions around rules, from one width on and below another', () => {
    const document = wide({ from: 768, below: 1200 });
    const css = flat(on('lead', 'wide', { weight: 500 }, document));
    expect(css).toContain(
      '@media (min-width: 768px) { @media not all and (min-width: 1200px) { :where(.lead) { font-weight: var(--style-lead-font-weight--wide); } } }',
    );
  });

  test('may be those of a container', () => {
    const document = wide({ from: 400, container: 'card' });
    expect(flat(on('lead', 'wide', { weight: 500 }, document))).toContain(
      '@container card (min-width: 400px) { :where(.lead)',
    );
    expect(() => wide({ from: 400, container: 'a b' })).toThrow(ChangeError);
    expect(() => wide({ from: 400, container: 'card', scale: { base: 16, ratio: 1.2 } })).toThrow(
      /container/,
    );
  });

  test('begin or end somewhere, in that order, and have names of their own', () => {
    expect(() => wide({})).toThrow(ChangeError);
    expect(() => wide({ from: 800, below: 800 })).toThrow(ChangeError);
    expect(() => wide({ from: 800, below: 801 })).not.toThrow();
    expect(() =>
      changed([{ op: 'add', path: '/widths', value: { hover: { name: 'Hover', from: 800 } } }]),
    ).toThrow(ChangeError);
  });

  test('hold from their first px on', () => {
    const document = on('lead', 'wide', { weight: 500 }, wide({ from: 768, below: 1200 }));
    const weightAt = (width: number) =>
      resolveInUse(documentAtWidth(document, width), 'lead').weight.value;
    expect([767, 768, 1199, 1200].map(weightAt)).toEqual([400, 500, 500, 400]);
    const inCard = on('lead', 'wide', { weight: 500 }, wide({ from: 1, container: 'card' }));
    expect(resolveInUse(documentAtWidth(inCard, 800), 'lead').weight.value).toBe(400);
  });

  test('may have a scale of their own', () => {
    const document = wide({ from: 1600, scale: { base: 20, ratio: 1.5 } });
    expect(sizeOn(document, 'wide', 2)).toEqual({ size: 45, unit: 'px' });
    expect(sizeInViewport(document, 2, 1600)).toBeCloseTo(45, 9);
    expect(sizeInViewport(document, 2, 1599)).toBeCloseTo(
      sizeInViewport(seatedDocument(), 2, 1599),
      9,
    );
    expect(flat(document)).toMatch(
      /@media \(min-width: 1600px\) \{ :root \{ [^}]*--size-base: 1\.25rem;[^}]*--size-up-2: 2\.8125rem;/,
    );
  });

  test('are added under a key of their own, and go with all that styles set for them', () => {
    const document = seatedDocument();
    const first = addWidthPatch(document, { from: 768 });
    const one = changed(first.patch, document);
    const second = addWidthPatch(one, { from: 1024, name: 'Print' });
    const two = changed(second.patch, one);
    expect(Object.keys(two.widths ?? {})).toEqual([first.key, second.key]);
    expect(second.key).not.toBe('print');
    const set = on('lead', first.key, { weight: 500 }, two);
    expect(() => changed([{ op: 'remove', path: `/widths/${first.key}` }], set)).toThrow(
      ChangeError,
    );
    const without = changed(removeWidthPatch(set, first.key), set);
    expect(without.styles['lead']?.at).toEqual({});
    expect(Object.keys(without.widths ?? {})).toEqual([second.key]);
  });
});

describe('beside what else the delivery has', () => {
  test('text in a container takes its size anew where the style has another', () => {
    const inContainers = changed([{ op: 'add', path: '/scale/between', value: 'container' }]);
    const css = flat(on('lead', 'wide', { step: 2 }, wide({ from: 768 }, inContainers)));
    expect(css).toMatch(
      /:where\(\.lead\) \{ font-size: var\(--style-lead-font-size--wide\); --size: var\(--style-lead-font-size--wide\); \}/,
    );
    const part = flat(on('lead', 'first-letter', { step: 2 }, inContainers));
    expect(part).toContain(
      '::first-letter { font-size: var(--style-lead-font-size--first-letter); }',
    );
  });

  test('a line height is on the grid there too, but not on paper', () => {
    const gridded = changed([{ op: 'add', path: '/scale/grid', value: 8 }]);
    const css = flat(
      on('lead', 'print', { lineHeight: 1.3 }, on('lead', 'hover', { lineHeight: 1.8 }, gridded)),
    );
    const grid = css.slice(css.indexOf('@supports (line-height: round'));
    expect(grid).toContain(
      ':where(.lead:hover) { line-height: max(var(--grid), round(nearest, calc(var(--style-lead-line-height--hover) * 1em), var(--grid))); }',
    );
    expect(grid).toContain(
      '@media print { :where(.lead) { line-height: var(--style-lead-line-height--print); } }',
    );
  });

  test('tokens go by the prefix, where they are set and where they are read', () => {
    const document = changed(
      [{ op: 'add', path: '/delivery/prefix', value: 'tl' }],
      on('lead', 'hover', { weight: 600 }),
    );
    const css = bundleFiles(document, plansOf(document), {}).find(
      ({ path }) => path === 'lettera.css',
    );
    const text = css?.kind === 'text' ? css.content : '';
    expect(text.match(/--tl-style-lead-font-weight--hover/g)).toHaveLength(2);
    expect(text).not.toMatch(/--style-lead-font-weight--hover/);
  });
});

describe('marks at a width of the site’s', () => {
  const small = { width: 360, base: 15, ratio: 1.2 };
  const tooSmall = changed([{ op: 'replace', path: '/scale/small', value: small }]);
  const body = (document: ProjectDocument) =>
    marksOf(document).filter(({ rule, message }) => rule === 'small-text' && /Body/.test(message));

  test('are those of what is set there', () => {
    expect(body(tooSmall)).toHaveLength(1);
    const below = wide({ below: 500 }, tooSmall);
    expect(body(below)).toHaveLength(1);
    expect(body(on('body', 'wide', { step: 1 }, below))).toHaveLength(0);
    // Elsewhere it changes nothing.
    const elsewhere = on('body', 'wide', { step: 1 }, wide({ from: 500 }, tooSmall));
    expect(body(elsewhere)).toHaveLength(1);
  });

  test('go by a scale that the width has of its own', () => {
    const larger = wide({ below: 500, scale: { base: 18, ratio: 1.2 } }, tooSmall);
    expect(body(larger)).toHaveLength(0);
    const smaller = wide({ below: 500, scale: { base: 14, ratio: 1.2 } });
    expect(body(smaller).map(({ message }) => message)).toEqual([
      expect.stringMatching(/^Below 600 px, Wide\. Body/),
    ]);
  });
});

describe('print', () => {
  test('has sizes in pt by a scale of its own, after those of all widths', () => {
    const document = changed(
      [{ op: 'add', path: '/print', value: { base: 10, ratio: 1.2 } }],
      wide({ from: 600, scale: { base: 20, ratio: 1.5 } }),
    );
    const css = flat(document);
    expect(css).toMatch(
      /@media print \{ :root \{ [^}]*--size-base: 10pt;[^}]*--size-up-2: 14\.4pt;/,
    );
    expect(css.indexOf('@media print')).toBeGreaterThan(css.indexOf('@media (min-width: 600px)'));
    expect(sizeOn(document, 'print', 1)).toEqual({ size: 12, unit: 'pt' });
    expect(documentOn(document, 'print').scale.large.base).toBeCloseTo(13.333, 3);
    expect(sizeOn(seatedDocument(), 'print', 1)).toBeNull();
  });

  test('has the addresses of links where they are wanted', () => {
    const withAddresses = (addresses: boolean) =>
      flat(changed([{ op: 'add', path: '/print', value: { base: 10, ratio: 1.2, addresses } }]));
    expect(withAddresses(true)).toContain('attr(href)');
    expect(withAddresses(false)).not.toContain('attr(href)');
  });
});

test('whatever is set, the style sheet is sound', () => {
  let document = wide({ from: 700, below: 900, container: 'card' });
  for (const key of ['hover', 'open', 'invalid', 'marker', 'before', 'print', 'wide']) {
    document = on('lead', key, { weight: 600 }, document);
  }
  document = on('lead', 'first-letter', { dropLines: 2, lineThickness: '1px' }, document);
  expect(stylesheetFaults(sheetOf(document))).toEqual([]);
});

import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { seatedDocument } from '../testing/documents';
import { isWideGamut } from '../css';
import { contrastRatio, groundColour, groundsOf, inkUses, leastContrast, proposedInks } from '.';

describe('a colour beyond sRGB', () => {
  test('has the contrast of what is painted: cut off channel by channel', () => {
    const beyond = 'color(display-p3 0 1 0)';
    expect(isWideGamut(beyond)).toBe(true);
    expect(contrastRatio(beyond, '#000')).toBeCloseTo(contrastRatio('#00ff00', '#000'), 6);
    expect(contrastRatio('#fff', beyond)).toBeCloseTo(contrastRatio('#fff', '#00ff00'), 6);
    // What lies within is none of it.
    expect(isWideGamut('color(srgb 0.2 0.4 1)')).toBe(false);
    expect(contrastRatio('color(display-p3 0.5 0.5 0.5)', '#000')).toBeCloseTo(
      contrastRatio('color(srgb 0.5 0.5 0.5)', '#000'),
      2,
    );
  });
});

describe('the contrast that text needs', () => {
  // WCAG 2.2, 1.4.3: 24 px, or 18.66 px bold, is large.
  test.each([
    [16, 400, 4.5],
    [23.99, 699, 4.5],
    [24, 400, 3],
    [18.66, 700, 3],
    [18.65, 700, 4.5],
    [18.66, 699, 4.5],
  ])('at %d px and %d is %d', (size, weight, least) =>
    expect(leastContrast(size, weight)).toBe(least),
  );
});

describe('grounds', () => {
  const document = () => {
    const made = seatedDocument();
    made.styles['panel'] = { name: 'Panel', follows: null, set: { ground: 'panel' } };
    made.styles['note'] = { name: 'Note', follows: null, set: { colour: 'quiet' } };
    const element = (style: string, parent: string | null) => ({
      name: style,
      selectors: [`.${style}`],
      style,
      parent,
    });
    made.elements['panel'] = element('panel', null);
    made.elements['note'] = element('note', 'panel');
    return made;
  };

  test('are the style’s own, else what stands around the element, else the page’s', () => {
    const grounds = groundsOf(document());
    expect(grounds.get('panel')).toEqual(['panel']);
    expect(grounds.get('note')).toEqual(['panel']);
    expect(grounds.get('caption')).toEqual(['ground']);
  });

  test('a style that is worn in two places stands on both', () => {
    const made = document();
    made.elements['free'] = { name: 'Free', selectors: ['.free'], style: 'note', parent: null };
    expect(groundsOf(made).get('note')).toEqual(['panel', 'ground']);
    const uses = inkUses(made, { note: ['accent'] }).filter(({ style }) => style === 'note');
    expect(uses.map(({ ground }) => ground)).toEqual(['panel', 'ground', 'accent']);
    expect(uses[0]).toMatchObject({ ink: 'quiet', least: 4.5 });
  });

  test('that let something through are seen over the page’s', () => {
    const made = document();
    Object.assign(made.colours['ground'] ?? {}, { light: '#ffffff' });
    Object.assign(made.colours['panel'] ?? {}, { light: 'rgb(0 0 0 / 0.5)' });
    const seen = groundColour(made, 'panel', 'light');
    expect(contrastRatio('#000', seen)).toBeCloseTo(contrastRatio('#000', '#808080'), 1);
  });
});

describe('inks that are proposed', () => {
  const needs = [{ ground: '#ffffff', least: 4.5 }];
  const grey = () => fc.integer({ min: 0, max: 255 });
  const colour = fc
    .tuple(grey(), grey(), grey())
    .map((parts) => `#${parts.map((part) => part.toString(16).padStart(2, '0')).join('')}`);

  test('keep the contrast that is needed on every ground, and are softer and stronger', () => {
    fc.assert(
      fc.property(colour, colour, colour, (ink, first, second) => {
        const all = [
          { ground: first, least: 4.5 },
          { ground: second, least: 3 },
        ];
        const share = (one: string) =>
          Math.min(...all.map(({ ground, least }) => contrastRatio(one, ground) / least));
        const { softer, stronger } = proposedInks(ink, all);
        for (const proposed of [softer, stronger]) {
          if (proposed) expect(share(proposed.colour)).toBeGreaterThanOrEqual(1);
        }
        if (softer) expect(share(softer.colour)).toBeLessThan(share(ink));
        if (stronger) expect(share(stronger.colour)).toBeGreaterThan(share(ink));
      }),
      { numRuns: 60 },
    );
  });

  test('that fail come to just enough, and no more', () => {
    const { stronger, softer } = proposedInks('#9aa5ad', needs);
    expect(softer).toBeNull();
    expect(stronger?.ratio).toBeGreaterThanOrEqual(4.5);
    expect(stronger?.ratio).toBeLessThan(4.65);
  });

  test('keep the hue', () => {
    const { stronger } = proposedInks('#c0392b', needs);
    const [red = 0, green = 0, blue = 0] = (stronger?.colour.match(/[0-9a-f]{2}/g) ?? []).map(
      (part) => parseInt(part, 16),
    );
    expect(red).toBeGreaterThan(2 * Math.max(green, blue));
  });

  test('black has none that is stronger, and one that only just has enough none that is softer', () => {
    expect(proposedInks('#000000', needs).stronger).toBeNull();
    expect(proposedInks('#767676', needs).softer).toBeNull();
  });

  test('go to the other side of a ground where there is nothing on theirs', () => {
    const { stronger } = proposedInks('#555555', [{ ground: '#4a4a4a', least: 4.5 }]);
    expect(contrastRatio(stronger?.colour ?? '#4a4a4a', '#4a4a4a')).toBeGreaterThanOrEqual(4.5);
  });
});

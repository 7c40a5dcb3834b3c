import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import type { Patch } from '@lettera/core/document';
import { createPinia, setActivePinia } from 'pinia';
import { nextTick } from 'vue';
import { seatedDocument } from '../../core/testing/documents';
import { browser, MemoryServer } from '../testing/memoryServer';
import { useApparentSize } from './apparentSize';
import { useLengthUnit } from '../control/lengthUnit';
import { useMarks } from './marks';
import { useProject } from './project';
import { useScaleDraft } from './scaleDraft';

let server: MemoryServer;
let kept: Map<string, string>;

const X_HEIGHTS: Record<string, number> = { literata: 0.5, archivo: 0.55 };

const FACE = {
  width: 1,
  thin: 0.05,
  colour: 0.17,
  contrast: 2,
  slope: 0,
  lowerCase: 'own',
  monospaced: false,
  figures: null,
};

beforeEach(async () => {
  jest.useFakeTimers();
  setActivePinia(createPinia());
  server = new MemoryServer();
  server.document = seatedDocument();
  server.answers['GET /fonts'] = () => [];
  server.answers['GET /case/measures'] = () =>
    Object.fromEntries(
      Object.entries(X_HEIGHTS).map(([key, xHeight]) => [
        key,
        { regular: { ...FACE, xHeight }, weights: [], languages: [], italic: null },
      ]),
    );
  kept = browser(server);
  Object.assign(globalThis, {
    requestAnimationFrame: () => 0,
    cancelAnimationFrame: () => undefined,
  });
  await useProject().open('p1');
});

/** Lets all that is on its way arrive. */
async function settle(): Promise<void> {
  for (let i = 0; i < 5; i++) {
    await jest.advanceTimersByTimeAsync(200);
    await nextTick();
  }
}

const base = (value: number): Patch => [{ op: 'replace', path: '/scale/large/base', value }];
const large = () => server.document.scale.large;

describe('a scale that is tried', () => {
  test('shows, is not stored, and is left without a trace', async () => {
    const [project, draft] = [useProject(), useScaleDraft()];
    draft.start();
    expect(draft.change(base(24))).toBe(true);
    expect(draft.change([{ op: 'replace', path: '/scale/large/ratio', value: 1.4 }])).toBe(true);
    expect(project.shown?.scale.large).toMatchObject({ base: 24, ratio: 1.4 });
    draft.leave();
    await settle();
    expect(project.shown).toEqual(project.document);
    expect(server.arrived).toEqual([]);
  });

  test('is what undo takes back, and not what was stored before', async () => {
    const [project, draft] = [useProject(), useScaleDraft()];
    draft.change(base(20));
    await settle();
    draft.start();
    draft.change(base(24));
    await project.undo();
    await settle();
    expect(project.shown?.scale.large.base).toBe(20);
    expect(large().base).toBe(20);
    expect(draft.trying).toBe(true);
  });

  test('is taken as one change, however many led to it', async () => {
    const draft = useScaleDraft();
    draft.start();
    for (const size of [20, 22, 24]) draft.change(base(size));
    draft.take();
    await settle();
    expect(server.arrived).toHaveLength(1);
    expect(large().base).toBe(24);
    expect(draft.trying).toBe(false);
  });

  test('stays while something else is pointed at', () => {
    const [project, draft] = [useProject(), useScaleDraft()];
    draft.start();
    draft.change(base(24));
    draft.look([{ op: 'replace', path: '/scale/small/base', value: 18 }]);
    expect(project.shown?.scale).toMatchObject({ large: { base: 24 }, small: { base: 18 } });
    draft.look(null);
    expect(project.shown?.scale).toMatchObject({ large: { base: 24 }, small: { base: 16 } });
  });

  test('is stored at once when nothing is being tried', async () => {
    useScaleDraft().change(base(21));
    await settle();
    expect(large().base).toBe(21);
  });
});

describe('a change of the scale that is refused', () => {
  test('says where and why, and nothing has changed', async () => {
    const draft = useScaleDraft();
    expect(draft.change([{ op: 'replace', path: '/scale/up', value: 2 }])).toBe(false);
    expect(useProject().refusal).toEqual({
      message:
        'Style Heading 1: size is step 5, which the scale does not have: it runs from -2 to 2. Nothing was changed.',
      knowingly: null,
    });
    await settle();
    expect(server.arrived).toEqual([]);
  });

  test('for steps that cross can be made knowingly', async () => {
    const draft = useScaleDraft();
    const crossing: Patch = [{ op: 'add', path: '/scale/overrides/2', value: { small: 17 } }];
    expect(draft.change(crossing)).toBe(false);
    expect(useProject().refusal?.message).toBe(
      'up-2 would be smaller than up-1 at 360 px, 17 px against 19.2 px. Nothing was changed.',
    );
    expect(useProject().refusal?.knowingly?.()).toBe(true);
    expect(useProject().refusal).toBeNull();
    await settle();
    expect(server.document.scale).toMatchObject({
      crossing: true,
      overrides: { '2': { small: 17 } },
    });
  });
});

test('a step set by hand that is in the way of a ratio is let go of, and no other', async () => {
  const draft = useScaleDraft();
  draft.change([{ op: 'add', path: '/scale/overrides/1', value: { large: 26, small: 19.3 } }]);
  draft.change([{ op: 'add', path: '/scale/overrides/-1', value: { large: 15 } }]);
  await settle();
  // At this ratio the second step is below the first, which stays at 26.
  expect(draft.change([{ op: 'replace', path: '/scale/large/ratio', value: 1.1 }])).toBe(false);
  const { refusal } = useProject();
  expect(refusal?.letGo?.steps).toEqual(['up-1']);
  expect(refusal?.letGo?.run()).toBe(true);
  await settle();
  const { scale } = server.document;
  expect(scale.large.ratio).toBe(1.1);
  expect(scale.crossing).toBeUndefined();
  expect(scale.overrides).toEqual({ '1': { small: 19.3 }, '-1': { large: 15 } });
});

test('steps that cross while a scale is tried are made knowingly there, and stored with the rest', async () => {
  const draft = useScaleDraft();
  draft.start();
  expect(draft.change([{ op: 'add', path: '/scale/overrides/2', value: { small: 17 } }])).toBe(
    false,
  );
  expect(useProject().refusal?.knowingly?.()).toBe(true);
  await settle();
  expect(server.arrived).toEqual([]);
  expect(useProject().tried?.scale.crossing).toBe(true);
  draft.take();
  await settle();
  expect(server.document.scale.crossing).toBe(true);
});

describe('marks', () => {
  test('stay listed while one is shown put right, and go when it has been', async () => {
    const [project, allMarks] = [useProject(), useMarks()];
    project.change([{ op: 'replace', path: '/scale/small/base', value: 14 }]);
    await settle();
    const mark = allMarks.marks.find(({ rule }) => rule === 'small-text');
    if (!mark) throw new Error('The small text is not marked');
    allMarks.look(mark);
    await settle();
    expect(project.shown?.scale.small.base).toBe(16);
    expect(allMarks.marks).toContainEqual(mark);
    allMarks.look(null);
    project.change(mark.fix?.patch ?? []);
    await settle();
    expect(allMarks.marks.some(({ rule }) => rule === 'small-text')).toBe(false);
  });
});

describe('apparent size', () => {
  const seat = (family: string, ...more: Patch): Patch => [
    { op: 'replace', path: '/voices/text/family', value: family },
    ...more,
  ];
  const offers = async () => {
    await settle();
    return useApparentSize().offers;
  };

  beforeEach(async () => {
    useApparentSize();
    await settle();
  });

  test('is compared when a voice changes its family, and kept by the offer', async () => {
    useProject().change(seat('archivo'));
    const [offer] = await offers();
    expect(offer).toMatchObject({ voiceName: 'Text', from: 'Literata', to: 'Archivo' });
    expect(offer?.ratio).toBeCloseTo(0.5 / 0.55, 10);
    if (offer) useApparentSize().take(offer);
    expect(await offers()).toEqual([]);
    expect(large().base).toBeCloseTo(18 * (0.5 / 0.55), 1);
  });

  test('is offered until it is answered, after a reload too, and not when the family comes back', async () => {
    useProject().change(seat('archivo'));
    await offers();
    expect([...kept.keys()]).toContain('lettera:apparent-size:p1');
    useProject().change(seat('literata'));
    expect(await offers()).toEqual([]);
    useProject().change(seat('archivo'));
    useApparentSize().dismiss('text');
    expect(await offers()).toHaveLength(1);
    useApparentSize().dismiss('text');
    expect(await offers()).toEqual([]);
  });

  test('is not offered when the sizes changed with the family', async () => {
    useProject().change(seat('archivo', ...base(17)));
    expect(await offers()).toEqual([]);
  });
});

test('sizes are shown in the unit preferred, which is remembered', async () => {
  const lengths = useLengthUnit();
  expect(lengths.show(18)).toBe('18 px');
  lengths.unit = 'rem';
  await nextTick();
  expect([lengths.show(18), lengths.figure(17.123)]).toEqual(['1.125 rem', '1.0702']);
  lengths.unit = 'pt';
  await nextTick();
  expect(lengths.show(18)).toBe('13.5 pt');
  setActivePinia(createPinia());
  expect(useLengthUnit().unit).toBe('pt');
});

import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import type { LibraryFamily } from '@lettera/core/document';
import type { FamilyMeasures } from '@lettera/core/measure';
import { createPinia, setActivePinia } from 'pinia';
import { nextTick } from 'vue';
import { face, family, seatedDocument } from '../../core/testing/documents';
import { browser, MemoryServer } from '../testing/memoryServer';
import { useContenders } from './contenders';
import { useFamilies } from './families';
import { useLibrary } from './library';
import { useLineUp } from './lineUp';
import { usePairing } from './pairing';
import { useProject } from './project';
import { useUpload } from './upload';

let server: MemoryServer;
let kept: Map<string, string>;

const measures = (xHeight: number): FamilyMeasures =>
  ({
    regular: {
      xHeight,
      width: 1,
      thin: 0.05,
      lowerCase: 'own',
      colour: 0.17,
      contrast: 2,
      slope: 0,
      foot: 1,
      monospaced: false,
      figures: null,
    },
    weights: [],
    italic: null,
    languages: ['en'],
    characters: 200,
  }) as unknown as FamilyMeasures;

const library = (name: string, weights: number[]): LibraryFamily => ({
  id: name.toLowerCase(),
  name,
  class: 'serif',
  licence: 'OFL-1.1',
  scripts: ['latin'],
  variable: false,
  files: weights.map((weight) => ({
    name: `${weight}.woff2`,
    script: 'latin',
    style: 'normal' as const,
    weightMin: weight,
    weightMax: weight,
    bytes: 10_000 + weight,
    sha256: `${name}${weight}`
      .toLowerCase()
      .replace(/[^0-9a-f]/g, '0')
      .padStart(64, '0'),
  })),
});

const FAMILIES = [library('Keeper', [400, 700]), library('Warden', [300, 400, 800])];

beforeEach(async () => {
  jest.useFakeTimers();
  setActivePinia(createPinia());
  server = new MemoryServer();
  server.document = seatedDocument();
  server.foundry = { allowedAt: '2026-01-01', allowedBy: 'Ása' };
  server.answers['GET /foundry/families'] = () => FAMILIES;
  server.answers['GET /foundry/measures'] = () => ({ state: 'done', done: 0, of: 2, families: [] });
  server.answers['GET /case/measures'] = () => ({
    literata: measures(0.5),
    archivo: measures(0.52),
  });
  server.answers['GET /fonts'] = () => [];
  kept = browser(server);
  await useProject().open('tarnholm');
});

const settle = () => jest.advanceTimersByTimeAsync(750);
/** The library with so many of its families measured, as the server tells it from `after` on. */
const measured = (state: string, known: (FamilyMeasures | null)[]) => {
  server.answers['GET /foundry/measures'] = (_init, url) => {
    const after = Number(new URL(url, 'http://x').searchParams.get('after'));
    return {
      state,
      of: FAMILIES.length,
      done: known.length,
      families: known.map((one, i) => ({ id: FAMILIES[i]?.id ?? '', measures: one })).slice(after),
    };
  };
};

describe('the library', () => {
  test('is fetched, measured if it has not been, and taken over piece by piece', async () => {
    const store = useLibrary();
    const started = jest.fn();
    server.answers['POST /foundry/measures'] = () => started();
    measured('idle', []);
    await store.load();
    expect(store.state).toBe('ready');
    expect(started).toHaveBeenCalledTimes(1);
    measured('measuring', [measures(0.5)]);
    useProject().progress = { measuring: { task: 'measuring', done: 1, of: 2 } };
    await settle();
    expect(store.measures.size).toBe(1);
    measured('done', [measures(0.5), null]);
    useProject().progress = { measuring: { task: 'measuring', done: 2, of: 2 } };
    await settle();
    expect(store.measuring).toMatchObject({ state: 'done', done: 2 });
    expect(store.measures.get('warden')).toBeNull();
    expect(server.asked.at(-1)).toContain('after=1');
  });

  test('is taken over from the beginning when the server was started anew', async () => {
    const store = useLibrary();
    measured('done', [measures(0.5), measures(0.4)]);
    await store.load();
    expect(store.measures.size).toBe(2);
    let turn = 0;
    server.answers['GET /foundry/measures'] = () =>
      turn++ === 0
        ? { state: 'measuring', of: 2, done: 1, families: [] }
        : { state: 'measuring', of: 2, done: 1, families: [{ id: 'warden', measures: null }] };
    useProject().progress = { measuring: { task: 'measuring', done: 1, of: 2 } };
    await settle();
    expect([...store.measures.keys()]).toEqual(['warden']);
  });

  test('that was stopped stays so until it is told to go on', async () => {
    const store = useLibrary();
    const started = jest.fn();
    server.answers['POST /foundry/measures'] = () => started();
    measured('stopped', [measures(0.5)]);
    await store.load();
    expect(started).not.toHaveBeenCalled();
    await store.goOn();
    expect(started).toHaveBeenCalledTimes(1);
  });

  test('says what was wrong when it cannot be had, and can be asked again', async () => {
    const store = useLibrary();
    server.answers['GET /foundry/families'] = () => {
      throw new Error('The foundry does not answer.');
    };
    await store.load();
    expect([store.state, store.message]).toEqual(['failed', 'The foundry does not answer.']);
    server.answers['GET /foundry/families'] = () => FAMILIES;
    await store.load();
    expect(store.state).toBe('ready');
  });
});

describe('families', () => {
  test('are the case’s own and the library’s, one row each', async () => {
    server.document.case['keeper'] = family('Keeper', [face('normal', 400)]);
    await useProject().open('tarnholm');
    measured('done', [measures(0.45), measures(0.4)]);
    const families = useFamilies();
    await useLibrary().load();
    await settle();
    expect(families.rows.map(({ key, caseKey }) => [key, caseKey])).toEqual([
      ['case/literata', 'literata'],
      ['case/archivo', 'archivo'],
      ['library/keeper', 'keeper'],
      ['library/warden', null],
    ]);
    expect(families.ofCase('keeper')?.key).toBe('library/keeper');
    expect(families.ofCase('literata')?.measures?.regular.xHeight).toBe(0.5);
    expect(families.ofCase(null)).toBeUndefined();
  });
});

describe('the line-up', () => {
  test('is remembered per project, and reset without its filter', async () => {
    const lineUp = useLineUp();
    lineUp.settings.sample = 'paragraph';
    expect(lineUp.size).toBe(18);
    lineUp.size = 21;
    lineUp.settings.equal = 'xHeight';
    lineUp.settings.filter = { ...lineUp.settings.filter, fit: 'running' };
    lineUp.look('library/keeper');
    lineUp.look('library/warden');
    lineUp.look('library/keeper');
    await nextTick();
    expect(kept.get('lettera:line-up:p1')).toContain('"fit":"running"');
    setActivePinia(createPinia());
    await useProject().open('tarnholm');
    const again = useLineUp();
    expect(again.settings).toMatchObject({ sample: 'paragraph', equal: 'xHeight' });
    expect(again.size).toBe(21);
    expect(again.recent).toEqual(['library/keeper', 'library/warden']);
    const old = kept.get('lettera:line-up:p1')?.replace('"fit":"running"', '"fit":"text"');
    kept.set('lettera:line-up:p1', old ?? '');
    setActivePinia(createPinia());
    await useProject().open('tarnholm');
    // What an earlier release called a fitness is none now.
    expect(useLineUp().settings.filter.fit).toBe('any');
    again.reset();
    expect(again.settings).toMatchObject({ sample: 'words', equal: 'size' });
    expect(again.settings.filter.fit).toBe('running');
    again.clearFilter();
    expect(again.settings.filter.fit).toBe('any');
  });

  test('survives what is no setting', async () => {
    kept.set('lettera:line-up:p1', '{');
    setActivePinia(createPinia());
    await useProject().open('tarnholm');
    expect(useLineUp().settings.sample).toBe('words');
  });

  test('keeps its shortlist in the project', async () => {
    const lineUp = useLineUp();
    lineUp.toggleShortlist('library/keeper');
    lineUp.toggleShortlist('library/warden');
    lineUp.toggleShortlist('library/keeper');
    await settle();
    expect(server.document.shortlist).toEqual(['library/warden']);
  });
});

describe('a pair', () => {
  beforeEach(async () => {
    measured('done', [measures(0.45), measures(0.4)]);
    useFamilies();
    await useLibrary().load();
    await settle();
  });

  test('is shown though it is not in the case, rests there, and is given back', () => {
    const [project, pairing] = [useProject(), usePairing()];
    const pair = pairing.pairWith('library/keeper');
    expect(pair).toEqual({ heading: 'case/archivo', text: 'library/keeper' });
    pairing.look(pair);
    expect(project.shown?.voices['text']?.family).toBe('keeper');
    expect(project.document?.voices['text']?.family).toBe('literata');
    pairing.look(null);
    expect(project.layers).toEqual([]);
    pairing.rest(pair);
    pairing.look({ heading: 'library/warden', text: 'case/literata' });
    expect(project.shown?.voices['heading']?.family).toBe('warden');
    pairing.look(null);
    expect(project.shown?.voices['text']?.family).toBe('keeper');
    pairing.rest(null);
    expect(project.shown).toEqual(project.document);
  });

  test('is taken in and seated, and what changed is said', async () => {
    const pairing = usePairing();
    let picks: unknown;
    server.answers['POST /foundry/families/keeper'] = (init) => {
      picks = JSON.parse(String(init.body));
      server.change([
        {
          op: 'add',
          path: '/case/keeper',
          value: family('Keeper', [face('normal', 400), face('normal', 700)]),
        },
      ]);
      return server.project;
    };
    await pairing.take({ heading: 'case/archivo', text: 'library/keeper' });
    await settle();
    expect(picks).toMatchObject({ scripts: ['latin'], faces: [{ weight: 400 }, { weight: 700 }] });
    expect(server.document.voices['text']?.family).toBe('keeper');
    expect(pairing.taken?.names).toBe('Keeper');
  });

  test('that cannot be taken in leaves the pair as it was, and says why', async () => {
    const pairing = usePairing();
    server.answers['POST /foundry/families/keeper'] = () => {
      throw new Error('The foundry does not answer.');
    };
    await pairing.take({ heading: 'case/archivo', text: 'library/keeper' });
    expect(pairing.message).toBe('The foundry does not answer. The pair is as it was.');
    expect(server.document.voices['text']?.family).toBe('literata');
    expect(pairing.taking).toBeNull();
  });

  test('is kept as a contender, four at most, each once', async () => {
    const contenders = useContenders();
    const keys = ['library/keeper', 'library/warden', 'case/literata', 'case/archivo'];
    for (const text of keys) contenders.keep({ heading: 'case/archivo', text });
    contenders.keep({ heading: 'case/archivo', text: 'library/keeper' });
    expect(contenders.message).toBe('');
    contenders.keep({ heading: 'case/literata', text: 'library/keeper' });
    expect(contenders.message).toContain('4 pairs are shortlisted already');
    await settle();
    expect(server.document.contenders?.map(({ text }) => text)).toEqual(keys);
    const [first] = contenders.states;
    expect(first?.document.voices['text']?.family).toBe('keeper');
    // Archivo's two files of 20,000 bytes in the case, and the two of Keeper that would be taken in.
    expect(first?.bytes).toBe(40_000 + 10_400 + 10_700);

    contenders.flip(1);
    expect(useProject().shown?.voices['text']?.family).toBe('warden');
    contenders.flip(1);
    expect(useProject().layers).toEqual([]);
    contenders.dismiss({ heading: 'case/archivo', text: 'library/warden' });
    await settle();
    expect(server.document.contenders).toHaveLength(3);
  });

  test('whose family is gone is known as lost', () => {
    const contenders = useContenders();
    contenders.keep({ heading: 'case/archivo', text: 'library/nowhere' });
    expect(contenders.states).toHaveLength(0);
    expect(contenders.lost).toEqual([{ heading: 'case/archivo', text: 'library/nowhere' }]);
  });
});

describe('an upload', () => {
  const result = (more: object) => ({
    file: 'keeper.otf',
    family: 'Keeper',
    fullName: 'Keeper Regular',
    fsType: 0,
    conflicts: [],
    ...more,
  });

  test('says which families it came to, and what each trouble is', async () => {
    const upload = useUpload();
    server.answers['POST /fonts'] = () => [
      result({}),
      result({ file: 'b.otf', conflicts: ['Keeper Book'] }),
      result({ file: 'c.otf', fsType: 0x0102 }),
      { file: 'd.txt', refused: { reason: 'not-a-font', detail: 'This is not a font.' } },
    ];
    await upload.take([new File(['x'], 'keeper.otf')]);
    expect(upload).toMatchObject({ state: 'done', brought: 3, families: ['Keeper'] });
    const lines = upload.troubled.map(({ text }) => text);
    expect(lines[0]).toContain('claims the same place as Keeper Book');
    expect(lines[1]).toContain('says of itself “restricted: no embedding, no subsetting”');
    expect(lines[2]).toBe('d.txt: This is not a font.');
  });

  test('that is stopped says that nothing was taken in', async () => {
    const upload = useUpload();
    server.answers['POST /fonts'] = () => {
      upload.stop();
      throw new Error('aborted');
    };
    await upload.take([new File(['x'], 'keeper.otf')]);
    expect(upload.troubled).toEqual([{ text: 'Stopped. Nothing was added.', troubled: true }]);
    upload.dismiss();
    expect(upload.state).toBe('idle');
  });
});

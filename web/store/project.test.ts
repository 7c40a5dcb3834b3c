import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import type { Patch } from '@lettera/core/document';
import { browser, MemoryServer } from '../testing/memoryServer';
import { createPinia, setActivePinia } from 'pinia';
import { effectScope } from 'vue';
import { useLayer } from './layer';
import { useProject } from './project';

const set = (path: string, value: unknown): Patch => [{ op: 'replace', path, value }];
const settled = () => jest.advanceTimersByTimeAsync(10);

let server: MemoryServer;
let kept: Map<string, string>;
beforeEach(() => {
  jest.useFakeTimers();
  server = new MemoryServer();
  kept = browser(server);
  setActivePinia(createPinia());
});
afterEach(() => {
  jest.useRealTimers();
});

async function opened() {
  const project = useProject();
  await project.open('tarnholm');
  return project;
}

describe('a change', () => {
  test('shows at once and is then stored', async () => {
    const project = await opened();
    expect(project.change(set('/words', 'Ægir'))).toBe(true);
    expect(project.document?.words).toBe('Ægir');
    expect(project.saveState).toBe('saving');
    expect(server.arrived).toEqual([]);
    await settled();
    expect(server.arrived).toEqual([set('/words', 'Ægir')]);
    expect(project.saveState).toBe('saved');
    expect(project.stored?.revision).toBe(2);
  });

  test('that is invalid is refused in words, and nothing is sent', async () => {
    const project = await opened();
    expect(project.change(set('/scale/small/ratio', 0))).toBe(false);
    expect(project.refusal?.message).toContain('must not be less than 1');
    expect(project.refusal?.message.match(/Nothing was changed\./g)).toHaveLength(1);
    await settled();
    expect(server.arrived).toEqual([]);
    expect(project.saveState).toBe('saved');
  });

  test('goes after those before it, each on the revision that those made', async () => {
    const project = await opened();
    project.change(set('/words', 'One'));
    project.change(set('/words', 'Two'));
    project.change(set('/name', 'Three'));
    await settled();
    expect(server.arrived).toHaveLength(3);
    expect(server.document).toMatchObject({ words: 'Two', name: 'Three' });
    expect(project.stored?.revision).toBe(4);
  });
});

describe('an answer that comes late', () => {
  test('lets the document step back to nothing that was before', async () => {
    const project = await opened();
    const before = project.stored;
    project.change(set('/words', 'One'));
    await settled();
    expect(project.stored?.revision).toBe(2);
    if (before) project.settle(before);
    expect(project.stored?.revision).toBe(2);
    expect(project.document?.words).toBe('One');
  });
});

describe('undo', () => {
  test('asked while a change is on its way takes that change back, once it has arrived', async () => {
    const project = await opened();
    project.change(set('/words', 'One'));
    project.change(set('/words', 'Two'));
    const undone = project.undo();
    expect(project.document?.words).toBe('Two');
    await settled();
    await undone;
    expect(server.arrived).toHaveLength(2);
    expect(project.document?.words).toBe('One');
    expect(project.saveState).toBe('saved');
  });

  test('asked before another change comes before it', async () => {
    const project = await opened();
    project.change(set('/words', 'One'));
    void project.undo();
    project.change(set('/name', 'Two'));
    await settled();
    expect(project.document).toMatchObject({ words: 'Tarnholm', name: 'Two' });
    expect(server.document).toMatchObject({ words: 'Tarnholm', name: 'Two' });
  });

  test('waits for the server, and is not gone twice', async () => {
    const project = await opened();
    project.change(set('/words', 'One'));
    await settled();
    project.change(set('/words', 'Two'));
    server.reachable = false;
    void project.undo();
    await settled();
    expect(project.saveState).toBe('waiting');
    server.reachable = true;
    await jest.advanceTimersByTimeAsync(8000);
    expect(server.document.words).toBe('One');
    expect(project.saveState).toBe('saved');
  });

  test('where something was stored elsewhere meanwhile takes nothing back, and says so', async () => {
    const project = await opened();
    project.change(set('/words', 'Mine'));
    await settled();
    server.change(set('/name', 'Theirs'));
    await project.undo();
    expect(project.document).toMatchObject({ words: 'Mine', name: 'Theirs' });
    expect(project.refusal?.message).toMatch(/stale/);
    expect(project.saveState).toBe('saved');
  });

  test('where there is nothing to take back is no fault', async () => {
    const project = await opened();
    await project.undo();
    expect(project.refusal).toBeNull();
    expect(project.saveState).toBe('saved');
  });
});

describe('what is only pointed at', () => {
  test('is shown and neither stored nor kept', async () => {
    const project = await opened();
    project.setLayer('test', 'pointed', set('/words', 'Looked at'));
    expect(project.shown?.words).toBe('Looked at');
    expect(project.document?.words).toBe('Tarnholm');
    project.setLayer('test', 'pointed', null);
    await settled();
    expect(project.shown?.words).toBe('Tarnholm');
    expect(server.arrived).toEqual([]);
    expect(kept.size).toBe(0);
  });

  test('that would be invalid shows nothing new', async () => {
    const project = await opened();
    project.setLayer('test', 'pointed', set('/styles/lead/set/step', 99));
    expect(project.shown).toEqual(project.document);
  });

  test('by one is left without taking away what another shows', async () => {
    const project = await opened();
    project.setLayer('a', 'pointed', set('/words', 'A'));
    project.setLayer('b', 'pointed', set('/name', 'B'));
    project.setLayer('scale', 'tried', set('/scale/large/base', 21));
    expect(project.tried).toMatchObject({ words: 'Tarnholm', scale: { large: { base: 21 } } });
    project.setLayer('a', 'pointed', null);
    expect(project.shown).toMatchObject({ words: 'Tarnholm', name: 'B' });
    project.change(set('/languages', ['nb']));
    expect(project.shown).toMatchObject({ name: 'B', scale: { large: { base: 21 } } });
    await project.undo();
    expect(project.tried?.scale.large.base).toBe(18);
    expect(project.shown?.name).toBe('B');
    project.setLayer('b', 'pointed', []);
    expect(project.layers).toEqual([]);
  });

  test('goes with its owner', async () => {
    const project = await opened();
    const scope = effectScope();
    const layer = scope.run(() => useLayer('owner'));
    layer?.show(set('/words', 'Owned'));
    expect(layer?.patch.value).toEqual(set('/words', 'Owned'));
    scope.stop();
    expect(project.shown?.words).toBe('Tarnholm');
  });

  test('is left when it is taken, whether or not that is refused', async () => {
    const project = await opened();
    const layer = useLayer('owner');
    layer.show(set('/words', 'Taken'));
    expect(layer.take(set('/words', 'Taken'))).toBe(true);
    layer.show(set('/styles/lead/set/step', 3));
    expect(layer.take(set('/styles/lead/set/step', 99))).toBe(false);
    expect(project.layers).toEqual([]);
    expect(project.shown?.styles['lead']?.set.step).toBe(1);
    expect(project.refusal?.message).toMatch(/^Style Lead: size must not be greater/);
  });
});

describe('while the server is unreachable', () => {
  test('changes stay, are kept in the browser, and are sent when it is back', async () => {
    const project = await opened();
    server.reachable = false;
    project.change(set('/words', 'Kept'));
    await settled();
    expect(project.saveState).toBe('waiting');
    expect(project.document?.words).toBe('Kept');
    expect([...kept.keys()]).toEqual(['lettera:unsaved:p1']);
    server.reachable = true;
    await jest.advanceTimersByTimeAsync(4000);
    expect(server.document.words).toBe('Kept');
    expect(project.saveState).toBe('saved');
    expect(kept.size).toBe(0);
  });

  test('what was kept is sent by the page that opens next', async () => {
    const project = await opened();
    server.reachable = false;
    project.change(set('/words', 'Kept'));
    await settled();
    project.close();
    server.reachable = true;
    setActivePinia(createPinia());
    const next = await opened();
    expect(next.document?.words).toBe('Kept');
    await settled();
    expect(server.document.words).toBe('Kept');
  });

  test('what had arrived after all is not sent twice', async () => {
    const project = await opened();
    server.reachable = false;
    project.change(set('/words', 'Kept'));
    await settled();
    project.close();
    server.reachable = true;
    server.change(set('/words', 'Kept'));
    setActivePinia(createPinia());
    const next = await opened();
    await settled();
    expect(next.conflict).toBeNull();
    expect(server.arrived).toEqual([]);
  });
});

describe('a change elsewhere meanwhile', () => {
  test('is joined where the two touch different things', async () => {
    const project = await opened();
    server.change(set('/scale/small/base', 18));
    project.change(set('/words', 'Mine'));
    await settled();
    expect(server.document).toMatchObject({ words: 'Mine' });
    expect(project.document?.scale.small.base).toBe(18);
    expect(project.conflict).toBeNull();
  });

  test('that is heard of while one made here is on its way is taken over after it', async () => {
    const project = await opened();
    server.onStored = () => {
      server.onStored = () => undefined;
      server.change(set('/scale/small/base', 18));
      server.announce();
    };
    project.change(set('/words', 'Mine'));
    await settled();
    expect(project.document).toMatchObject({ words: 'Mine', scale: { small: { base: 18 } } });
  });

  test('that is told of with what it changed asks for nothing; one that was missed, for the project', async () => {
    const project = await opened();
    const given = server.projectsGiven;
    server.change(set('/words', 'Theirs'));
    server.announce();
    await settled();
    expect(project.stored).toMatchObject({ revision: 2, document: server.document });
    expect(server.projectsGiven).toBe(given);
    server.change(set('/words', 'Not heard'));
    server.change(set('/scale/small/base', 18));
    server.announce();
    await settled();
    expect(project.stored).toMatchObject({ revision: 4, document: server.document });
    expect(server.projectsGiven).toBe(given + 1);
    project.change(set('/words', 'Mine'));
    await settled();
    await project.undo();
    await settled();
    expect(project.stored).toMatchObject({ revision: 6, document: server.document });
    expect(server.projectsGiven).toBe(given + 1);
  });

  test.each(['theirs', 'mine'] as const)(
    'at the same place is put to the person: %s',
    async (choice) => {
      const project = await opened();
      server.change(set('/words', 'Theirs'));
      project.change(set('/words', 'Mine'));
      await settled();
      expect(project.saveState).toBe('conflict');
      expect(project.document?.words).toBe('Theirs');
      project.resolveConflict(choice);
      await settled();
      expect(server.document.words).toBe(choice === 'mine' ? 'Mine' : 'Theirs');
      expect(project.saveState).toBe('saved');
      expect(project.conflict).toBeNull();
    },
  );
});

import { afterEach, describe, expect, test } from '@jest/globals';
import { openServices, readConfig, type Services } from '@lettera/server';
import { temporaryFolder } from '../server/testing/server';
import { loadSample } from './loadSample';
import { settleSample } from './settleSample';

/** The sample as it is first seen, however often its making was broken off, and what somebody has made of it. */

const BROKEN = 'the power went';

let services: Services;
const fresh = async (): Promise<Services> => {
  services = await openServices(readConfig({ data: temporaryFolder() }, {}));
  // The families of the foundry are no part of this, and there is none here.
  services.libraryMeasures.start = () => Promise.resolve();
  return services;
};
afterEach(() => services.close());

/** What can be seen of the sample, but for times and keys. */
async function seen({ projects, waypoints, stocks }: Services) {
  const project = await projects.get('tarnholm-light');
  const id = project?.id ?? '';
  return {
    revision: project?.revision,
    document: project?.document,
    allowedBy: project?.foundry?.allowedBy,
    waypoints: (await waypoints.list(id)).map(({ name, revision }) => ({ name, revision })),
    stock: (await stocks.get(id)).pages.length,
  };
}

describe('the settled sample', () => {
  test('is the same wherever its making is broken off and begun again', async () => {
    await settleSample(await fresh());
    const whole = await seen(services);
    expect(whole).toMatchObject({ revision: 5, stock: 1 });
    expect(whole.waypoints).toHaveLength(3);
    await services.close();
    await fresh();
    const { projects, waypoints, stocks } = services;
    const [change, add, keep] = [projects.change, waypoints.add, stocks.keep];
    let until = 0;
    let steps = 0;
    const step = (): void => {
      if (steps++ === until) throw new Error(BROKEN);
    };
    // Once at each step, the last of them and beyond it.
    projects.change = (...given) => (step(), change.apply(projects, given));
    waypoints.add = (...given) => (step(), add.apply(waypoints, given));
    stocks.keep = (...given) => (step(), keep.apply(stocks, given));
    for (let broken = 0; broken < 8; broken++) {
      [until, steps] = [1, 0];
      if (broken === 0) until = 0;
      await settleSample(services).catch((error: unknown) => {
        expect(String(error)).toContain(BROKEN);
      });
    }
    await settleSample(services);
    expect(await seen(services)).toEqual(whole);
  });

  test('is left alone once somebody has changed it, or allowed the foundry', async () => {
    await fresh();
    const { id } = await loadSample(services);
    await services.projects.change(id, null, [
      { op: 'replace', path: '/scale/small/ratio', value: 1.25 },
    ]);
    const before = await seen(services);
    await settleSample(services);
    expect(await seen(services)).toEqual(before);
    await services.close();

    await fresh();
    const sample = await loadSample(services);
    await services.projects.allowFoundry(sample.id, 'Somebody');
    await settleSample(services);
    expect(await seen(services)).toMatchObject({ revision: 1, allowedBy: 'Somebody', stock: 0 });
  });
});

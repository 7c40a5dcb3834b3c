import { createHash } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { valueAt, type Patch } from '@lettera/core/document';
import { siteBase } from '@lettera/core/page/file';
import type { Project, Services } from '@lettera/server';
import { SAMPLE_NAME, sampleSite } from '@lettera/sample';
import { loadSample } from './loadSample';
import { loadWelcome } from './loadWelcome';

/** A change that was made to the sample, and what the state before it is called. */
interface Worked {
  before?: string;
  patch: Patch;
}

/** What has been done to the sample before it is first seen: enough to look back at, to compare and to put right. */
const WORK: readonly Worked[] = [
  {
    before: 'As the site was set at first',
    patch: [{ op: 'replace', path: '/scale/small/ratio', value: 1.19 }],
  },
  {
    before: 'Before the headings grew',
    patch: [{ op: 'replace', path: '/scale/small/ratio', value: 1.2 }],
  },
  {
    before: 'Shown to the keepers',
    patch: [
      {
        op: 'add',
        path: '/contenders',
        value: [
          { heading: 'library/bricolage-grotesque', text: 'library/source-serif-4' },
          { heading: 'library/space-grotesk', text: 'library/literata' },
        ],
      },
    ],
  },
  // One thing that is worth putting right.
  { patch: [{ op: 'add', path: '/styles/quote/set/lineHeight', value: 1 }] },
];

type Needs = Pick<
  Services,
  'projects' | 'fonts' | 'jobs' | 'waypoints' | 'sites' | 'stocks' | 'libraryMeasures' | 'measurer'
>;

/** How much of the work has been done to the sample; null once somebody has made something else of it. */
function workDone({ revision, document, foundry }: Project): number | null {
  if (foundry && foundry.allowedBy !== SAMPLE_NAME) return null;
  const done = revision - 1;
  const last = WORK[done - 1]?.patch ?? [];
  const isOurs = last.every(
    (one) => 'value' in one && isDeepStrictEqual(valueAt(document, one.path), one.value),
  );
  return done <= WORK.length && isOurs ? done : null;
}

/** Brings the sample's site as it was before, and takes stock of it. */
async function bringSite({ jobs, sites, stocks }: Needs, id: string): Promise<void> {
  const files = await sampleSite();
  const hash = createHash('sha256');
  for (const { path, bytes } of files) hash.update(`${path}\0`).update(bytes);
  const site = hash.digest('hex');
  const read = await jobs.for(id).readPages({ files, base: siteBase(site) });
  await sites.add(id, site, read);
  await stocks.keep(
    id,
    new Date().toISOString(),
    read.pages.map(({ title, path }) => ({ name: title, site, path })),
  );
}

/**
 * Loads the sample as it is after some work, for whoever sees Lettera for the first time: with the foundry allowed,
 * which is a stand-in on this machine, and its families measured; with waypoints, contenders, a mark, and a site that
 * has been taken stock of. Work that was broken off goes on. What somebody has made of the sample since stays as it
 * is.
 */
export async function settleSample(services: Needs): Promise<void> {
  const { projects, waypoints, libraryMeasures } = services;
  const project = await loadSample(services);
  const { id } = project;
  const done = workDone(project);
  if (done !== null && done < WORK.length) {
    if (!project.foundry) await projects.allowFoundry(id, SAMPLE_NAME);
    // First of all, as all the rest tells by the project's revision how far it has come.
    if (done === 0) await bringSite(services, id);
    const named = new Set((await waypoints.list(id)).map(({ name }) => name));
    let now = project;
    for (const { before, patch } of WORK.slice(done)) {
      if (before && !named.has(before)) await waypoints.add(now, before);
      now = await projects.change(id, null, patch);
    }
  }
  const welcome = await loadWelcome(services);
  if (welcome.revision === 1 && !welcome.foundry) {
    await projects.allowFoundry(welcome.id, SAMPLE_NAME);
  }
  if (project.foundry || done !== null) await libraryMeasures.start();
}

import { createHash } from 'node:crypto';
import type { Patch } from '@lettera/core/document';
import { siteBase } from '@lettera/core/page/file';
import type { Services } from '@lettera/server';
import { SAMPLE_NAME, sampleSite } from '@lettera/sample';
import { loadSample } from './loadSample';

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
  { patch: [{ op: 'add', path: '/styles/quote/set/lineHeight', value: 1.1 }] },
];

type Needs = Pick<
  Services,
  'projects' | 'fonts' | 'jobs' | 'waypoints' | 'sites' | 'stocks' | 'libraryMeasures'
>;

/**
 * Loads the sample as it is after some work, for whoever sees Lettera for the first time: with the foundry allowed,
 * which is a stand-in on this machine, and its families measured; with waypoints, contenders, a mark, and a site that
 * has been taken stock of. What somebody has made of the sample since stays as it is.
 */
export async function settleSample(services: Needs): Promise<void> {
  const { projects, waypoints, sites, stocks, jobs, libraryMeasures } = services;
  const project = await loadSample(services);
  const { id } = project;
  if (project.revision === 1 && !project.foundry) {
    await projects.allowFoundry(id, SAMPLE_NAME);
    let now = project;
    for (const { before, patch } of WORK) {
      if (before) await waypoints.add(now, before);
      now = await projects.change(id, null, patch);
    }
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
  if (project.foundry || project.revision === 1) await libraryMeasures.start();
}

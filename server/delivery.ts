import {
  bundleFiles,
  deliveredFonts,
  type BundleFile,
  type LicenceTexts,
} from '@lettera/core/deliver';
import type { Services } from './services';
import type { Project } from './store/projectStore';

type Needs = Pick<Services, 'fonts' | 'jobs' | 'tuner'>;

async function licenceTexts({ fonts }: Needs, { document }: Project): Promise<LicenceTexts> {
  const delivered = deliveredFonts(document);
  const texts = await fonts.licences(delivered.map(({ file }) => file.sha256));
  return Object.fromEntries(
    delivered.flatMap(({ familyKey, file }) => {
      const text = texts.get(file.sha256);
      return text ? [[familyKey, text]] : [];
    }),
  );
}

/** What the bundle of a project holds, file by file. */
export async function planDelivery(needs: Needs, project: Project): Promise<BundleFile[]> {
  const trials = await needs.tuner.trials(project.id, project.document);
  return bundleFiles(project.document, trials, await licenceTexts(needs, project));
}

/** The bundle's files with their contents, by path. */
export async function deliveryContents(
  needs: Needs,
  project: Project,
): Promise<Record<string, string | Uint8Array>> {
  const files = await planDelivery(needs, project);
  const fonts = await needs.fonts.woff2Files(
    files.flatMap((file) => (file.kind === 'font' ? [file.sha256] : [])),
  );
  return Object.fromEntries(
    files.map((file) => {
      if (file.kind === 'text') return [file.path, file.content];
      const bytes = fonts.get(file.sha256);
      if (!bytes) throw new RangeError(`The store has no file for ${file.path}`);
      return [file.path, new Uint8Array(bytes)];
    }),
  );
}

/** The bundle as a zip. */
export async function makeBundle(needs: Needs, project: Project): Promise<Uint8Array> {
  return needs.jobs.zip(await deliveryContents(needs, project));
}

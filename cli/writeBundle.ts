import { mkdir, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import type { Services } from '@lettera/server';
import { projectNamed } from './projectNamed';

/**
 * Writes a project's bundle to a folder, file by file, as the zip has it.
 * @returns the paths written, relative to the folder
 * @throws UnknownProjectError
 */
export async function writeBundle(
  services: Pick<Services, 'projects' | 'deliveries'>,
  idOrSlug: string,
  folder: string,
): Promise<string[]> {
  const project = await projectNamed(services, idOrSlug);
  const contents = await services.deliveries.contents(project);
  for (const [path, content] of Object.entries(contents)) {
    const target = join(folder, path);
    await mkdir(dirname(target), { recursive: true });
    await writeFile(target, content);
  }
  return Object.keys(contents);
}

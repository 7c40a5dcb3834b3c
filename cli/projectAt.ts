import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import {
  openProject,
  openServices,
  PROJECT_FILE_SUFFIX,
  readConfig,
  type Project,
  type Services,
} from '@lettera/server';
import { projectNamed } from './projectNamed';

/**
 * Does something with a project of the data folder, named by its id or short name, or with one that lies in a
 * project file: that one is opened in a folder of its own, which goes afterwards.
 * @throws UnknownProjectError, ProjectFileError, StoreError, ConfigError, and what `work` throws
 */
export async function withProject<T>(
  name: string,
  flags: { data?: string },
  work: (services: Services, project: Project) => Promise<T>,
): Promise<T> {
  const isFile = name.endsWith(PROJECT_FILE_SUFFIX);
  const folder = isFile ? await mkdtemp(join(tmpdir(), 'lettera-')) : null;
  try {
    const services = await openServices(readConfig(folder ? { data: folder } : flags));
    try {
      const project = isFile
        ? await openProject(services, resolve(name))
        : await projectNamed(services, name);
      return await work(services, project);
    } finally {
      await services.close();
    }
  } finally {
    if (folder) await rm(folder, { recursive: true, force: true });
  }
}

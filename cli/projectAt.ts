import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import {
  backup,
  DATABASE_FILE,
  openProject,
  openServices,
  PROJECT_FILE_SUFFIX,
  projectDocumentIn,
  readConfig,
  type Project,
  type Services,
} from '@lettera/server';
import type { ProjectDocument } from '@lettera/core/document';
import { projectNamed } from './projectNamed';

/**
 * Does something with a project that changes nothing of where it lies: one of the data folder, named by its id or
 * short name, of which a copy is taken, or one that lies in a project file. Either is opened in a folder of its own,
 * which goes afterwards. Data on another server is read there.
 * @throws UnknownProjectError, ProjectFileError, StoreError, ConfigError, and what `work` throws
 */
export async function withProject<T>(
  name: string,
  flags: { data?: string },
  work: (services: Services, project: Project) => Promise<T>,
): Promise<T> {
  const config = readConfig(flags);
  const isFile = name.endsWith(PROJECT_FILE_SUFFIX);
  if (config.databaseUrl !== null && !isFile) {
    const services = await openServices(config, { reads: true });
    try {
      return await work(services, await projectNamed(services, name));
    } finally {
      await services.close();
    }
  }
  const folder = await mkdtemp(join(tmpdir(), 'lettera-'));
  try {
    if (!isFile) await backup(config, join(folder, DATABASE_FILE));
    const services = await openServices({ ...config, dataFolder: folder, databaseUrl: null });
    try {
      const project = isFile
        ? await openProject(services, resolve(name))
        : await projectNamed(services, name);
      return await work(services, project);
    } finally {
      await services.close();
    }
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

/**
 * The document of a project alone, which needs no store where it lies in a project file.
 * @throws as `withProject`
 */
export const documentAt = (name: string, flags: { data?: string }): Promise<ProjectDocument> =>
  name.endsWith(PROJECT_FILE_SUFFIX)
    ? projectDocumentIn(resolve(name))
    : withProject(name, flags, (_services, { document }) => Promise.resolve(document));

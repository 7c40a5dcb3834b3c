export { createApp, type AppOptions } from './app';
export { ConfigError, readConfig, type Config, type ConfigFlags } from './config';
export { Deliveries } from './delivery';
export { version } from './folders';
export { Jobs } from './job/jobs';
export { WorkerPool } from './job/workerPool';
export { startServer, type Running } from './listen';
export { judgeProject } from './judging';
export {
  openProject,
  PROJECT_FILE_SUFFIX,
  projectDocumentIn,
  ProjectFileError,
  saveProject,
} from './projectFile';
export { openServices, type Services } from './services';
export { backup, restore } from './store/backup';
export { DATABASE_FILE, nameOf, StoreError } from './store/database';
export type { NewFont } from './store/fontStore';
export type { Page } from './store/pageStore';
export type { Project, ProjectSummary } from '@lettera/core/wire';
export { SiteFetcher } from './supply/siteFetcher';

import type { Config } from './config';
import { FallbackTuner } from './job/fallbackTrials';
import { Jobs } from './job/jobs';
import { openDatabase, type Database } from './store/database';
import { FontStore } from './store/fontStore';
import { PageStore } from './store/pageStore';
import { ProjectStore } from './store/projectStore';
import { FoundryClient } from './supply/foundryClient';

/** Everything that requests are answered with. */
export interface Services {
  config: Config;
  database: Database;
  projects: ProjectStore;
  fonts: FontStore;
  pages: PageStore;
  jobs: Jobs;
  tuner: FallbackTuner;
  foundry: FoundryClient;
  close(): Promise<void>;
}

/** Opens the store and starts the workers. @throws StoreError */
export async function openServices(config: Config): Promise<Services> {
  const database = await openDatabase(config.dataFolder, config.databaseUrl);
  const jobs = new Jobs();
  const fonts = new FontStore(database);
  const pages = new PageStore(database);
  return {
    config,
    database,
    projects: new ProjectStore(database),
    fonts,
    pages,
    jobs,
    tuner: new FallbackTuner(fonts, pages, jobs),
    foundry: new FoundryClient(`http://127.0.0.1:${config.foundryPort}`, database),
    async close() {
      await jobs.close();
      database.$client.close();
    },
  };
}

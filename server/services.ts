import type { Config } from './config';
import { FallbackTuner } from './job/fallbackTrials';
import { FamilyMeasurer } from './job/familyMeasurer';
import { Jobs } from './job/jobs';
import { Progress } from './progress';
import { openDatabase, type Database } from './store/database';
import { FontStore } from './store/fontStore';
import { MeasureStore } from './store/measureStore';
import { PageStore } from './store/pageStore';
import { ProjectStore } from './store/projectStore';
import { FoundryClient } from './supply/foundryClient';
import { LibraryMeasures } from './supply/libraryMeasures';

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
  measurer: FamilyMeasurer;
  libraryMeasures: LibraryMeasures;
  progress: Progress;
  close(): Promise<void>;
}

/** Opens the store and starts the workers. @throws StoreError */
export async function openServices(config: Config): Promise<Services> {
  const database = await openDatabase(config.dataFolder, config.databaseUrl);
  const jobs = new Jobs();
  const fonts = new FontStore(database);
  const pages = new PageStore(database);
  const progress = new Progress();
  const measurer = new FamilyMeasurer(new MeasureStore(database), jobs);
  const foundry = new FoundryClient(`http://127.0.0.1:${config.foundryPort}`, database);
  const libraryMeasures = new LibraryMeasures(foundry, measurer, progress);
  return {
    config,
    database,
    projects: new ProjectStore(database),
    fonts,
    pages,
    jobs,
    tuner: new FallbackTuner(fonts, pages, jobs),
    foundry,
    measurer,
    libraryMeasures,
    progress,
    async close() {
      libraryMeasures.stop();
      await jobs.close();
      database.$client.close();
    },
  };
}

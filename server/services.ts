import type { Config } from './config';
import { Deliveries } from './delivery';
import { IncomingFiles } from './incoming';
import { FallbackTuner } from './job/fallbackTrials';
import { FamilyMeasurer } from './job/familyMeasurer';
import { FileMaker } from './job/fileMaker';
import { Jobs } from './job/jobs';
import { WorkerPool } from './job/workerPool';
import { Progress } from './store/progress';
import { SiteCopy } from './siteCopy';
import { closeDatabase, openDatabase, type Database, type OpenOptions } from './store/database';
import { DerivedStore } from './store/derivedStore';
import { FontStore } from './store/fontStore';
import { LocalReadingStore } from './store/localReadingStore';
import { Leases } from './store/leases';
import { MeasureStore } from './store/measureStore';
import { Outbox } from './store/outbox';
import { PageStore } from './store/pageStore';
import { SiteStore } from './store/siteStore';
import { StockStore } from './store/stockStore';
import { TuningStore } from './store/tuningStore';
import { ProjectStore } from './store/projectStore';
import { SessionStore } from './store/sessionStore';
import { HostStore } from './store/hostStore';
import { LiveStore } from './store/liveStore';
import { VisitStore } from './store/visitStore';
import { LiveSheets } from './liveSheets';
import { WaypointStore } from './store/waypointStore';
import { DeliveryStore } from './store/deliveryStore';
import { FoundryClient } from './supply/foundryClient';
import { LibraryMeasures } from './supply/libraryMeasures';
import { SiteFetcher } from './supply/siteFetcher';

/** Everything that requests are answered with. */
export interface Services {
  config: Config;
  database: Database;
  projects: ProjectStore;
  waypoints: WaypointStore;
  hosts: HostStore;
  madeDeliveries: DeliveryStore;
  liveStore: LiveStore;
  visits: VisitStore;
  liveSheets: LiveSheets;
  fonts: FontStore;
  pages: PageStore;
  sites: SiteStore;
  stocks: StockStore;
  jobs: Jobs;
  /** Fits fallbacks. */
  tuningJobs: Jobs;
  tuner: FallbackTuner;
  localReadings: LocalReadingStore;
  deliveries: Deliveries;
  incoming: IncomingFiles;
  sessions: SessionStore;
  foundry: FoundryClient;
  siteFetcher: SiteFetcher;
  measurer: FamilyMeasurer;
  libraryMeasures: LibraryMeasures;
  progress: Progress;
  /** What this process and others on the same store tell one another. */
  outbox: Outbox;
  close(): Promise<void>;
}

/** Opens the store and starts the workers. @throws StoreError */
export async function openServices(config: Config, options: OpenOptions = {}): Promise<Services> {
  const database = await openDatabase(config, options);
  const jobs = new Jobs(new WorkerPool());
  const fonts = new FontStore(database);
  const pages = new PageStore(database, (id, old) => jobs.for(id).cleanPages(old));
  const sites = new SiteStore(database, (id, old) => jobs.for(id).cleanSite(old));
  const outbox = new Outbox(database);
  const leases = new Leases(database);
  const progress = new Progress(outbox);
  const localReadings = new LocalReadingStore(database);
  // In processes of its own that give way: a designer who brings a font does not wait for what is being
  // fitted, and a library that is being measured meanwhile is not starved until its readings are given up.
  const tuningJobs = new Jobs(new WorkerPool(true));
  const tunings = new TuningStore(database);
  const tuner = new FallbackTuner(
    fonts,
    pages,
    sites,
    localReadings,
    tuningJobs,
    progress,
    tunings,
    leases,
  );
  const maker = new FileMaker(fonts, new DerivedStore(database), jobs, progress, leases);
  const incoming = await IncomingFiles.open(config.dataFolder);
  if (!options.reads) await fonts.removeUnused();
  const measurer = new FamilyMeasurer(new MeasureStore(database), jobs, leases);
  const foundry = new FoundryClient(`http://127.0.0.1:${config.foundryPort}`, database);
  const backgroundJobs = new Jobs(new WorkerPool(true));
  const background = new FamilyMeasurer(new MeasureStore(database), backgroundJobs, leases);
  const libraryMeasures = new LibraryMeasures(foundry, measurer, background, progress);
  const projects = new ProjectStore(database, outbox);
  const deliveries = new Deliveries(
    fonts,
    maker,
    jobs,
    tuner,
    new SiteCopy(pages, sites, jobs),
    outbox,
  );
  const liveStore = new LiveStore(database);
  return {
    config,
    database,
    projects,
    waypoints: new WaypointStore(database, outbox),
    hosts: new HostStore(database),
    madeDeliveries: new DeliveryStore(database),
    fonts,
    pages,
    sites,
    stocks: new StockStore(database),
    jobs,
    tuningJobs,
    tuner,
    localReadings,
    deliveries,
    liveStore,
    visits: new VisitStore(database),
    liveSheets: new LiveSheets(projects, deliveries, liveStore, outbox, foundry),
    incoming,
    sessions: new SessionStore(database, outbox),
    foundry,
    siteFetcher: new SiteFetcher(config.fetchHosts),
    measurer,
    libraryMeasures,
    progress,
    outbox,
    async close() {
      await outbox.close();
      libraryMeasures.stop();
      await Promise.all([jobs.close(), tuningJobs.close(), backgroundJobs.close()]);
      await incoming.close();
      await closeDatabase(database);
    },
  };
}

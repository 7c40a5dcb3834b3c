export { createApp, type AppOptions } from './app';
export { ConfigError, readConfig, type Config, type ConfigFlags } from './config';
export { deliveryContents } from './delivery';
export { startServer, type Running } from './listen';
export { openServices, type Services } from './services';
export { StoreError } from './store/database';
export type { NewFont } from './store/fontStore';
export type { Page } from './store/pageStore';
export type { Project, ProjectSummary } from './store/projectStore';

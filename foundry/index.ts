export type { CatalogueFile, FamilyDetails, FamilySummary } from './catalogue';
export { createFoundry, type Behaviour } from './service';

export { isZip, unzip, type ArchivedFile } from './archive';
export { pagesAsRead, type PageAsRead } from './pagesAsRead';
export { charactersOf } from './charactersOf';
export {
  readSite,
  type Addresses,
  type ReadFile,
  type ReadPage,
  type ReadSite,
  type SheetOfPage,
} from './readSite';
export { requestsOf } from './requestsOf';
export { rulesOfPage } from './siteRules';
export { siteFilesIn } from './siteFilesIn';

export { CLEANER_VERSION, pageAgain, siteAgain, siteBase } from './cleanAgain';
export { isZip, unzip, type ArchivedFile } from './archive';
export { pagesAsRead, type PageAsRead } from './pagesAsRead';
export { charactersOf, type ElementsAt, type PageLetters } from './charactersOf';
export {
  readSite,
  type Addresses,
  type ReadFile,
  type ReadPage,
  type ReadSite,
  type SheetOfPage,
} from './readSite';
export { bodyOf } from './parseHtml';
export { linksOf } from './linksOf';
export { requestsOf, type Request, type Requests } from './requestsOf';
export { rulesOfPage } from './siteRules';
export { siteFilesIn } from './siteFilesIn';

export { samplePages, sampleSite, sheetOfElements, type SamplePage } from './pages';
export {
  SAMPLE_NAME,
  SAMPLE_SLUG,
  sampleDocument,
  sampleFamilies,
  type SampleFamily,
} from './project';

export { samplePages, sampleSite, sheetOfElements, type SamplePage } from './pages';
export { SAMPLE_NAME, SAMPLE_SLUG, sampleDocument, sampleFamilies } from './project';
export type { SampleFamily } from './families';
export {
  WELCOME_SEATS,
  WELCOME_SLUG,
  welcomeDocument,
  welcomeFamilies,
  welcomePages,
} from './welcome';

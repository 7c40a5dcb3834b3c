/** What is said of faces once they have been read. What opens font files stands in `file.ts`. */
export { embeddingRights, type EmbeddingRights } from './embedding';
export type { OfferedFeature } from './features';
export { FontError, type FontErrorReason } from './fontError';
export {
  browserLineMetrics,
  platformLineMetrics,
  platformsDisagree,
  type LineMetrics,
  type LineMetricTables,
  type Platform,
} from './lineMetrics';
export type { Axis, FaceReading, FaceStyle, Height } from './reading';
export type { Instance } from './shape';
export {
  formatUnicodeRange,
  inUnicodeRange,
  parseUnicodeRange,
  sharedUnicodeRange,
} from '../css/unicodeRange';

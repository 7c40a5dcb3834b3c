export { fontsIn } from './collection';
export { detectFormat, packAsWoff2, unpack, type FontFormat, type UnpackedFont } from './container';
export { embeddingRights, type EmbeddingRights } from './embedding';
export { FontError, type FontErrorReason } from './fontError';
export {
  browserLineMetrics,
  platformLineMetrics,
  platformsDisagree,
  type LineMetrics,
  type LineMetricTables,
  type Platform,
} from './lineMetrics';
export { readFace, type Axis, type FaceReading, type FaceStyle, type Height } from './reading';
export { Shaper, type Instance } from './shape';
export { formatUnicodeRange, inUnicodeRange, parseUnicodeRange } from './unicodeRange';

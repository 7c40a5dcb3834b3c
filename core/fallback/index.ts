export {
  candidateError,
  fallbackFamilyName,
  orderCandidates,
  type FallbackTrials,
  type TunedCandidate,
  type TunedFace,
} from './fallbackFace';
export {
  LOCAL_FONTS,
  localCandidates,
  localVariant,
  mainPlatformsWith,
  PLATFORMS,
  type LocalFont,
  type LocalPlatform,
  type LocalVariant,
} from './localFonts';
export { layoutShift, type Box } from './layoutShift';
export {
  fallbackPlan,
  voiceFallback,
  type FallbackPlan,
  type PlannedFallbackFace,
  type VoiceFallback,
} from './plan';
export type { StackEntry } from './stack';
export { CompositeShaper, tuneFallback, type FallbackFit, type FallbackTuning } from './tune';
export { splitTuningText, type TuningText, type WordCounts } from './tuningText';

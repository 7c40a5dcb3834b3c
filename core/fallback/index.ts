export {
  charactersAndPairs,
  readAdvances,
  SPACE,
  type LocalAdvances,
  type SetsText,
} from './advances';
export {
  DEFAULT_AUDIENCE,
  PLATFORM_NAMES,
  platformNames,
  sharesOf,
  type Audience,
} from './audience';
export { readAudience, type ReadAudience } from './readAudience';
export { CompositeShaper } from './compositeShaper';
export {
  candidateError,
  candidateSpread,
  faceFor,
  fallbackFamilyName,
  lacking,
  trialKey,
  type FallbackTrials,
  type TunedCandidate,
} from './fallbackFace';
export { defaultFitting, EVENNESS_POINTS, type Fitting } from './fitting';
export { MOST_GROUPS } from './groupLetters';
export {
  LOCAL_SETS,
  localCandidates,
  scriptCandidates,
  localName,
  localSet,
  localVariant,
  platformsOf,
  PLATFORMS,
  VARIANTS,
  variantOf,
  type LocalClass,
  type LocalFont,
  type LocalPlatform,
  type LocalSet,
  type LocalVariant,
} from './localFonts';
export { checkLocalReading, type LocalReading } from './localReading';
export { layoutShift, type Box } from './layoutShift';
export { pinPatch, type LineReadings } from './pinLine';
export { SPACES, type FallbackPart } from './parts';
export {
  genericClass,
  isGenericWord,
  knownFont,
  lettersApart,
  nearestName,
  systemWord,
} from './plainNames';
export {
  facesOf,
  fallbackPlan,
  fittingOf,
  voiceFallback,
  wholeStack,
  type FallbackPlan,
  type PlannedFallbackFace,
  type VoiceFallback,
} from './plan';
export { FALLBACK_WAYS, planIn, type FallbackWay } from './planVariants';
export { ENOUGH, proposedStack } from './propose';
export {
  entryPlatforms,
  landings,
  meritOf,
  orderCandidates,
  orderRemarks,
  reachOf,
  shareOf,
  tunedShare,
  type Landing,
  type OrderRemark,
} from './reach';
export { LINES_SIZE, MEASURES, type LinesFit } from './runningLines';
export { readNames, type ReadNames } from './readNames';
export { localsOf, scriptLocals, triedFor, type ScriptStack } from './stack';
export type { StackEntry } from './stackEntry';
export {
  tuneFallback,
  TUNING_VERSION,
  WebWidths,
  type KindFit,
  type TextFit,
  type TunedFace,
  type TuningRequest,
} from './tune';
export {
  countWords,
  judgedSentences,
  RUNNING_KINDS,
  sentencesOf,
  tuningTextOf,
  wordsOf,
  type JudgedText,
  type LanguageText,
  type TextKind,
  type TuningText,
  type WordCounts,
} from './tuningText';

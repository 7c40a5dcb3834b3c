export {
  scriptPartners,
  type HeldBeside,
  type ScriptPartner,
  type ScriptReason,
} from './acrossScripts';
export { drawPlace } from './draw';
export type { PairJudgement, PairReason } from './judge';
export { pairScaleOf, type PairScale } from './library';
export {
  differencesBetween,
  distanceBetween,
  lookAlikes,
  spreadOf,
  type LookAlike,
  type Spread,
} from './lookAlikes';
export { orderPartners, seatAll, type Held, type RankedPartner, type TellingReason } from './order';
export { ROLES, sameSuperfamily, type Partner, type Role } from './partner';
export { STARTING_POINTS, type StartingPoint } from './startingPoints';

export { drawPlace } from './draw';
export { judgePair, type PairJudgement, type PairReason } from './judge';
export { pairScaleOf, type PairScale } from './library';
export {
  differencesBetween,
  distanceBetween,
  lookAlikes,
  spreadOf,
  type LookAlike,
  type Spread,
} from './lookAlikes';
export { orderPartners, type RankedPartner } from './order';
export { sameSuperfamily, type Partner, type Role } from './partner';
export { STARTING_POINTS, type StartingPoint } from './startingPoints';

export {
  differencesBetween,
  distanceBetween,
  lookAlikes,
  spreadOf,
  type LookAlike,
  type Spread,
} from './lookAlikes';

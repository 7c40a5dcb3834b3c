export {
  countedAs,
  visitFigures,
  visitIn,
  type Counted,
  type Visit,
  type VisitFigures,
} from './visit';
export { stackCounted } from './stackCounted';
export { visitsScript } from './visitsScript';

export {
  countedAs,
  visitFigures,
  visitIn,
  type Counted,
  type Visit,
  type VisitFigures,
} from './visit';
export { visitsScript } from './visitsScript';

export { colourOf, isCssColour } from './colour';
export { isLayerName, isPlainName } from './name';
export { selectorsFault, subjectsOf, type Subject } from './selector';
export { isClosed, tokensOf } from './whole';

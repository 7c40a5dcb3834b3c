/** What measures faces on their outlines. It brings a font parser and a shaper along. */
export { familySheet } from './familySheet';
export { measure, measureFace, MEASURES_VERSION } from './measureFace';
export { italicDifferences, italicKind } from './trueItalic';
export { weightColour } from './weightColour';

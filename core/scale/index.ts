export { fluidCss, fluidSizeAt, ROOT_SIZE, type FluidSize } from './fluid';
export { fluidStep, stepByNumber, stepSizeAt } from './fluidStep';
export { modularSize, roundSize, stepName, stepsOf, type Step } from './steps';

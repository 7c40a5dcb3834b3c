/** What runs on a worker thread: one function a task, called by name. */
export { measure, narrowWeights, readFonts, sheet, tune, zip } from './tasks';

/** What runs on a worker thread: one function a task, called by name. */
export { narrowWeights, readFont, tune, zip } from './tasks';

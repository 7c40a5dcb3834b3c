// The worker when Lettera runs from its sources: worker threads do not inherit the main thread's loader.
import { register } from 'tsx/esm/api';

register();

export const { narrowWeights, readFont, tune, zip } = await import('./worker.ts');

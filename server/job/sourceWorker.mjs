// The worker when Lettera runs from its sources: worker threads do not inherit the main thread's loader.
import { register } from 'tsx/esm/api';

register();

export const { measure, narrowWeights, readFonts, sheet, tune, zip } = await import('./worker.ts');

// The worker when Lettera runs from its sources: a process of its own does not inherit the loader.
import { register } from 'tsx/esm/api';

register();

await import('./worker.ts');

// The worker when Lettera runs from its sources: one file of them as they are, since loading some hundred one by one
// would take seconds each time that one starts.
import { bundledWorker } from '../../tools/program.mjs';

await import(await bundledWorker());

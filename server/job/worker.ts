import workerpool from 'workerpool';
import { deliver, derive, measure, readFonts, sheet, tune, zip } from './tasks';

/** What runs in a process beside the server: one function a task, called by name. */
workerpool.worker({ deliver, derive, measure, readFonts, sheet, tune, zip });

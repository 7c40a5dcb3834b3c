import { constants, setPriority } from 'node:os';
import workerpool from 'workerpool';
import * as tasks from './tasks';

// Background work takes the processor only when nothing else wants it.
if (process.env['LETTERA_BACKGROUND']) setPriority(constants.priority.PRIORITY_LOW);

/** What runs in a process beside the server: one function a task, called by name. */
workerpool.worker({ ...tasks });

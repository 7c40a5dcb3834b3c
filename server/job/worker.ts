import { setPriority } from 'node:os';
import workerpool from 'workerpool';
import * as tasks from './tasks';

/**
 * Background work stands behind what someone waits for, and is not starved: somebody may come to wait for it, and on
 * a machine that is busy with other programs the lowest priority gets next to nothing for minutes. A third of the
 * share of others (Linux, sched(7): nice 5 weighs 335 to 1024).
 */
const BEHIND = 5;
if (process.env['LETTERA_BACKGROUND']) setPriority(BEHIND);

type Run = (task: never) => unknown;

/** A task that says when it begins: its limit of time counts from then. */
const announced =
  (run: Run): Run =>
  (task) => {
    workerpool.workerEmit('begun');
    return run(task);
  };

/** What runs in a process beside the server: one function a task, called by name. */
workerpool.worker(
  Object.fromEntries(Object.entries<Run>(tasks).map(([name, run]) => [name, announced(run)])),
);

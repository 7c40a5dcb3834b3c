import { readFileSync } from 'node:fs';

/** Whether a process of this number is there. */
export function isAlive(pid: number): boolean {
  if (!Number.isInteger(pid)) return false;
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
}

/**
 * What tells a process from another that has its number later: when it began, and since when the machine has run,
 * as Linux tells it (proc(5), field 22 of stat). Empty where that is not told.
 */
export function identityOf(pid: number): string {
  try {
    const boot = readFileSync('/proc/sys/kernel/random/boot_id', 'utf8').trim();
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    // The second field, its name in brackets, may hold anything.
    const began = stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19] ?? '';
    return `${boot} ${began}`;
  } catch {
    return '';
  }
}

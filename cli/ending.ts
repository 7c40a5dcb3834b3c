import { ConfigError, ProjectFileError, StoreError } from '@lettera/server';
import { SiteError } from '@lettera/core/page';
import { BaselineError } from './baseline';
import { ServerError } from './onServer';
import { UnknownProjectError } from './projectNamed';
import { BrowserError } from './siteStock';

/** How a command ends that found what it looks for, and one that could not be done. */
export const ENDS = { found: 1, failed: 2 };

/** What `--help` says of how commands end. */
export const ENDS_IN_WORDS = `
Ends with:
  0  what was asked for was done; check and drift found nothing as severe as --fail-on that is not in the baseline
  1  check found such marks, drift such texts; any other command could not be done
  2  check, stock or drift could not be done
`;

/** Ends with the message of an error that the person can do something about; rethrows any other. */
export function fail(error: unknown, code = 1): never {
  if (
    error instanceof ConfigError ||
    error instanceof StoreError ||
    error instanceof UnknownProjectError ||
    error instanceof ProjectFileError ||
    error instanceof ServerError ||
    error instanceof SiteError ||
    error instanceof BrowserError ||
    error instanceof BaselineError ||
    ['EACCES', 'EEXIST', 'ENOENT'].includes((error as NodeJS.ErrnoException).code ?? '')
  ) {
    console.error((error as Error).message);
    process.exit(code);
  }
  throw error;
}

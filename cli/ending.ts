import { ConfigError, ProjectFileError, StoreError } from '@lettera/server';
import { SiteError } from '@lettera/core/page';
import { ServerError } from './onServer';
import { UnknownProjectError } from './projectNamed';
import { BrowserError } from './siteStock';

/** How a command ends that found what it looks for, and one that could not be done. */
export const ENDS = { found: 1, failed: 2 };

/** What `--help` says of how commands end. */
export const ENDS_IN_WORDS = `
Ends with:
  0  what was asked for was done; check found no marks, drift no text that went astray
  1  check found marks, drift found texts; any other command could not be done
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
    ['EACCES', 'EEXIST', 'ENOENT'].includes((error as NodeJS.ErrnoException).code ?? '')
  ) {
    console.error((error as Error).message);
    process.exit(code);
  }
  throw error;
}

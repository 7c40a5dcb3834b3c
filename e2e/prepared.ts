import { createHash } from 'node:crypto';
import {
  cpSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** What was built: other data is prepared for another build. */
const STAMP = 'build/stamp.json';
/** What folders of prepared data are called; those of earlier builds go. */
const PREPARED = 'lettera-prepared-';

/** Where data with the sample in it lies, and with all that is made of it and of the foundry's library. */
function preparedFolder(): string {
  const build = createHash('sha256').update(readFileSync(STAMP)).digest('hex').slice(0, 12);
  return join(tmpdir(), PREPARED + build);
}

/**
 * Where a data folder with the sample in it lies, as after it has been worked with for a while: prepared once for a
 * build.
 * @param prepare starts the application on an empty folder, waits until all is there, and ends it
 */
export async function ensurePrepared(prepare: (folder: string) => Promise<void>): Promise<string> {
  const prepared = preparedFolder();
  if (existsSync(prepared)) return prepared;
  for (const name of readdirSync(tmpdir()).filter((one) => one.startsWith(PREPARED))) {
    rmSync(join(tmpdir(), name), { recursive: true, force: true });
  }
  const folder = mkdtempSync(join(tmpdir(), 'lettera-e2e-'));
  await prepare(folder);
  try {
    renameSync(folder, prepared);
  } catch {
    // Another run was first.
    rmSync(folder, { recursive: true, force: true });
  }
  return prepared;
}

/** A copy of the prepared data. Whoever takes it removes it. @param prepare as of `ensurePrepared` */
export async function preparedData(prepare: (folder: string) => Promise<void>): Promise<string> {
  const prepared = await ensurePrepared(prepare);
  const folder = mkdtempSync(join(tmpdir(), 'lettera-e2e-'));
  cpSync(prepared, folder, { recursive: true });
  return folder;
}

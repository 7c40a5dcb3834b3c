import { readFile, writeFile } from 'node:fs/promises';
import type { Findings } from './findings';

/** The format of a baseline, and its version. */
export const BASELINE_FORMAT = { format: 'lettera-baseline', version: 1 } as const;

/** A file that is to be a baseline and is none. */
export class BaselineError extends Error {
  override readonly name = 'BaselineError';
}

/** Keys of what is known. @throws BaselineError for a file that is no baseline */
async function keysIn(path: string): Promise<Set<string>> {
  const text = await readFile(path, 'utf8');
  let read: unknown;
  try {
    read = JSON.parse(text);
  } catch {
    throw new BaselineError(
      `${path} is no baseline: it is not JSON. Write one with --write-baseline.`,
    );
  }
  const { format, version, known } = (read ?? {}) as Record<string, unknown>;
  if (format !== BASELINE_FORMAT.format || !Array.isArray(known)) {
    throw new BaselineError(
      `${path} is no baseline of Lettera’s. Write one with --write-baseline.`,
    );
  }
  if (version !== BASELINE_FORMAT.version) {
    throw new BaselineError(
      `${path} is a baseline of version ${String(version)}; this reads version ${BASELINE_FORMAT.version}. Write it anew with --write-baseline.`,
    );
  }
  return new Set(known.filter((key) => typeof key === 'string'));
}

/** What was found, with what the baseline knows marked as that. @throws BaselineError */
export async function heldToBaseline(found: Findings, path: string): Promise<Findings> {
  const known = await keysIn(path);
  const keys = new Set(found.findings.map(({ key }) => key));
  return {
    ...found,
    findings: found.findings.map((one) => (known.has(one.key) ? { ...one, known: true } : one)),
    gone: [...known].filter((key) => !keys.has(key)).length,
  };
}

/** Writes all that was found as what is known from now on. */
export async function writeBaseline({ findings }: Findings, path: string): Promise<void> {
  const known = [...new Set(findings.map(({ key }) => key))].sort();
  await writeFile(path, `${JSON.stringify({ ...BASELINE_FORMAT, known }, null, 2)}\n`);
}

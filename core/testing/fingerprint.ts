import { createHash } from 'node:crypto';

/** Digits that another machine gives too. */
const DIGITS = 6;

/** What tells whether something comes out as it did: a short hash of it, figures rounded. */
export const fingerprint = (value: unknown): string =>
  createHash('sha256')
    .update(
      JSON.stringify(value, (_key, one: unknown) =>
        typeof one === 'number' ? Number(one.toPrecision(DIGITS)) : one,
      ),
    )
    .digest('hex')
    .slice(0, 16);

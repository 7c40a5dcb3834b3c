import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@jest/globals';
import { ERROR_RULES, NOTE_RULES, severityOf } from './severity';

test('every rule that is named has marks, and stands in one list', () => {
  const folder = 'core/check';
  const rules = new Set(
    readdirSync(folder)
      .filter((name) => !name.includes('.test.'))
      .flatMap((name) => [
        ...readFileSync(join(folder, name), 'utf8').matchAll(/rule: '([\w-]+)'/g),
      ])
      .map(([, rule]) => rule),
  );
  for (const rule of [...ERROR_RULES, ...NOTE_RULES])
    expect([rule, rules.has(rule)]).toEqual([rule, true]);
  for (const rule of ERROR_RULES) expect([rule, NOTE_RULES.has(rule)]).toEqual([rule, false]);
  expect(['low-contrast', 'small-text', 'unused-face'].map(severityOf)).toEqual([
    'error',
    'warning',
    'note',
  ]);
});

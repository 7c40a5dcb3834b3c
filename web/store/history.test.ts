import { describe, expect, test } from '@jest/globals';
import { revisionAnHourAgo } from './history';

describe('the project an hour ago', () => {
  const now = Date.parse('2026-11-26T12:00:00Z');
  const entry = (revision: number, at: string) => ({ revision, at: `2026-11-26T${at}Z` });

  test('stood at the last change that is an hour old', () => {
    const entries = [
      entry(9, '11:59:00'),
      entry(8, '11:00:01'),
      entry(7, '11:00:00'),
      entry(6, '10:00:00'),
    ];
    expect(revisionAnHourAgo(entries, now)).toBe(7);
  });

  test('or before all changes, where they are younger; and nowhere where there are none', () => {
    expect(revisionAnHourAgo([entry(3, '11:59:00'), entry(2, '11:30:00')], now)).toBe(1);
    expect(revisionAnHourAgo([], now)).toBeNull();
  });
});

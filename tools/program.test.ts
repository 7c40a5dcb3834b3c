import { readFileSync } from 'node:fs';
import { expect, test } from '@jest/globals';
import { loadedPackages } from './program.mjs';

test('the package asks for what its built programs load, and for nothing else', () => {
  const { dependencies } = JSON.parse(readFileSync('package.json', 'utf8')) as {
    dependencies: Record<string, string>;
  };
  expect(dependencies).toEqual(loadedPackages());
});

test('what is bundled, or Lettera’s own, is not asked for', () => {
  const names = Object.keys(loadedPackages());
  expect(names).toContain('express');
  expect(names.filter((name) => name.startsWith('@lettera/'))).toEqual([]);
  expect(names).not.toContain('css-tree');
});

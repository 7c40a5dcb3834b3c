import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { missingPackages } from './install.mjs';

let root: string;
const put = (path: string, content: unknown) => {
  mkdirSync(join(root, path, '..'), { recursive: true });
  writeFileSync(join(root, path), JSON.stringify(content));
};

beforeAll(() => {
  root = mkdtempSync(join(tmpdir(), 'lettera-install-'));
  put('package-lock.json', {
    packages: {
      '': { name: 'lettera' },
      server: { version: '0.1.0' },
      'node_modules/express': { version: '5.0.0' },
      'node_modules/other-system': { version: '1.0.0', optional: true },
      'node_modules/@lettera/server': { resolved: 'server', link: true },
      'server/node_modules/p-limit': { version: '6.0.0' },
    },
  });
  put('node_modules/express/package.json', { version: '5.0.0' });
  put('node_modules/@lettera/server/package.json', { version: '0.1.0' });
  put('server/node_modules/p-limit/package.json', { version: '6.0.0' });
});
afterAll(() => rmSync(root, { recursive: true }));

test('packages are missed at the root and in any workspace, gone or of another version', () => {
  expect(missingPackages(root)).toEqual([]);
  put('node_modules/express/package.json', { version: '4.0.0' });
  expect(missingPackages(root)).toEqual(['node_modules/express']);
  rmSync(join(root, 'server/node_modules'), { recursive: true });
  expect(missingPackages(root)).toEqual(['node_modules/express', 'server/node_modules/p-limit']);
});

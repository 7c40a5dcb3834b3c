import { expect, test } from '@jest/globals';
import { newDocument } from '@lettera/core/document';
import type { FaceReading } from '@lettera/core/font';
import { temporaryFolder } from '../testing/server';
import { closeDatabase, openDatabase } from './database';
import { DerivedStore, MOST_OF_A_SOURCE } from './derivedStore';
import { FontStore } from './fontStore';
import { ProjectStore } from './projectStore';

test('of what was made from one file the newest are kept, and nothing of another goes for it', async () => {
  const database = await openDatabase({ dataFolder: temporaryFolder() });
  const { id } = await new ProjectStore(database).create(newDocument('One'), []);
  const [one, other] = ['a'.repeat(64), 'b'.repeat(64)] as const;
  await new FontStore(database).add(
    id,
    [one, other].map((sha256) => ({
      bytes: new Uint8Array([1]),
      reading: { sha256 } as FaceReading,
      licence: null,
    })),
  );
  const derived = new DerivedStore(database);
  await derived.keep({ source: other, cut: 'woff2' }, new Uint8Array([7]));
  for (let i = 0; i <= MOST_OF_A_SOURCE; i++) {
    await derived.keep({ source: one, cut: `woff2 wght=${i}:${i}` }, new Uint8Array([1, 2]));
  }
  expect(await derived.sizes([one])).toHaveLength(MOST_OF_A_SOURCE);
  expect(await derived.get({ source: one, cut: 'woff2 wght=0:0' })).toBeNull();
  expect(await derived.get({ source: one, cut: 'woff2 wght=1:1' })).not.toBeNull();
  expect(await derived.get({ source: other, cut: 'woff2' })).toEqual(Buffer.from([7]));
  await closeDatabase(database);
});

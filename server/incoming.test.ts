import { existsSync, readFileSync } from 'node:fs';
import { Readable } from 'node:stream';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { IncomingFiles } from './incoming';
import { temporaryFolder } from './testing/server';

const MEGABYTE = 1024 * 1024;
/** What may lie there at once, whoever sends it. */
const ROOM = 1024 * MEGABYTE;

let incoming: IncomingFiles;
beforeEach(async () => {
  incoming = await IncomingFiles.open(temporaryFolder());
});
afterEach(() => incoming.close());

const stream = (bytes: number) => Readable.from([Buffer.alloc(bytes, 7)]);

test('files lie on disk until they have been dealt with', async () => {
  const arrival = await incoming.expect(100);
  const { path, size } = await arrival.receive(stream(60));
  expect(size).toBe(60);
  expect(readFileSync(path)).toHaveLength(60);
  await arrival.receive(stream(40));
  await expect(arrival.receive(stream(1))).rejects.toMatchObject({ all: false });
  await arrival.clear();
  expect(existsSync(path)).toBe(false);
});

test('room is kept for what is announced, and given back; who finds none is told at once', async () => {
  const first = await incoming.expect(ROOM, ROOM - 10);
  await expect(incoming.expect(100, 11)).rejects.toMatchObject({ all: true });
  const second = await incoming.expect(100, 10);
  // Within what was announced nobody is turned away.
  await first.receive(stream(1000));
  await second.receive(stream(10));
  await expect(second.receive(stream(1))).rejects.toMatchObject({ all: true });
  await second.clear();
  await first.clear();
  await first.clear();
  const third = await incoming.expect(ROOM, ROOM);
  await third.clear();
});

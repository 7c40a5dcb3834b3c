import { existsSync, mkdirSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
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

test('who else opens the same data, and ends, takes nothing away; what was abandoned goes', async () => {
  const data = temporaryFolder();
  const first = await IncomingFiles.open(data);
  const arrival = await first.expect(100);
  const { path } = await arrival.receive(stream(60));
  // Of a process that is there, and of one that is not.
  const others = [`${process.ppid}-other`, '999999999-gone'];
  for (const name of others) mkdirSync(join(data, 'incoming', name));
  const second = await IncomingFiles.open(data);
  await second.close();
  expect(readFileSync(path)).toHaveLength(60);
  const left = readdirSync(join(data, 'incoming'));
  expect(left).toContain(others[0]);
  expect(left).not.toContain(others[1]);
  await arrival.receive(stream(40));
  await first.close();
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

import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { eventsIn, type ServerEvent } from './events';

async function read(chunks: readonly string[]): Promise<ServerEvent[]> {
  async function* stream() {
    for (const chunk of chunks) yield await Promise.resolve(chunk);
  }
  const all: ServerEvent[] = [];
  for await (const one of eventsIn(stream())) all.push(one);
  return all;
}
const STREAM =
  'event: hello\ndata: {"revision":1}\n\n: still here\n\nevent: revision\ndata: a\ndata: b\n\ndata:c\n\ndata: cut';
const EVENTS = [
  { event: 'hello', data: '{"revision":1}' },
  { event: 'revision', data: 'a\nb' },
  { event: 'message', data: 'c' },
];

test('events are the same however the stream is cut, and half an event is none', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(fc.nat(STREAM.length), { maxLength: 8 }), async (cuts) => {
      const at = [0, ...cuts.sort((a, b) => a - b), STREAM.length];
      const chunks = at.slice(1).map((end, i) => STREAM.slice(at[i], end));
      expect(await read(chunks)).toEqual(EVENTS);
    }),
  );
});

/** One event of a stream. */
export interface ServerEvent {
  event: string;
  data: string;
}

/**
 * The events of a stream as they come. HTML §9.2.6, without what a client of ours does not use: ids and waits.
 * @param chunks the stream, decoded
 */
export async function* eventsIn(chunks: AsyncIterable<string>): AsyncGenerator<ServerEvent> {
  let text = '';
  let [event, data] = ['message', [] as string[]];
  for await (const chunk of chunks) {
    text += chunk;
    const lines = text.split(/\r\n|\n|\r/);
    text = lines.pop() ?? '';
    for (const line of lines) {
      if (line === '') {
        if (data.length > 0) yield { event, data: data.join('\n') };
        [event, data] = ['message', []];
        continue;
      }
      const [, field, value = ''] = /^([^:]*)(?:: ?(.*))?$/.exec(line) ?? [];
      if (field === 'event') event = value;
      else if (field === 'data') data.push(value);
    }
  }
}

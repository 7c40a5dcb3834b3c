/** What a text was read as, and what is to be said of it. */
export interface Decoded {
  text: string;
  note: string | null;
}

const inUtf8 = (bytes: Uint8Array): string | null => {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return null;
  }
};

function decoderFor(label: string | undefined): TextDecoder | null {
  try {
    return label ? new TextDecoder(label) : null;
  } catch {
    return null;
  }
}

/** Bytes in which a text may say its encoding. HTML §13.2.3.2. */
const HEAD = 1024;
const LABEL = /<meta[^>]+charset\s*=\s*["']?\s*([\w:.-]+)|^@charset\s+"([\w:.-]+)"/i;
const MARKS: [mark: number[], label: string][] = [
  [[0xfe, 0xff], 'utf-16be'],
  [[0xff, 0xfe], 'utf-16le'],
];

/**
 * Text from bytes: by their byte order mark, else as UTF-8 where they are that, whatever they say, else by
 * the encoding that they say, else as Windows-1252, as browsers read what says nothing.
 */
export function decodeText(bytes: Uint8Array): Decoded {
  const marked = MARKS.find(([mark]) => mark.every((byte, i) => bytes[i] === byte));
  if (marked) return { text: new TextDecoder(marked[1]).decode(bytes), note: null };
  const head = new TextDecoder('latin1').decode(bytes.subarray(0, HEAD));
  const [, inHtml, inCss] = LABEL.exec(head) ?? [];
  const label = inHtml ?? inCss;
  const plain = inUtf8(bytes);
  const said = decoderFor(label);
  if (plain !== null) {
    const lies = said !== null && said.encoding !== 'utf-8' && /[^\0-\x7f]/.test(plain);
    return {
      text: plain,
      note: lies ? `It says that it is ${said.encoding}, and is UTF-8: it was read as that.` : null,
    };
  }
  const decoder = said && said.encoding !== 'utf-8' ? said : new TextDecoder('windows-1252');
  return {
    text: decoder.decode(bytes),
    note:
      said?.encoding === 'utf-8'
        ? 'It says that it is UTF-8, and is not: it was read as Windows-1252.'
        : null,
  };
}

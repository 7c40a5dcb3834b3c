/** What is taken out of a page, by kind, in the order in which it is reported. */
export const REMOVED_KINDS = [
  'script',
  'handler',
  'frame',
  'form',
  'refresh',
  'request',
  'missing',
] as const;
export type RemovedKind = (typeof REMOVED_KINDS)[number];

/** Something that was taken out of a page, or that it asks for and was not brought. */
export interface Removed {
  kind: RemovedKind;
  /** What it was, as it stands in the page. */
  what: string;
  /** How often. */
  times: number;
}

/** Different things of a page that are told apart at most; the rest are counted under the last. */
const MOST = 300;
const LONGEST = 160;

/** Gathers what is taken out of a page. */
export class Removals {
  readonly #found = new Map<string, Removed>();

  add(kind: RemovedKind, what: string, times = 1): void {
    const short = what.replace(/\s+/g, ' ').trim().slice(0, LONGEST);
    const key = this.#found.size < MOST ? `${kind} ${short}` : `${kind} …`;
    const known = this.#found.get(key) ?? {
      kind,
      what: key.endsWith(' …') ? '…' : short,
      times: 0,
    };
    this.#found.set(key, { ...known, times: known.times + times });
  }

  list(): Removed[] {
    return [...this.#found.values()].sort(
      (a, b) => REMOVED_KINDS.indexOf(a.kind) - REMOVED_KINDS.indexOf(b.kind),
    );
  }
}

/** Style sheets that a page asks for and that are not there: not brought along, or left where they are. */
export const sheetsMissing = (removed: readonly Removed[]): string[] => [
  ...new Set(
    removed.flatMap(({ kind, what }) =>
      (kind === 'missing' || kind === 'request') && /\.css([?#]|$)/i.test(what) ? [what] : [],
    ),
  ),
];

/** Hosts that are asked for what sets type, among what a page asks for and does not get. */
export function hostsIn(removed: readonly Removed[]): string[] {
  const hosts = removed.flatMap(({ kind, what }) => {
    const [, host] = /^(?:[a-z]+:)?\/\/([^/?#\s]+)/i.exec(what.trim()) ?? [];
    const setsType = /\.(woff2?|ttf|otf|css)\b|css|font/i.test(what);
    return kind === 'request' && host && setsType ? [host.toLowerCase()] : [];
  });
  return [...new Set(hosts)];
}

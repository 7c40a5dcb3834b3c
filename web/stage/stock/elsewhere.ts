import type { Removed } from '@lettera/core/page';

/** Hosts that pages ask for what sets type, and that were not asked. */
export function hostsIn(removed: readonly Removed[]): string[] {
  const hosts = removed.flatMap(({ kind, what }) => {
    const [, host] = /^(?:[a-z]+:)?\/\/([^/?#\s]+)/i.exec(what.trim()) ?? [];
    const setsType = /\.(woff2?|ttf|otf|css)\b|css|font/i.test(what);
    return kind === 'request' && host && setsType ? [host.toLowerCase()] : [];
  });
  return [...new Set(hosts)];
}

/** A connection that times are stated on. */
export interface Connection {
  name: string;
  /** Round trip, milliseconds. */
  roundTrip: number;
  /** Kilobits (1000 bits) a second. */
  bandwidth: number;
}

/** A middling phone connection; the ledger says so wherever it shows a time. */
export const STATED_CONNECTION: Connection = { name: '4G', roundTrip: 100, bandwidth: 9000 };

/** Connections that a delivery is reckoned on, the slowest first. */
export const CONNECTIONS: readonly Connection[] = [
  { name: '3G', roundTrip: 300, bandwidth: 1600 },
  STATED_CONNECTION,
  { name: 'cable', roundTrip: 30, bandwidth: 50_000 },
];

/** Round trips before the first byte of the page: name look-up, TCP, TLS 1.3, the request itself. */
const ROUND_TRIPS_TO_PAGE = 4;

const transfer = ({ bandwidth }: Connection, bytes: number): number => (bytes * 8) / bandwidth;

/**
 * When text first shows and when the last web face takes over, in milliseconds, for a page that brings only
 * its style sheet and fonts: round trips + bytes ÷ bandwidth. Text waits for the style sheet. Fonts that are
 * preloaded are asked for with it and come after it on the same connection; the others are asked for once
 * it is read.
 */
export function loadTimes(
  connection: Connection,
  {
    stylesheetBytes,
    fontBytes,
    preloadedBytes,
  }: { stylesheetBytes: number; fontBytes: number; preloadedBytes: number },
): { firstText: number; swap: number } {
  const { roundTrip } = connection;
  const asked = ROUND_TRIPS_TO_PAGE * roundTrip;
  const firstText = asked + roundTrip + transfer(connection, stylesheetBytes);
  const preloaded = firstText + transfer(connection, preloadedBytes);
  const later = fontBytes - preloadedBytes;
  const swap =
    later > 0
      ? Math.max(preloaded, firstText + roundTrip) + transfer(connection, later)
      : preloaded;
  return { firstText, swap };
}

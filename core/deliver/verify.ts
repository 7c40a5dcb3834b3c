import parse from 'css-tree/parser';
import { isClosed, tokensOf } from '../css';

/** What is wrong with a style sheet that was written here, by line; an empty list when it parses whole. */
export function stylesheetFaults(css: string): string[] {
  const faults: string[] = [];
  parse(css, {
    positions: true,
    parseCustomProperty: true,
    onParseError: (error) => {
      const { line, message } = error as Error & { line?: number };
      faults.push(`line ${line ?? 0}: ${message}`);
    },
  });
  // The reader closes at the end what was left open, as browsers do; here that is a fault as well.
  if (faults.length === 0 && !isClosed(tokensOf(css)))
    faults.push('line 0: something is left open');
  return faults;
}

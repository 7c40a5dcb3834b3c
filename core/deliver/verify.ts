import parse from 'css-tree/parser';

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
  return faults;
}

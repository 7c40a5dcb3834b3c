/** A row of the benchmark: what was measured, how often, and what is to be reached. */
export interface Row {
  what: string;
  unit: 'ms' | 'KB' | 'MB' | 'places' | '×';
  median: number;
  p95: number;
  runs: number;
  target: number;
}

const quantile = (sorted: number[], q: number): number =>
  sorted[Math.min(sorted.length - 1, Math.ceil(sorted.length * q) - 1)] ?? NaN;

export function summarise(
  what: string,
  samples: number[],
  target: number,
  unit: Row['unit'] = 'ms',
): Row {
  const sorted = [...samples].sort((a, b) => a - b);
  return {
    what,
    unit,
    median: quantile(sorted, 0.5),
    p95: quantile(sorted, 0.95),
    runs: samples.length,
    target,
  };
}

/** Milliseconds that each of a number of runs takes. */
export async function time(
  runs: number,
  work: (run: number) => Promise<unknown>,
): Promise<number[]> {
  const samples: number[] = [];
  for (let run = 0; run < runs; run++) {
    const start = performance.now();
    await work(run);
    samples.push(performance.now() - start);
  }
  return samples;
}

const figure = (value: number): string => value.toFixed(value < 10 ? 2 : 1);

/** The rows as a table, a line each, with whether the 95th percentile reaches the target. */
export function table(rows: Row[]): string {
  const cells = rows.map((row) => [
    row.what,
    `${figure(row.median)} ${row.unit}`,
    `${figure(row.p95)} ${row.unit}`,
    `${row.runs}`,
    `${row.target} ${row.unit}`,
    row.p95 <= row.target ? 'reached' : 'missed',
  ]);
  const head = ['what', 'median', '95th', 'runs', 'to reach', ''];
  const widths = head.map((title, i) =>
    Math.max(title.length, ...cells.map((line) => line[i]?.length ?? 0)),
  );
  const line = (parts: string[]) =>
    parts
      .map((part, i) => (i === 0 ? part.padEnd(widths[i] ?? 0) : part.padStart(widths[i] ?? 0)))
      .join('  ');
  return [line(head), ...cells.map(line)].join('\n');
}

import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { expect, test } from '@jest/globals';
import ts from 'typescript';

/** How files import one another: the lint binds folders to a direction, this binds files. */

const files = execFileSync('git', ['ls-files', 'core', 'server', 'web', 'cli', 'foundry', 'sample'])
  .toString()
  .split('\n')
  .filter((path) => /\.(ts|vue)$/.test(path) && existsSync(path));
const known = new Set(files);

const script = (path: string): string => {
  const text = readFileSync(path, 'utf8');
  return path.endsWith('.vue') ? (/<script[^>]*>([\s\S]*?)<\/script>/.exec(text)?.[1] ?? '') : text;
};

/** Files of ours that one imports, types too. */
function imports(path: string): string[] {
  const { importedFiles } = ts.preProcessFile(script(path), true, true);
  return importedFiles.flatMap(({ fileName }) => {
    const from = fileName.startsWith('@lettera/')
      ? fileName.slice('@lettera/'.length)
      : fileName.startsWith('.')
        ? join(dirname(path), fileName)
        : null;
    if (from === null) return [];
    const found = [from, `${from}.ts`, `${from}/index.ts`].find((one) => known.has(one));
    return found ? [found] : [];
  });
}

/** Circles of files that import one another: strongly connected parts of more than one. R. Tarjan, 1972. */
function circles(graph: ReadonlyMap<string, readonly string[]>): string[][] {
  const [order, low] = [new Map<string, number>(), new Map<string, number>()];
  const stack: string[] = [];
  const found: string[][] = [];
  const visit = (node: string): void => {
    order.set(node, order.size);
    low.set(node, order.size - 1);
    stack.push(node);
    for (const next of graph.get(node) ?? []) {
      if (!order.has(next)) visit(next);
      if (stack.includes(next)) low.set(node, Math.min(low.get(node) ?? 0, low.get(next) ?? 0));
    }
    if (low.get(node) !== order.get(node)) return;
    const part = stack.splice(stack.indexOf(node));
    if (part.length > 1) found.push(part);
  };
  for (const node of graph.keys()) if (!order.has(node)) visit(node);
  return found;
}

test('a circle is found where there is one', () => {
  const graph = new Map([
    ['a', ['b']],
    ['b', ['c']],
    ['c', ['b', 'd']],
    ['d', []],
  ]);
  expect(circles(graph)).toEqual([['b', 'c']]);
});

test('no files of ours import one another in a circle', () => {
  const graph = new Map(files.map((path) => [path, imports(path)]));
  // So that it is seen where imports are no longer found.
  expect([...graph.values()].flat().length).toBeGreaterThan(1500);
  expect(circles(graph)).toEqual([]);
});

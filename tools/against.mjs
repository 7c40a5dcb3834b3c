// `npm run bench -- --against COMMIT [--turns N] [names]`: the benchmarks of this state and of an earlier one in turn
// on one machine, since figures of different days cannot be compared, and the ratio of the two.
import { execFileSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ROOT, stop } from './install.mjs';

const git = (...args) =>
  execFileSync('git', args, { cwd: ROOT, encoding: 'utf8', stdio: ['ignore', 'pipe', 'pipe'] });

/** A checkout of its own of a commit, made once. @throws where there is no such commit */
function checkoutOf(commit) {
  let hash;
  try {
    hash = git('rev-parse', '--verify', `${commit}^{commit}`).trim();
  } catch {
    stop(`There is no commit ${commit} here.`);
  }
  const folder = join(tmpdir(), `lettera-against-${hash.slice(0, 12)}`);
  if (!existsSync(folder)) {
    git('worktree', 'prune');
    git('worktree', 'add', '--detach', folder, hash);
  }
  return folder;
}

/** Medians by what was measured, as the table of a state has them. */
function mediansIn(printed) {
  const cells = printed.split('\n').map((line) => line.trim().split(/ {2,}/));
  return new Map(
    cells
      .filter(([, median, , runs]) => /^[\d.]+ \S+$/.test(median ?? '') && /^\d+$/.test(runs ?? ''))
      .map(([what, median]) => [what, Number.parseFloat(median)]),
  );
}

/** Runs a state's own benchmarks, with its own packages and build. */
function measured(folder, names) {
  try {
    return mediansIn(
      execFileSync(process.execPath, ['tools/bench.mjs', ...names], {
        cwd: folder,
        encoding: 'utf8',
        stdio: ['ignore', 'pipe', 'inherit'],
        maxBuffer: 2 ** 26,
      }),
    );
  } catch {
    stop(`The benchmarks of ${folder} failed.`);
  }
}

const middle = (values) => values.toSorted((a, b) => a - b)[Math.floor((values.length - 1) / 2)];
const figure = (value) => value.toFixed(value < 10 ? 2 : 1);

/**
 * Prints, for each row that both states have, the median of their turns, the median of the ratios, and how far the
 * ratios of single turns lie apart. A ratio under 1 is quicker now.
 */
export function compareWith(commit, names, turns) {
  const earlier = checkoutOf(commit);
  const then = [];
  const now = [];
  for (let turn = 0; turn < turns; turn++) {
    console.error(`Turn ${turn + 1} of ${turns}`);
    // What goes first warms the machine for the other: they take it in turns.
    const order = turn % 2 === 0 ? [earlier, ROOT] : [ROOT, earlier];
    for (const folder of order) (folder === ROOT ? now : then).push(measured(folder, names));
  }
  const rows = [...(now[0]?.keys() ?? [])].filter((what) => then.every((turn) => turn.has(what)));
  console.log(['what', 'then', 'now', 'ratio', 'of single turns'].join('\t'));
  for (const what of rows) {
    const before = then.map((turn) => turn.get(what));
    const after = now.map((turn) => turn.get(what));
    const ratios = after.map((value, turn) => value / before[turn]);
    const spread = [Math.min(...ratios), Math.max(...ratios)].map(figure).join(' to ');
    console.log(
      [what, figure(middle(before)), figure(middle(after)), figure(middle(ratios)), spread].join(
        '\t',
      ),
    );
  }
}

// `npm run mutants`: changes the code of core and the server by a list of rewrites of its syntax tree, one at a time,
// and reports what no unit test sees. Not part of the tests: it takes minutes.
//
//   npm run mutants -- --sample 60 --seed 1 core/check core/style
import { spawn } from 'node:child_process';
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join, relative, sep } from 'node:path';
import ts from 'typescript';
import { ensurePackages, ROOT } from './install.mjs';
import { jestOf } from './jest.mjs';
import { flagValue } from './processes.mjs';

const { SyntaxKind: Kind } = ts;

/** What an operator is turned into: the limit moved by one, the sign, the order, the other branch. */
const OPERATORS = {
  [Kind.LessThanToken]: '<=',
  [Kind.LessThanEqualsToken]: '<',
  [Kind.GreaterThanToken]: '>=',
  [Kind.GreaterThanEqualsToken]: '>',
  [Kind.EqualsEqualsEqualsToken]: '!==',
  [Kind.ExclamationEqualsEqualsToken]: '===',
  [Kind.PlusToken]: '-',
  [Kind.MinusToken]: '+',
  [Kind.AsteriskToken]: '/',
  [Kind.SlashToken]: '*',
  [Kind.AmpersandAmpersandToken]: '||',
  [Kind.BarBarToken]: '&&',
};

/** Functions of lists and numbers that have an opposite. */
const OPPOSITES = {
  min: 'max',
  max: 'min',
  some: 'every',
  every: 'some',
  ceil: 'floor',
  floor: 'ceil',
};

/** Every rewrite of a file: where, and what is written there instead. */
function rewritesOf(path) {
  const text = readFileSync(path, 'utf8');
  const source = ts.createSourceFile(path, text, ts.ScriptTarget.ES2022, true);
  const rewrites = [];
  const put = (node, replacement) =>
    rewrites.push({ path, from: node.getStart(source), to: node.getEnd(), replacement });
  const visit = (node) => {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node)) return;
    if (ts.isBinaryExpression(node)) {
      const other = OPERATORS[node.operatorToken.kind];
      const ofText = [node.left, node.right].some(
        (side) => ts.isStringLiteralLike(side) || ts.isTemplateExpression(side),
      );
      if (other && !(ofText && node.operatorToken.kind === Kind.PlusToken)) {
        put(node.operatorToken, other);
      }
    }
    if (ts.isNumericLiteral(node)) {
      const value = Number(node.text);
      put(node, String(Number.isInteger(value) ? value + 1 : Number((value * 1.3).toFixed(6))));
    }
    if (node.kind === Kind.TrueKeyword) put(node, 'false');
    if (node.kind === Kind.FalseKeyword) put(node, 'true');
    if (ts.isPropertyAccessExpression(node) && Object.hasOwn(OPPOSITES, node.name.text)) {
      put(node.name, OPPOSITES[node.name.text]);
    }
    if (ts.isPrefixUnaryExpression(node) && node.operator === Kind.ExclamationToken) {
      put(node, node.operand.getText(source));
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return rewrites;
}

const isCode = (path) =>
  /\.ts$/.test(path) &&
  !/\.(test|d)\.ts$|\/(testing|golden|languages|types)\/|\/index\.ts$/.test(path);

const filesIn = (path) =>
  statSync(path).isDirectory()
    ? readdirSync(path).flatMap((name) => filesIn(join(path, name)))
    : isCode(path)
      ? [path]
      : [];

/** Numbers from 0 up to 1 that are the same at every run with the same seed. */
function seeded(seed) {
  let state = seed;
  return () => {
    state = (state * 1664525 + 1013904223) % 4294967296;
    return state / 4294967296;
  };
}

function sampleOf(all, size, random) {
  const rest = [...all];
  return Array.from({ length: Math.min(size, all.length) }, () =>
    rest.splice(Math.floor(random() * rest.length), 1),
  ).flat();
}

/** A run that is broken off leaves no file changed. */
const SIGNALS = ['SIGINT', 'SIGTERM', 'SIGHUP'];

/** What is waited for the tests of a mutant, milliseconds. */
const PATIENCE = 300_000;

/** What came of tests: a change that makes them go on without end is told apart from one that they see. */
const SEEN = 'seen';
const UNSEEN = 'unseen';
const NOT_ENDED = 'not ended';

/** What the unit tests that Jest is asked for say. */
function outcomeOf(patterns) {
  const child = spawn(
    process.execPath,
    [...jestOf('unit'), '--bail', '--passWithNoTests', ...patterns],
    { cwd: ROOT, stdio: 'ignore', timeout: PATIENCE },
  );
  return new Promise((resolve) =>
    child.on('close', (status) => resolve(status === null ? NOT_ENDED : status ? SEEN : UNSEEN)),
  );
}

/** Tests that stand beside a file: most of what can be seen is seen by them, and they are soon done. */
const testsBeside = (path) =>
  readdirSync(dirname(path))
    .filter((name) => name.endsWith('.test.ts'))
    .map((name) => join(dirname(path), name));

/** What comes of a file that stands changed: of the tests beside it first, then of all of its workspace that read it. */
async function outcomeFor(path) {
  const beside = testsBeside(path);
  const first = beside.length > 0 ? await outcomeOf(['--runTestsByPath', ...beside]) : UNSEEN;
  if (first !== UNSEEN) return first;
  const [workspace] = relative(ROOT, path).split(sep);
  return outcomeOf(['--testPathPatterns', `${workspace}/`, '--findRelatedTests', path]);
}

ensurePackages();
const args = process.argv.slice(2);
const size = Number(flagValue(args, '--sample') ?? 50);
const seed = Number(flagValue(args, '--seed') ?? 1);
const given = args.filter((arg, i) => !arg.startsWith('--') && !args[i - 1]?.startsWith('--'));
const files = (given.length > 0 ? given : ['core', 'server']).flatMap((path) =>
  filesIn(join(ROOT, path)),
);
const chosen = sampleOf(files.flatMap(rewritesOf), size, seeded(seed));

const counts = { [SEEN]: 0, [UNSEEN]: 0, [NOT_ENDED]: 0 };
for (const [at, { path, from, to, replacement }] of chosen.entries()) {
  process.stderr.write(`${at + 1} of ${chosen.length}: ${relative(ROOT, path)}\n`);
  const before = readFileSync(path, 'utf8');
  const restore = () => writeFileSync(path, before);
  const leave = () => {
    restore();
    process.exit(130);
  };
  for (const signal of SIGNALS) process.once(signal, leave);
  writeFileSync(path, before.slice(0, from) + replacement + before.slice(to));
  try {
    const outcome = await outcomeFor(path);
    counts[outcome]++;
    if (outcome !== SEEN) {
      const line = before.slice(0, from).split('\n').length;
      const was = before.split('\n')[line - 1]?.trim();
      console.log(
        `${outcome}: ${relative(ROOT, path)}:${line} ${before.slice(from, to)} → ${replacement}   ${was}`,
      );
    }
  } finally {
    restore();
    for (const signal of SIGNALS) process.removeListener(signal, leave);
  }
}
console.log(
  `\nOf ${chosen.length} changes ${counts[SEEN]} were seen by a test and ${counts[UNSEEN]} by none; with ${counts[NOT_ENDED]} the tests did not end.`,
);

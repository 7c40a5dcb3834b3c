// Starts Lettera's programs and sees to it that they end together.
import { fork } from 'node:child_process';
import { ROOT } from './install.mjs';

const children = [];

function endAll(code) {
  for (const child of children) child.kill('SIGTERM');
  process.exitCode = code;
}

process.on('SIGINT', () => endAll(0));
process.on('SIGTERM', () => endAll(0));

/**
 * Starts a program and waits until it says that it is ready. When one program ends, all end.
 * @param {string} script path from the root
 */
export function startProgram(script, args = [], { env = {}, execArgv = [], quiet = false } = {}) {
  const child = fork(script, args, {
    cwd: ROOT,
    execArgv,
    env: { ...process.env, ...env },
    stdio: ['ignore', quiet ? 'ignore' : 'inherit', 'inherit', 'ipc'],
  });
  children.push(child);
  return new Promise((resolve) => {
    child.once('message', () => resolve(child));
    child.once('exit', (code) => endAll(code ?? 0));
  });
}

/** The value of a flag, `--name value` or `--name=value`, among the arguments given. */
export function flagValue(args, name) {
  const at = args.findIndex((arg) => arg === name || arg.startsWith(`${name}=`));
  if (at < 0) return undefined;
  return args[at].includes('=') ? args[at].slice(name.length + 1) : args[at + 1];
}

/** Starts the foundry, built or from its source, on the port that the arguments name. */
export function startFoundry(script, args, execArgv = []) {
  const port = flagValue(args, '--foundry-port');
  return startProgram(script, [], {
    execArgv,
    env: port ? { LETTERA_FOUNDRY_PORT: port } : {},
    quiet: true,
  });
}

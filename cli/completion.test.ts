import { spawnSync } from 'node:child_process';
import { describe, expect, test } from '@jest/globals';
import { Argument, Command, Option } from 'commander';
import { completionFor, SHELLS } from './completion';

const program = new Command('lettera');
program
  .command('check')
  .description('tell the designer’s marks: all of them')
  .addArgument(new Argument('<project>'))
  .addOption(new Option('--format <format>').choices(['text', 'json']))
  .option('--out <file>', 'file to write to');
program.command('start').description('start').option('--open', 'show it');

/** What bash offers for a line whose last word is being typed. */
function offered(line: string[]): string[] {
  const script = `${completionFor('bash', program)}
COMP_WORDS=(${line.map((word) => `'${word}'`).join(' ')}); COMP_CWORD=${line.length - 1}
_lettera; printf '%s\\n' "\${COMPREPLY[@]}"`;
  const { stdout, stderr } = spawnSync('bash', ['-c', script]);
  expect(stderr.toString()).toBe('');
  return stdout.toString().split('\n').filter(Boolean);
}

describe('bash is told', () => {
  test('which commands there are', () => {
    expect(offered(['lettera', ''])).toEqual(['check', 'start']);
    expect(offered(['lettera', 'st'])).toEqual(['start']);
  });

  test('which options a command has, and not those of another', () => {
    expect(offered(['lettera', 'check', '--'])).toEqual(['--format', '--out', '--help']);
    expect(offered(['lettera', 'start', '--o'])).toEqual(['--open']);
  });

  test('which values an option takes that takes one of a few', () => {
    expect(offered(['lettera', 'check', '--format', 'j'])).toEqual(['json']);
  });

  test('nothing where it would be a file, so that the shell offers those', () => {
    expect(offered(['lettera', 'check', 'sk'])).toEqual([]);
  });
});

test.each(SHELLS)('%s is told every command, with quotation marks that close', (shell) => {
  const script = completionFor(shell, program);
  expect(script).toContain('check');
  expect(script).toContain('json');
  expect(script.split("'").length % 2).toBe(1);
});

import type { Command, Option } from 'commander';

/** Shells that can be told what a command takes. */
export const SHELLS = ['bash', 'zsh', 'fish'] as const;
export type Shell = (typeof SHELLS)[number];

/** A word that can stand in a place of the command line, and what it is for. */
interface Word {
  word: string;
  about: string;
}

/** What one command takes: its options, and the values of those that take one of a few. */
interface Taken {
  name: string;
  about: string;
  options: Word[];
  choices: { option: string; values: readonly string[] }[];
}

const wordOf = ({ long, description }: Option): Word => ({ word: long ?? '', about: description });

const takenBy = (command: Command): Taken => ({
  name: command.name(),
  about: command.description(),
  options: [...command.options.map(wordOf), { word: '--help', about: 'what it takes' }],
  choices: command.options.flatMap(({ long, argChoices }) =>
    long && argChoices ? [{ option: long, values: argChoices }] : [],
  ),
});

/** A text within single quotes of a shell. */
const quoted = (text: string): string => `'${text.replaceAll("'", "'\\''")}'`;

/** Where no word is known, files are offered, as everywhere in a shell. */
function forBash(name: string, commands: readonly Taken[]): string {
  const cases = commands.map(({ name: command, options, choices }) =>
    [
      `    ${command})`,
      ...choices.map(
        ({ option, values }) =>
          `      [ "$before" = ${option} ] && COMPREPLY=($(compgen -W '${values.join(' ')}' -- "$word")) && return`,
      ),
      `      [[ "$word" = -* ]] && COMPREPLY=($(compgen -W '${options.map(({ word }) => word).join(' ')}' -- "$word"))`,
      '      ;;',
    ].join('\n'),
  );
  return `_${name}() {
  local word="\${COMP_WORDS[COMP_CWORD]}" before="\${COMP_WORDS[COMP_CWORD-1]}"
  COMPREPLY=()
  if [ "$COMP_CWORD" -eq 1 ]; then
    COMPREPLY=($(compgen -W '${commands.map((one) => one.name).join(' ')}' -- "$word"))
    return
  fi
  case "\${COMP_WORDS[1]}" in
${cases.join('\n')}
  esac
}
complete -o default -F _${name} ${name}
`;
}

function forZsh(name: string, commands: readonly Taken[]): string {
  const described = ({ word, about }: Word) => quoted(`${word.replaceAll(':', '\\:')}:${about}`);
  const cases = commands.map(({ name: command, options, choices }) =>
    [
      `    ${command})`,
      ...choices.map(
        ({ option, values }) =>
          `      [[ $words[CURRENT-1] = ${option} ]] && { compadd ${values.join(' ')}; return }`,
      ),
      `      words_of=(${options.map(described).join(' ')})`,
      '      ;;',
    ].join('\n'),
  );
  return `#compdef ${name}
_${name}() {
  local -a words_of
  if (( CURRENT == 2 )); then
    words_of=(${commands.map((one) => described({ word: one.name, about: one.about })).join(' ')})
    _describe command words_of
    return
  fi
  case $words[2] in
${cases.join('\n')}
  esac
  if [[ $words[CURRENT] = -* ]]; then _describe option words_of; else _files; fi
}
compdef _${name} ${name}
`;
}

function forFish(name: string, commands: readonly Taken[]): string {
  const first = commands.map(
    ({ name: command, about }) =>
      `complete -c ${name} -n __fish_use_subcommand -a ${command} -d ${quoted(about)}`,
  );
  const options = commands.flatMap(({ name: command, options: all, choices }) =>
    all.map(({ word, about }) => {
      const values = choices.find(({ option }) => option === word)?.values;
      const taken = values ? ` -x -a ${quoted(values.join(' '))}` : '';
      return `complete -c ${name} -n '__fish_seen_subcommand_from ${command}' -l ${word.slice(2)}${taken} -d ${quoted(about)}`;
    }),
  );
  return [...first, ...options, ''].join('\n');
}

const WRITERS: Record<Shell, (name: string, commands: readonly Taken[]) => string> = {
  bash: forBash,
  zsh: forZsh,
  fish: forFish,
};

/** What a shell reads to complete a program's commands, options and their choices. */
export const completionFor = (shell: Shell, program: Command): string =>
  WRITERS[shell](program.name(), program.commands.map(takenBy));

import { checkFile } from './checkFile';
import type { Console } from './console';
import { planFile } from './planFile';

const COMMANDS = {
  plan: planFile,
  check: checkFile,
} as const satisfies Record<string, (path: string, console: Console) => Promise<number>>;

const USAGE = `nucleon: plans holes drilled with diamond and water

  nucleon plan FILE     print the plan of every hole of a job file, as JSON
  nucleon check FILE    say what is wrong with a job file, one line a fault`;

const isCommand = (word: string): word is keyof typeof COMMANDS => Object.hasOwn(COMMANDS, word);

/** Runs one command; the exit code: 0 done, 1 bad input, 2 not asked rightly. */
export async function main(words: readonly string[], console: Console): Promise<number> {
  const [command = '', path, ...rest] = words;
  if (command === '' || command === 'help' || command === '--help') {
    console.out(USAGE);
    return command === '' ? 2 : 0;
  }
  if (!isCommand(command)) {
    console.err(`“${command}” is not a command; use ${Object.keys(COMMANDS).join(' or ')}.`);
    return 2;
  }
  if (path === undefined || rest.length > 0) {
    console.err(`nucleon ${command} takes one FILE; got ${words.length - 1}.`);
    return 2;
  }
  return COMMANDS[command](path, console);
}

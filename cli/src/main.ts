import { parseArgs } from 'node:util';
import { IDENTIFIER_KINDS } from '@nucleon/core/identify/identify';
import { PURPOSE_KINDS } from '@nucleon/core/purposes/purposes';
import { INCH_POUND, METRIC } from '@nucleon/core/units/unitSystem';
import { checkFile } from './checkFile';
import type { Console } from './console';
import { fitPurpose } from './fitPurpose';
import { identifyPiece } from './identifyPiece';
import { planFile } from './planFile';

/** What is given after a command: its own words, and the options. */
interface Given {
  readonly words: readonly string[];
  readonly json: string | undefined;
  readonly inch: boolean;
}

interface Command {
  readonly usage: string;
  readonly does: string;
  /** How many words it takes, and whether `--json` is one of its options. */
  readonly takes: number;
  readonly json: boolean;
  readonly run: (given: Given, console: Console) => number | Promise<number>;
}

const COMMANDS = {
  plan: {
    usage: 'plan FILE',
    does: 'print the plan of every hole of a job file, as JSON',
    takes: 1,
    json: false,
    run: ({ words: [file = ''] }, console) => planFile(file, console),
  },
  check: {
    usage: 'check FILE',
    does: 'say what is wrong with a job file, one line a fault',
    takes: 1,
    json: false,
    run: ({ words: [file = ''] }, console) => checkFile(file, console),
  },
  fit: {
    usage: "fit PURPOSE --json '{…}'",
    does: `print what a part asks of its hole: ${PURPOSE_KINDS.join(', ')}`,
    takes: 1,
    json: true,
    run: ({ words: [purpose = ''], json = '', inch }, console) =>
      fitPurpose(purpose, json, console, inch ? INCH_POUND : METRIC),
  },
  identify: {
    usage: "identify --json '{…}'",
    does: `rank what a piece may be from answers; kind is ${IDENTIFIER_KINDS.join(', ')}`,
    takes: 0,
    json: true,
    run: ({ json = '' }, console) => identifyPiece(json, console),
  },
} as const satisfies Record<string, Command>;

const USAGE = [
  'nucleon: plans holes drilled with diamond and water',
  '',
  ...Object.values(COMMANDS).map(({ usage, does }) => `  nucleon ${usage}\n      ${does}`),
  '',
  '  --inch   write sentences in inches and pounds (fit)',
].join('\n');

const isCommand = (word: string): word is keyof typeof COMMANDS => Object.hasOwn(COMMANDS, word);

/** Runs one command; the exit code: 0 done, 1 bad input, 2 not asked rightly. */
export async function main(words: readonly string[], console: Console): Promise<number> {
  const [name = ''] = words;
  if (name === '' || name === 'help' || name === '--help') {
    console.out(USAGE);
    return name === '' ? 2 : 0;
  }
  if (!isCommand(name)) {
    console.err(`“${name}” is not a command; use ${Object.keys(COMMANDS).join(' or ')}.`);
    return 2;
  }
  const command: Command = COMMANDS[name];
  const given = optionsOf(words.slice(1));
  if (typeof given === 'string') {
    console.err(`${given} Use: nucleon ${command.usage}`);
    return 2;
  }
  if (given.words.length !== command.takes || (given.json !== undefined) !== command.json) {
    console.err(
      `Use: nucleon ${command.usage}; got ${given.words.length} word${given.words.length === 1 ? '' : 's'}${given.json === undefined ? '' : ' and --json'}.`,
    );
    return 2;
  }
  return command.run(given, console);
}

function optionsOf(words: readonly string[]): Given | string {
  try {
    const { positionals, values } = parseArgs({
      args: [...words],
      allowPositionals: true,
      options: { json: { type: 'string' }, inch: { type: 'boolean' } },
    });
    return { words: positionals, json: values.json, inch: values.inch ?? false };
  } catch (error) {
    return error instanceof Error ? (error.message.split('\n')[0] ?? '') : String(error);
  }
}

import { parseArgs } from 'node:util';
import { IDENTIFIER_KINDS } from '@nucleon/core/advice/identify/identify';
import { PURPOSE_KINDS } from '@nucleon/core/layout/purposes/purposes';
import { INCH_POUND, METRIC } from '@nucleon/core/data/unitSystem';
import { backUpFile, restoreFile } from './backUpFile';
import { checkFile } from './checkFile';
import { chooseHole } from './chooseHole';
import { convertFile } from './convertFile';
import type { Console } from './console';
import { fitPurpose } from './fitPurpose';
import { identifyPiece } from './identifyPiece';
import { learnFile } from './learnFile';
import { logFile } from './logFile';
import { oneHole } from './oneHole';
import { packFile } from './packFile';
import { planFile } from './planFile';
import { stressHole, stressMap } from './stressHole';
import { weighModel } from './weighModel';
import { windowHole } from './windowHole';

/** Every option there is; each command says which are its own. */
const OPTIONS = {
  json: { type: 'string' },
  inch: { type: 'boolean' },
  piece: { type: 'string' },
  face: { type: 'string' },
  paper: { type: 'string' },
  mirrored: { type: 'boolean' },
  unit: { type: 'string' },
  layers: { type: 'string' },
  hole: { type: 'string' },
  size: { type: 'string' },
  map: { type: 'boolean' },
  csv: { type: 'boolean' },
  runs: { type: 'string' },
  person: { type: 'string' },
  data: { type: 'string' },
} as const;
type Option = keyof typeof OPTIONS;

/** What is given after a command: its own words, and the options. */
interface Given {
  readonly words: readonly string[];
  readonly values: {
    readonly [O in Option]?: (typeof OPTIONS)[O]['type'] extends 'boolean' ? boolean : string;
  };
}

interface Command {
  readonly usage: string;
  readonly does: string;
  /** How many words it takes, which options it must have, and which it may. */
  readonly takes: number;
  readonly needs: readonly Option[];
  readonly may: readonly Option[];
  /** Of these, which stand alone here though elsewhere a value follows. */
  readonly flags?: readonly Option[];
  readonly run: (given: Given, console: Console) => number | Promise<number>;
}

const unitsOf = ({ inch }: Given['values']) => (inch ? INCH_POUND : METRIC);

const COMMANDS = {
  plan: {
    usage: 'plan FILE',
    does: 'print the plan of every hole of a job file, as JSON',
    takes: 1,
    needs: [],
    may: ['inch'],
    run: ({ words: [file = ''] }, console) => planFile(file, console),
  },
  check: {
    usage: 'check FILE',
    does: 'say what is wrong with a job file, one line a fault',
    takes: 1,
    needs: [],
    may: ['inch'],
    run: ({ words: [file = ''] }, console) => checkFile(file, console),
  },
  choose: {
    usage: 'choose FILE --hole ID',
    does: 'rank the bits, machines and ways of wetting that make a hole, and say why others cannot',
    takes: 1,
    needs: ['hole'],
    may: ['inch', 'piece'],
    run: async ({ words: [file = ''], values }, console) => {
      const one = await oneHole(file, values.hole ?? '', values.piece, console);
      return one ? chooseHole(one, console, unitsOf(values)) : 1;
    },
  },
  window: {
    usage: 'window FILE --hole ID',
    does: 'print the working window of a hole: speed against force, and what goes wrong where',
    takes: 1,
    needs: ['hole'],
    may: ['inch', 'piece', 'size'],
    run: async ({ words: [file = ''], values }, console) => {
      const one = await oneHole(file, values.hole ?? '', values.piece, console);
      return one ? windowHole(one, values.size, console) : 1;
    },
  },
  stress: {
    usage: 'stress FILE --hole ID [--map]',
    does: 'print how the piece bends on what holds it, or the odds of a crack all over it',
    takes: 1,
    needs: ['hole'],
    may: ['inch', 'piece', 'map', 'size'],
    run: async ({ words: [file = ''], values }, console) => {
      const one = await oneHole(file, values.hole ?? '', values.piece, console);
      if (!one) return 1;
      return values.map
        ? stressMap(one, values.size, console)
        : stressHole(one, console, unitsOf(values));
    },
  },
  fit: {
    usage: "fit PURPOSE --json '{…}'",
    does: `print what a part asks of its hole: ${PURPOSE_KINDS.join(', ')}`,
    takes: 1,
    needs: ['json'],
    may: ['inch'],
    run: ({ words: [purpose = ''], values }, console) =>
      fitPurpose(purpose, values.json ?? '', console, unitsOf(values)),
  },
  convert: {
    usage: 'convert FROM TO',
    does: 'write a piece as .dxf, .svg or 1:1 .pdf, or make a job of a .dxf or .svg',
    takes: 2,
    needs: [],
    may: ['inch', 'piece', 'face', 'paper', 'mirrored', 'unit', 'layers'],
    run: ({ words: [from = '', to = ''], values }, console) =>
      convertFile(
        from,
        to,
        { ...values, mirrored: values.mirrored ?? false, units: unitsOf(values) },
        console,
      ),
  },
  pack: {
    usage: 'pack FILE TO.pdf',
    does: 'write a job on paper: packing list, a bench card a hole, 1:1 templates; --hole for one card',
    takes: 2,
    needs: [],
    may: ['inch', 'hole', 'paper'],
    run: ({ words: [from = '', to = ''], values }, console) =>
      packFile(from, to, { ...values, units: unitsOf(values), now: new Date() }, console),
  },
  log: {
    usage: 'log FILE [--csv]',
    does: 'print the runs of a job file, planned beside actual, as JSON or CSV',
    takes: 1,
    needs: [],
    may: ['csv'],
    run: ({ words: [file = ''], values }, console) => logFile(file, values.csv ?? false, console),
  },
  learn: {
    usage: 'learn FILE [--runs LIST.csv] [--person NAME] [--json]',
    does: 'print what the log of a job, and a list beside it, tells of its holes and bits',
    takes: 1,
    needs: [],
    may: ['runs', 'person', 'json'],
    flags: ['json'],
    run: ({ words: [file = ''], values }, console) =>
      learnFile(
        file,
        {
          runs: values.runs,
          person: values.person,
          asJson: values.json !== undefined,
          now: new Date(),
        },
        console,
      ),
  },
  identify: {
    usage: "identify --json '{…}'",
    does: `rank what a piece may be from answers; kind is ${IDENTIFIER_KINDS.join(', ')}`,
    takes: 0,
    needs: ['json'],
    may: ['inch'],
    run: ({ values }, console) => identifyPiece(values.json ?? '', console),
  },
  backup: {
    usage: 'backup FILE [--data DIR]',
    does: 'write the whole workshop, pictures too, into one file, while it is in use or not',
    takes: 1,
    needs: [],
    may: ['data'],
    run: ({ words: [file = ''], values }, console) => backUpFile(file, values.data, console),
  },
  restore: {
    usage: 'restore FILE [--data DIR]',
    does: 'put a backup in the place of what stands there, which is copied first',
    takes: 1,
    needs: [],
    may: ['data'],
    run: ({ words: [file = ''], values }, console) => restoreFile(file, values.data, console),
  },
  evidence: {
    usage: 'evidence [--json]',
    does: 'print what the model says of everyday jobs beside what happens at the bench',
    takes: 0,
    needs: [],
    may: ['json'],
    flags: ['json'],
    run: ({ values }, console) => weighModel(values.json !== undefined, console),
  },
} as const satisfies Record<string, Command>;

const USAGE = [
  'nucleon: plans holes drilled with diamond and water',
  '',
  ...Object.values(COMMANDS).map(({ usage, does }) => `  nucleon ${usage}\n      ${does}`),
  '',
  '  --inch               write sentences in inches and pounds',
  '  --hole ID            which hole, by id or label (choose, window)',
  '  --size N             columns and rows of the grid, 40 unless said (window)',
  '  --piece ID           which piece of the job (convert, choose, window)',
  '  --face face|base     which face of a vessel (convert)',
  '  --paper a4|letter    pages of a PDF (convert)',
  '  --mirrored           for marking from the back (convert to PDF)',
  '  --unit mm|inch       of a drawing that does not say (convert)',
  '  --layers A,B         layers of a drawing to read (convert)',
  '  --runs LIST.csv      past holes beside those of the file (learn)',
  '  --data DIR           whose database, .data unless said (backup, restore)',
  '  --person NAME        whose hand the next holes are drilled by (learn)',
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
  const given = optionsOf(words.slice(1), command.flags);
  if (typeof given === 'string') {
    console.err(`${given} Use: nucleon ${command.usage}`);
    return 2;
  }
  const has = Object.keys(given.values) as Option[];
  const fits =
    given.words.length === command.takes &&
    command.needs.every((option) => has.includes(option)) &&
    has.every((option) => command.needs.includes(option) || command.may.includes(option));
  if (!fits) {
    const options = has.map((option) => ` and --${option}`).join('');
    console.err(
      `Use: nucleon ${command.usage}; got ${given.words.length} word${given.words.length === 1 ? '' : 's'}${options}.`,
    );
    return 2;
  }
  return command.run(given, console);
}

function optionsOf(words: readonly string[], flags: readonly Option[] = []): Given | string {
  try {
    const alone = Object.fromEntries(flags.map((flag) => [flag, { type: 'boolean' as const }]));
    const { positionals, values } = parseArgs({
      args: [...words],
      allowPositionals: true,
      options: { ...OPTIONS, ...alone },
    });
    return { words: positionals, values: { ...values } };
  } catch (error) {
    return error instanceof Error ? (error.message.split('\n')[0] ?? '') : String(error);
  }
}

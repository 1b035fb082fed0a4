/** Parses the command line, calls one command, and turns refusals into exit codes: 0 answered, 2 refused, 1 failed. */
import { parseArgs } from 'node:util';
import { bevelsCommand } from './commands/bevels';
import { bookCommand } from './commands/book';
import { exportCommand } from './commands/export';
import { framesCommand } from './commands/frames';
import { linesCommand } from './commands/lines';
import { mixCommand } from './commands/mix';
import { nestCommand } from './commands/nest';
import { panelsCommand } from './commands/panels';
import { planCommand } from './commands/plan';
import { projectCommand } from './commands/project';
import { setupCommand } from './commands/setup';
import { spacingCommand } from './commands/spacing';
import { takeoffCommand } from './commands/takeoff';
import { weightsCommand } from './commands/weights';
import { bendCommand } from './commands/bend';
import { gapsCommand } from './commands/gaps';
import { timberCommand } from './commands/timber';
import { Refusal, type Answer, type Io, type Options } from './io';
import { PROJECT_OPTIONS, PROJECT_USAGE } from './project-of';

type Command = {
  readonly run: (file: string, options: Options, io: Io) => Answer;
  /** It reads no file: all is in its options. */
  readonly hasNoFile?: true;
  /** It solves linear programs: the solver is loaded first, which takes its time. */
  readonly needsSolver?: true;
  readonly options: readonly string[];
  readonly usage: string;
};

const COMMANDS: Readonly<Record<string, Command>> = {
  lines: { run: linesCommand, options: [], usage: 'lines FILE.csv' },
  panels: { run: panelsCommand, options: ['thickness'], usage: 'panels FILE.csv [--thickness T]' },
  frames: {
    run: framesCommand,
    options: ['at', 'skin', 'frame', 'face', 'rake'],
    usage: 'frames FILE.csv --at X1,X2,... --skin T --frame W [--face fore|aft] [--rake DEG]',
  },
  bevels: {
    run: bevelsCommand,
    options: ['line', 'skin', 'step'],
    usage: 'bevels FILE.csv --line NAME [--skin T] [--step S]',
  },
  spacing: {
    run: (_file, options) => spacingCommand(options),
    hasNoFile: true,
    options: ['run', 'ends', 'about'],
    usage: 'spacing --run L --ends E --about S',
  },
  project: {
    run: projectCommand,
    options: ['out', ...PROJECT_OPTIONS],
    usage: `project FILE.csv --out FILE.json ${PROJECT_USAGE}`,
  },
  nest: {
    run: nestCommand,
    options: ['seconds', 'seed', 'rounds'],
    usage: 'nest FILE.json [--seconds S | --rounds R] [--seed N]',
  },
  timber: {
    run: timberCommand,
    needsSolver: true,
    options: ['seconds'],
    usage: 'timber FILE.json [--seconds S]',
  },
  setup: { run: setupCommand, options: [], usage: 'setup FILE.json' },
  mix: { run: mixCommand, options: [], usage: 'mix FILE.json' },
  takeoff: { run: takeoffCommand, options: PROJECT_OPTIONS, usage: `takeoff FILE ${PROJECT_USAGE}` },
  bend: { run: bendCommand, options: [], usage: 'bend FILE.json' },
  gaps: {
    run: gapsCommand,
    options: ['builds', 'seed', ...PROJECT_OPTIONS],
    usage: `gaps FILE [--builds N] [--seed N] ${PROJECT_USAGE}`,
  },
  weights: { run: weightsCommand, options: PROJECT_OPTIONS, usage: `weights FILE ${PROJECT_USAGE}` },
  plan: {
    run: planCommand,
    options: ['calendar', ...PROJECT_OPTIONS],
    usage: `plan FILE [--calendar FILE.ics] ${PROJECT_USAGE}`,
  },
  book: {
    run: bookCommand,
    options: ['out', ...PROJECT_OPTIONS],
    usage: `book FILE --out DIR ${PROJECT_USAGE}`,
  },
  export: {
    run: exportCommand,
    options: ['out', 'only', ...PROJECT_OPTIONS],
    usage: `export FILE --out DIR [--only dxf,svg,pdf,csv,stl] ${PROJECT_USAGE}`,
  },
};

/** Whether the command line asks for one that solves linear programs. */
export const needsSolver = ([name]: readonly string[]): boolean => COMMANDS[name ?? '']?.needsSolver === true;

const USAGE = [
  'kalo COMMAND FILE [--json] [--time]',
  ...Object.values(COMMANDS).map(({ usage }) => `  kalo ${usage}`),
].join('\n');

export function run(args: readonly string[], io: Io): number {
  try {
    return answer(args, io);
  } catch (error) {
    if (error instanceof Refusal) {
      io.err(`kalo: ${error.message.replace(/\s+/g, ' ')}\n`); // one line, whatever was found
      return 2;
    }
    io.err(`kalo: failed: ${error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`);
    return 1;
  }
}

function answer(args: readonly string[], io: Io): number {
  const name = args[0] ?? '';
  if (name === 'help' || name === '--help') {
    io.out(`${USAGE}\n`);
    return 0;
  }
  const command = COMMANDS[name];
  if (!command) throw new Refusal(`no command "${name}"; expected one of ${Object.keys(COMMANDS).join(', ')}`);
  const { file, options, isJson, isTimed } = parse(args.slice(1), command);
  const start = io.now();
  const result = command.run(file, options, io);
  const elapsed = io.now() - start;
  io.out(isJson ? `${JSON.stringify(result.json)}\n` : `${result.text}\n`);
  if (isTimed)
    io.err(
      `computed in ${(result.computedMs ?? elapsed).toFixed(1)} ms; ${elapsed.toFixed(1)} ms with reading the file\n`,
    );
  return 0;
}

/** `--rake -15` as `--rake=-15`: a figure below nought is no option. */
const withNegatives = (args: readonly string[]): string[] =>
  args.reduce<string[]>((before, arg) => {
    const last = before[before.length - 1];
    const isValue = /^-[\d.]/.test(arg) && last !== undefined && /^--[^=]+$/.test(last);
    return isValue ? [...before.slice(0, -1), `${last}=${arg}`] : [...before, arg];
  }, []);

function parse(args: readonly string[], command: Command) {
  const strings = Object.fromEntries(command.options.map((key) => [key, { type: 'string' as const }]));
  const config = { ...strings, json: { type: 'boolean' as const }, time: { type: 'boolean' as const } };
  let parsed;
  try {
    parsed = parseArgs({ args: withNegatives(args), options: config, allowPositionals: true, strict: true });
  } catch (error) {
    throw new Refusal(`${error instanceof Error ? error.message : String(error)}; expected kalo ${command.usage}`);
  }
  const [file, ...more] = parsed.positionals;
  if (command.hasNoFile && file !== undefined)
    throw new Refusal(`found "${file}"; expected no file: kalo ${command.usage}`);
  if (!command.hasNoFile && (file === undefined || more.length > 0))
    throw new Refusal(`expected one file: kalo ${command.usage}`);
  // one of the two types by the config above
  const values = parsed.values as Record<string, string | boolean | undefined>;
  const options = Object.fromEntries(
    command.options.flatMap((key) => (typeof values[key] === 'string' ? [[key, values[key]]] : [])),
  ) as Options; // only strings kept
  return { file: file ?? '', options, isJson: values['json'] === true, isTimed: values['time'] === true };
}

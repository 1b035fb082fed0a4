/** What the commands share: reading files and options, refusing with one line, numbers fit for JSON. */
import { readFileSync } from 'node:fs';
import { placeText, type Finding } from '@kalotrope/core/findings';
import { decodeText, problemText, readLinesDxf, readOffsets, readProjectFile } from '@kalotrope/core/exchange';
import type { LinesPart } from '@kalotrope/core/lines';
import { sentence, type Project } from '@kalotrope/core/project';
import type { NestResult } from '@kalotrope/core/sheets';
import type { LinearSolver } from '@kalotrope/core/timber';
import type { Beside } from './second-core';

export type Io = {
  readonly out: (text: string) => void;
  readonly err: (text: string) => void;
  readonly now: () => number;
  /** Lays out on a second core meanwhile; absent where there is none. */
  readonly beside?: (input: Beside) => () => NestResult | undefined;
  /** Solves linear programs; there for the commands that ask for it. */
  readonly solve?: LinearSolver;
};
export type Options = Readonly<Record<string, string | undefined>>;
/** `computedMs`: the computing alone, where a command measures it; without reading and writing. */
export type Answer = { readonly json: unknown; readonly text: string; readonly computedMs?: number };

/** The input was refused: one line, what, where, why. */
export class Refusal extends Error {}

const LARGEST_BYTES = 20_000_000;

export function readText(file: string): string {
  let bytes: Buffer;
  try {
    bytes = readFileSync(file);
  } catch (error) {
    throw new Refusal(`cannot read ${file}: ${(error as NodeJS.ErrnoException).code ?? String(error)}`);
  }
  if (bytes.length > LARGEST_BYTES)
    throw new Refusal(`${file} has ${bytes.length} bytes; expected ${LARGEST_BYTES} at most`);
  const decoded = decodeText(bytes, asUtf8);
  if (!decoded.ok) throw new Refusal(`${file} is not text: byte 0 at ${decoded.byte}; expected UTF-8 text`);
  return decoded.text;
}

/** Undefined where the bytes are not UTF-8. */
function asUtf8(bytes: Uint8Array): string | undefined {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return undefined;
  }
}

/** The file as JSON, whatever it holds. */
export function readJson(file: string): unknown {
  const text = readText(file);
  try {
    return JSON.parse(text);
  } catch (error) {
    throw new Refusal(`${file}: not JSON: ${error instanceof Error ? error.message : String(error)}`);
  }
}

/** A table of offsets, or a drawing of the lines by layers (.dxf). */
export function readLinesFile(file: string, io: Io): LinesPart {
  return /\.dxf$/i.test(file) ? readDrawingFile(file, io) : readTableFile(file, io);
}

function readDrawingFile(file: string, io: Io): LinesPart {
  const read = readLinesDxf(readText(file));
  if (!read.ok) throw new Refusal(`${file}: ${read.problems[0] ?? 'not a drawing of lines'}`);
  for (const note of read.assumed) io.err(`kalo: ${file}: ${note}\n`);
  return read.lines;
}

function readTableFile(file: string, io: Io): LinesPart {
  const read = readOffsets(readText(file));
  if (!read.ok) {
    const [first, ...rest] = read.problems;
    const more = rest.length > 0 ? ` (and ${rest.length} more)` : '';
    throw new Refusal(`${file}: ${first ? problemText(first) : 'not a table of offsets'}${more}`);
  }
  for (const note of read.assumed) io.err(`kalo: ${file}: ${note}\n`);
  return read.lines;
}

export function readProjectOption(file: string): Project {
  const read = readProjectFile(readText(file));
  if (!read.ok) throw new Refusal(`${file}: ${read.problems[0] ?? 'not a project'}`);
  return read.project;
}

/** A number option within bounds. */
export function numberOption(
  options: Options,
  key: string,
  bounds: { min: number; max: number; otherwise?: number },
): number {
  const text = options[key];
  if (text === undefined) {
    if (bounds.otherwise === undefined) throw new Refusal(`--${key} is missing; expected a number`);
    return bounds.otherwise;
  }
  const value = Number(text);
  if (text.trim() !== '' && value >= bounds.min && value <= bounds.max) return value;
  throw new Refusal(`--${key} is "${text}"; expected a number from ${bounds.min} to ${bounds.max}`);
}

/** An option that lists numbers, one at least. */
export function numbersOption(options: Options, key: string, example: string): number[] {
  const text = options[key];
  if (text === undefined) throw new Refusal(`--${key} is missing; expected one or more x, ${example}`);
  return text.split(',').map((part) => {
    const x = Number(part);
    if (part.trim() === '' || !Number.isFinite(x)) throw new Refusal(`--${key} has "${part}"; expected a number of mm`);
    return x;
  });
}

export const findingJson = (finding: Finding) => ({
  severity: finding.severity,
  code: finding.code,
  where: placeText(finding.where),
  message: sentence(finding, 'mm'),
});

export const findingsText = (findings: readonly Finding[]): string =>
  findings.map((finding) => `${finding.severity.toUpperCase()}: ${sentence(finding, 'mm')}`).join('\n');

/** To a thousandth of a micrometre: shorter files, nothing lost that a check could see. */
export const trim = (value: number): number => Math.round(value * 1e6) / 1e6;

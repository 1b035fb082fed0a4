/**
 * The stages in the order of the work: the one list of them in the interface. Each stands where the core's list has it.
 */
import { STAGES } from '@kalotrope/core/project';
import { epoxyEntry } from '../stages/epoxy/entry';
import { framesEntry } from '../stages/frames/entry';
import { fitoutEntry } from '../stages/fitout/entry';
import { jointsEntry } from '../stages/joints/entry';
import { linesEntry } from '../stages/lines/entry';
import { panelsEntry } from '../stages/panels/entry';
import { logEntry } from '../stages/log/entry';
import { planEntry } from '../stages/plan/entry';
import { setupEntry } from '../stages/setup/entry';
import { sheetsEntry } from '../stages/sheets/entry';
import { weightsEntry } from '../stages/weights/entry';
import { timberEntry } from '../stages/timber/entry';
import { makeBench } from '../state/bench';
import type { StageEntry } from '../state/stage-entry';

const ENTRIES: readonly StageEntry[] = [
  linesEntry,
  panelsEntry,
  framesEntry,
  setupEntry,
  fitoutEntry,
  jointsEntry,
  sheetsEntry,
  timberEntry,
  epoxyEntry,
  weightsEntry,
  planEntry,
  logEntry,
];

export const bench = makeBench(STAGES.flatMap(({ name }) => ENTRIES.find(({ stage }) => stage === name) ?? []));

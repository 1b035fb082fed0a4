/** Lays out the lengths of cloth on their roll whenever they are others. */
import { useMemo } from 'react';
import { clothToLay, laidCloth, type ClothToLay, type LaidCloth } from '@kalotrope/core/epoxy';
import type { Derived, Project } from '@kalotrope/core/project';
import { selectFound } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { useFound } from '../../controls/use-found';

const SECONDS = 3;
/** As long as there is nothing to lay out. */
const NO_JOB: ClothToLay['job'] = { gap: 0, margin: 0, sheets: [], parts: [] };

export type Cloth = {
  readonly laid: LaidCloth | undefined;
  /** Why it is not laid out. */
  readonly lacks: 'none' | 'bare' | 'widths' | 'looking' | 'time';
};

export function useCloth(project: Project, derived: Derived): Cloth {
  const { epoxy } = project;
  const [lines, panels] = [derived.lines.value, derived.panels.value];
  const [frames, fitout] = [derived.frames.value, derived.fitout.value];
  const toLay = useMemo(
    () => clothToLay({ project: { epoxy }, values: { lines, panels, frames, fitout } }),
    [epoxy, lines, panels, frames, fitout],
  );
  const key = toLay?.key ?? '';
  const isLooking = useFound({
    key,
    keyOf: ({ epoxy: found }) => found?.key,
    job: 'nest',
    input: { job: toLay?.job ?? NO_JOB, seed: 1, seconds: SECONDS },
    take: (result) => ({ epoxy: { key, result } }),
    what: 'The layout of the cloth',
  });
  const found = useAppSelector((state) => selectFound(state).epoxy);
  const laid = useMemo(() => laidCloth(toLay, found), [toLay, found]);
  const isBare = derived.epoxy.value.glass.clothM === 0;
  if (!toLay) return { laid, lacks: isBare ? 'bare' : 'widths' };
  return { laid, lacks: laid ? 'none' : isLooking ? 'looking' : 'time' };
}

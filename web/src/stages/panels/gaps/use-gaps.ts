/** How the panels will meet, foretold anew whenever what it hangs on has changed and rests. */
import { useEffect, useMemo, useRef, useState } from 'react';
import type { Project } from '@kalotrope/core/project';
import type { Gaps } from '@kalotrope/core/panels';
import { useRested } from '../../../controls/use-rested';
import { engine } from '../../../engine/client';
import { selectProject } from '../../../state/selectors';
import { useAppSelector } from '../../../state/store';

export type ToldGaps =
  | { readonly kind: 'busy'; readonly last?: Gaps }
  | { readonly kind: 'told'; readonly gaps: Gaps }
  | { readonly kind: 'failed'; readonly message: string };

type Answer = { readonly of: readonly unknown[]; readonly told: Exclude<ToldGaps, { readonly kind: 'busy' }> };

/** So long a project rests before seconds of work go into it, ms. */
const REST = { pause: 500, longest: 3000 };

/** Parts of the project that it hangs on: a load put aboard changes nothing of it. */
const dependsOn = (project: Project) => [project.id, project.lines, project.panels, project.frames, project.school];

export function useGaps(): ToldGaps {
  const now = useAppSelector(selectProject);
  const project = useRested(now, REST);
  const [answer, setAnswer] = useState<Answer | null>(null);
  const of = useMemo(() => (project ? dependsOn(project) : []), [project]);
  const isSame = (other: readonly unknown[]) => of.length > 0 && of.every((one, k) => one === other[k]);
  const answered = useRef<readonly unknown[]>([]);
  useEffect(() => {
    if (!project || of.every((one, k) => one === answered.current[k])) return undefined;
    const stopping = new AbortController();
    void engine.run('gaps', project, { signal: stopping.signal }).then((found) => {
      if (found.kind === 'cancelled' || stopping.signal.aborted) return;
      answered.current = of;
      const told = found.kind === 'ok' ? ({ kind: 'told', gaps: found.value } as const) : found;
      setAnswer({ of, told });
    });
    return () => stopping.abort();
  }, [project, of]);
  if (answer && now === project && isSame(answer.of)) return answer.told;
  return { kind: 'busy', ...(answer?.told.kind === 'told' && { last: answer.told.gaps }) };
}

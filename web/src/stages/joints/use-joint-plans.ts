/** The search for joint plans: begun, stopped, and its plan taken over with the layout that was found for it. */
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Edit } from '@kalotrope/core/findings';
import { sheetsStage, type JointPlan, type JointPlans } from '@kalotrope/core/sheets';
import { engine } from '../../engine/client';
import { foundArrived } from '../../state/derived-slice';
import { edited } from '../../state/document-slice';
import { said } from '../../state/screen-slice';
import { selectFound, selectProject } from '../../state/selectors';
import { useAppDispatch, useAppStore } from '../../state/store';

const SECONDS = 45;

export function useJointPlans() {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const control = useRef<AbortController | null>(null);
  const seed = useRef(0);
  const [plans, setPlans] = useState<JointPlans | null>(null);
  const [isLooking, setIsLooking] = useState(false);
  const stop = useCallback(() => {
    control.current?.abort();
    setIsLooking(false);
  }, []);
  useEffect(() => stop, [stop]);
  const look = async () => {
    const project = selectProject(store.getState());
    if (!project) return;
    stop();
    const { signal } = (control.current = new AbortController());
    setIsLooking(true);
    setPlans(null);
    seed.current += 1;
    const ask = { project, seed: seed.current, seconds: SECONDS };
    const onProgress = (found: JointPlans) => {
      if (!signal.aborted) setPlans(found);
    };
    const answer = await engine.run('jointPlans', ask, { signal, onProgress });
    if (signal.aborted) return;
    if (answer.kind === 'ok') setPlans(answer.value);
    if (answer.kind === 'failed') dispatch(said(`The search stopped: ${answer.message}. Look again`));
    setIsLooking(false);
  };
  const use = (plan: JointPlan) => {
    stop();
    const hasLaid = (selectProject(store.getState())?.sheets.laid.length ?? 0) > 0;
    const edits: Edit[] = [
      { path: ['joints', 'own'], value: [...plan.own] },
      // other pieces come of other joints: the plan's own layout holds
      ...(hasLaid ? [{ path: [sheetsStage.name, 'laid'], value: [] }] : []),
    ];
    dispatch(edited({ label: 'Joints for fewer sheets', edits }));
    const others = (selectFound(store.getState()).sheets ?? []).filter(({ key }) => key !== plan.layout.key);
    dispatch(foundArrived({ sheets: [...others, plan.layout] }));
    setPlans(null);
    dispatch(said('The joints are moved. Ctrl+Z puts them back.'));
  };
  return { plans, isLooking, look: () => void look(), stop, use };
}

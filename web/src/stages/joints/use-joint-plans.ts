/** The search for joint plans: begun, stopped, and its plan taken over with the layout that was found for it. */
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Edit } from '@kalotrope/core/findings';
import { sheetsStage, type JointPlan, type JointPlans } from '@kalotrope/core/sheets';
import { engine } from '../../engine/client';
import { foundArrived } from '../../state/derived-slice';
import { edited } from '../../state/document-slice';
import { said } from '../../state/screen-slice';
import { selectDerived, selectFound, selectProject } from '../../state/selectors';
import { useAppDispatch, useAppSelector, useAppStore } from '../../state/store';

const SECONDS = 45;

type Search = {
  /** The parts that are laid out: of others the plans say nothing. */
  readonly of: unknown;
  readonly plans: JointPlans | null;
  readonly isOn: boolean;
};

export function useJointPlans() {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const of = useAppSelector((state) => selectDerived(state)?.sheets.value);
  const control = useRef<AbortController | null>(null);
  const seed = useRef(0);
  const [search, setSearch] = useState<Search | null>(null);
  const stop = useCallback(() => {
    control.current?.abort();
    setSearch((now) => now && { ...now, isOn: false });
  }, []);
  useEffect(() => () => control.current?.abort(), [of]);
  const look = async () => {
    const project = selectProject(store.getState());
    if (!project) return;
    stop();
    const { signal } = (control.current = new AbortController());
    setSearch({ of, plans: null, isOn: true });
    seed.current += 1;
    const ask = { project, seed: seed.current, seconds: SECONDS };
    const onProgress = (plans: JointPlans) => {
      if (!signal.aborted) setSearch({ of, plans, isOn: true });
    };
    const answer = await engine.run('jointPlans', ask, { signal, onProgress });
    if (signal.aborted) return;
    if (answer.kind === 'failed') dispatch(said(`The search stopped: ${answer.message}. Look again`));
    setSearch((now) => ({ of, plans: answer.kind === 'ok' ? answer.value : (now?.plans ?? null), isOn: false }));
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
    setSearch(null);
    dispatch(said('The joints are moved. Ctrl+Z puts them back.'));
  };
  const mine = search?.of === of ? search : null;
  return {
    plans: mine?.plans ?? null,
    isLooking: mine?.isOn ?? false,
    /** What was found is of parts that are others by now. */
    isOld: search !== null && mine === null,
    look: () => void look(),
    stop,
    use,
  };
}

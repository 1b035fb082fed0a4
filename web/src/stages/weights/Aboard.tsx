/** What is aboard: a standard loading by one press, or single loads. */
import Button from '@mui/material/Button';
import { formatMass } from '@kalotrope/core/measure';
import {
  freeId,
  loaded,
  LOADING_NAMES,
  LOADINGS,
  loadThing,
  type Load,
  type WeightsValue,
} from '@kalotrope/core/weights';
import { Section } from '../../controls/Section';
import { picked } from '../../state/screen-slice';
import { selectNotation, selectProject } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { useLoads } from './use-loads';
import { LOADS_SECTION } from './words';

const MOST = 60;
const NEW_KG = 10;

export function Aboard({ value: { size, allGrams, bareGrams } }: { readonly value: WeightsValue }) {
  const dispatch = useAppDispatch();
  const notation = useAppSelector(selectNotation);
  const people = useAppSelector((state) => selectProject(state)?.fitout.people);
  const { loads, put } = useLoads();
  const add = () => {
    const id = freeId('load', new Set(loads.map((load) => load.id)));
    const middle = Math.round((size.from + size.to) / 2);
    const load: Load = {
      ...{ id, name: 'Load', kg: NEW_KG, x: middle, out: 0, up: Math.round(size.low) + 150, isAboard: true },
    };
    put('Load put aboard', [...loads, load]);
    dispatch(picked(loadThing(id)));
  };
  return (
    <Section
      title={LOADS_SECTION}
      aside={allGrams > bareGrams ? formatMass(allGrams - bareGrams, notation) : 'nothing'}
    >
      {loads.map(({ id, name, kg, isAboard }) => (
        <button key={id} type="button" className="plan-entry" onClick={() => dispatch(picked(loadThing(id)))}>
          <span className="figure">{formatMass(1000 * kg, notation)}</span>
          <span>{isAboard ? name : `${name}, ashore`}</span>
        </button>
      ))}
      <Button onClick={add} disabled={loads.length >= MOST}>
        Put a load aboard
      </Button>
      <p className="quiet">Instead of what is aboard:</p>
      {LOADINGS.filter((loading) => loading !== 'sitting' || (people ?? []).length > 0).map((loading) => (
        <Button
          key={loading}
          onClick={() => put(LOADING_NAMES[loading], loaded(loads, loading, { ...size, people: people ?? [] }))}
        >
          {LOADING_NAMES[loading]}
        </Button>
      ))}
    </Section>
  );
}

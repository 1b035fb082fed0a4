/** Fairing filler, primer, paint and varnish, in the order in which they go on; and the fillers in the epoxy. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { type FINISH_KINDS, type FINISH_PLACES, type Finish } from '@kalotrope/core/epoxy';
import type { EditValue } from '@kalotrope/core/findings';
import { isImperial, mlPerShown, volumeUnit, type Notation } from '@kalotrope/core/measure';
import type { Project } from '@kalotrope/core/project';
import { NameField } from '../../controls/NameField';
import { NumberField } from '../../controls/NumberField';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { edited } from '../../state/document-slice';
import { useAppDispatch } from '../../state/store';
import { freeProductId, SoldFields } from './SoldFields';

const MOST = 20;
/** A square foot out of a quart, in square metres out of a litre. */
const M2_PER_L_OF_FT2_PER_QT = 0.09290304 / 0.946352946;

const KIND_NAMES: Readonly<Record<(typeof FINISH_KINDS)[number], string>> = {
  filler: 'fairing filler',
  primer: 'primer',
  paint: 'paint',
  varnish: 'varnish',
};
const PLACE_NAMES: Readonly<Record<(typeof FINISH_PLACES)[number], string>> = {
  outside: 'outside',
  inside: 'inside',
  all: 'all over',
};

const plainFinish = (finishes: readonly Finish[]): Finish => ({
  ...{ id: freeProductId(finishes, 'finish'), packMl: 750, price: 0, onHand: 0, where: 'outside' },
  ...(finishes.length === 0
    ? { name: 'A primer', kind: 'primer', coats: 2, covers: 10, fromHours: 12, untilHours: 168 }
    : { name: 'A paint', kind: 'paint', coats: 2, covers: 11, fromHours: 16, untilHours: 96 }),
});

export function Finishes({ project: { epoxy, notation } }: { readonly project: Project }) {
  const dispatch = useAppDispatch();
  const { finishes } = epoxy;
  const put = (label: string, value: readonly Finish[]) =>
    dispatch(edited({ label, edits: [{ path: ['epoxy', 'finishes'], value: [...value] }] }));
  const takeOut = (id: string) =>
    put(
      'Finish taken out',
      finishes.filter((other) => other.id !== id),
    );
  return (
    <Section title="Finishes" aside={finishes.length === 0 ? 'none' : String(finishes.length)}>
      <p className="quiet">
        In the order in which they go on. Wash and dull the epoxy first. Hours at 20 °C or as the tin says; moving air,
        no flame, a respirator when sprayed or sanded.
      </p>
      {finishes.map((finish) => (
        <OneFinish key={finish.id} finish={finish} notation={notation} onTakeOut={() => takeOut(finish.id)} />
      ))}
      <Button
        onClick={() => put('Finish added', [...finishes, plainFinish(finishes)])}
        disabled={finishes.length >= MOST}
      >
        Add a finish
      </Button>
    </Section>
  );
}

type OneProps = { readonly finish: Finish; readonly notation: Notation; readonly onTakeOut: () => void };

function OneFinish({ finish, notation, onTakeOut }: OneProps) {
  const dispatch = useAppDispatch();
  const path = (key: keyof Finish) => ['epoxy', 'finishes', finish.id, key];
  const set = (key: keyof Finish) => (value: EditValue) =>
    dispatch(edited({ label: finish.name, edits: [{ path: path(key), value }] }));
  const field = (key: 'coats' | 'covers' | 'fromHours' | 'untilHours', label: string, unit = 1) => (
    <NumberField
      label={label}
      value={finish[key] / unit}
      onCommit={(value) => set(key)(value * unit)}
      path={path(key)}
      unit={unit}
    />
  );
  return (
    <Box role="group" aria-label={finish.name} className="field-grid" sx={{ mt: 1.5 }}>
      <SoldFields of={['epoxy', 'finishes', finish.id]} sold={finish} notation={notation} onTakeOut={onTakeOut} />
      <SelectField label="What it is" value={finish.kind} names={KIND_NAMES} onChange={set('kind')} />
      <SelectField label="Where it goes" value={finish.where} names={PLACE_NAMES} onChange={set('where')} />
      {field('coats', 'Its coats')}
      {isImperial(notation)
        ? field('covers', 'Covers, ft²/qt', M2_PER_L_OF_FT2_PER_QT)
        : field('covers', 'Covers, m²/l')}
      {field('fromHours', 'Next coat of it from, h')}
      {field('untilHours', 'Next coat of it until, h')}
    </Box>
  );
}

const FILLER_USES = { fillets: 'For fillets', glue: 'For glue' } as const;

export function Fillers({ project: { epoxy, notation } }: { readonly project: Project }) {
  const dispatch = useAppDispatch();
  const unit = mlPerShown(notation);
  return (
    <Section title="Fillers">
      <p className="quiet">Powder is bought by volume: weigh a cup of yours, loose.</p>
      {(Object.keys(FILLER_USES) as (keyof typeof FILLER_USES)[]).map((use) => {
        const filler = epoxy.fillers[use];
        const path = (key: keyof typeof filler) => ['epoxy', 'fillers', use, key];
        const set = (key: keyof typeof filler) => (value: EditValue) =>
          void dispatch(edited({ label: FILLER_USES[use], edits: [{ path: path(key), value }] }));
        const field = (key: 'density' | 'bagMl' | 'price' | 'onHand', label: string, one = 1) => (
          <NumberField
            label={label}
            value={filler[key] / one}
            onCommit={(value) => set(key)(value * one)}
            path={path(key)}
            unit={one}
          />
        );
        return (
          <Box
            key={use}
            role="group"
            aria-label={`Powder ${FILLER_USES[use].toLowerCase()}`}
            className="field-grid"
            sx={{ mt: 1.5 }}
          >
            <NameField label={FILLER_USES[use]} value={filler.name} most={120} onCommit={set('name')} />
            {isImperial(notation)
              ? field('density', 'Loose, oz by weight/fl oz', OZ_PER_FL_OZ)
              : field('density', 'Loose, g/ml')}
            {field('bagMl', `In a bag, ${volumeUnit(notation)}`, unit)}
            {field('price', 'Price of a bag')}
            {field('onHand', 'Bags there')}
          </Box>
        );
      })}
    </Section>
  );
}

/** An ounce in a fluid ounce, in grams a millilitre. */
const OZ_PER_FL_OZ = 28.349523125 / 29.5735295625;

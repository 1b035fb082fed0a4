/** Glues beside epoxy: each with its spread and times, and which joints are glued with it. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { type GLUE_KINDS, type Glue } from '@kalotrope/core/epoxy';
import type { EditValue } from '@kalotrope/core/findings';
import { areaUnit, isImperial, mlPerShown, volumeUnit, type Notation } from '@kalotrope/core/measure';
import type { Project } from '@kalotrope/core/project';
import { NumberField } from '../../controls/NumberField';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { edited } from '../../state/document-slice';
import { useAppDispatch } from '../../state/store';
import { freeProductId, SoldFields } from './SoldFields';

const MOST = 20;
const M2_PER_FT2 = 0.09290304;

type GluedWith = Project['epoxy']['gluedWith'];

const JOINTS: Readonly<Record<keyof GluedWith, string>> = {
  blanks: 'Where sheets join',
  skin: 'Members on the skin',
  layers: 'Layers, scarfs of timber',
  cleats: 'Cleats',
  doublers: 'Doublers',
  edges: 'Framed edges',
};

const KIND_NAMES: Readonly<Record<(typeof GLUE_KINDS)[number], string>> = {
  expanding: 'swells into gaps',
  sealing: 'seals and stays soft',
  instant: 'holds at once',
  cartridge: 'out of a cartridge',
};

/** As a maker of it might say; set by the tin. */
const plainGlue = (glues: readonly Glue[]): Glue => ({
  ...{ id: freeProductId(glues, 'glue'), name: 'Another glue', packMl: 500, price: 0, onHand: 0 },
  ...{ kind: 'cartridge', spread: 200, openMinutes: 20, clampHours: 4, cleanMinutes: 10 },
});

export function OtherGlues({ project: { epoxy, notation } }: { readonly project: Project }) {
  const dispatch = useAppDispatch();
  const { glues, gluedWith } = epoxy;
  const put = (label: string, edits: readonly (readonly [key: string, value: EditValue])[]) =>
    dispatch(edited({ label, edits: edits.map(([key, value]) => ({ path: ['epoxy', key], value })) }));
  const takeOut = (id: string) => {
    // its joints are glued with epoxy again
    const freed = Object.entries(gluedWith).map(([what, of]) => [what, of === id ? '' : of]);
    const rest = glues.filter((glue) => glue.id !== id);
    put('Glue taken out', [
      ['glues', rest],
      ['gluedWith', Object.fromEntries(freed) as GluedWith],
    ]);
  };
  const names = { '': 'epoxy', ...Object.fromEntries(glues.map(({ id, name }) => [id, name])) };
  return (
    <Section title="Other glues" aside={glues.length === 0 ? 'none' : String(glues.length)}>
      <p className="quiet">Beside epoxy. Spread is on one face; the times are its maker’s.</p>
      {glues.map((glue) => (
        <OneGlue key={glue.id} glue={glue} notation={notation} onTakeOut={() => takeOut(glue.id)} />
      ))}
      <Button
        onClick={() => put('Glue added', [['glues', [...glues, plainGlue(glues)]]])}
        disabled={glues.length >= MOST}
      >
        Add a glue
      </Button>
      {glues.length > 0 && (
        <div className="field-grid" role="group" aria-label="Glued with">
          {(Object.keys(JOINTS) as (keyof GluedWith)[]).map((what) => (
            <SelectField
              key={what}
              label={JOINTS[what]}
              value={gluedWith[what] in names ? gluedWith[what] : ''}
              names={names}
              onChange={(id) =>
                dispatch(edited({ label: JOINTS[what], edits: [{ path: ['epoxy', 'gluedWith', what], value: id }] }))
              }
            />
          ))}
        </div>
      )}
    </Section>
  );
}

type OneProps = { readonly glue: Glue; readonly notation: Notation; readonly onTakeOut: () => void };

function OneGlue({ glue, notation, onTakeOut }: OneProps) {
  const dispatch = useAppDispatch();
  const path = (key: keyof Glue) => ['epoxy', 'glues', glue.id, key];
  const set = (key: keyof Glue) => (value: EditValue) =>
    dispatch(edited({ label: glue.name, edits: [{ path: path(key), value }] }));
  const perArea = mlPerShown(notation) / (isImperial(notation) ? M2_PER_FT2 : 1);
  const field = (key: 'spread' | 'openMinutes' | 'clampHours' | 'cleanMinutes', label: string, unit = 1) => (
    <NumberField
      label={label}
      value={glue[key] / unit}
      onCommit={(value) => set(key)(value * unit)}
      path={path(key)}
      unit={unit}
    />
  );
  return (
    <Box role="group" aria-label={glue.name} className="field-grid" sx={{ mt: 1.5 }}>
      <SoldFields of={['epoxy', 'glues', glue.id]} sold={glue} notation={notation} onTakeOut={onTakeOut} />
      <SelectField label="How it holds" value={glue.kind} names={KIND_NAMES} onChange={set('kind')} />
      {field('spread', `Spread, ${volumeUnit(notation)}/${areaUnit(notation)}`, perArea)}
      {field('openMinutes', 'Open for, minutes')}
      {field('clampHours', 'Clamped for, h')}
      {field('cleanMinutes', 'Wiped off within, min')}
    </Box>
  );
}

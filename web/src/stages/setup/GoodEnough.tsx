/** What is wrong with the picked frame: the gap that it makes, against one's own limit, and what is done. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { EditValue } from '@kalotrope/core/findings';
import { freeId, type Frame } from '@kalotrope/core/frames';
import { isImperial, type Notation } from '@kalotrope/core/measure';
import {
  CHOICE_NAMES,
  FAULT_NAMES,
  gapWords,
  isSettled,
  MENDS,
  type Fault,
  type SetupPart,
  type ToldFault,
} from '@kalotrope/core/setup';
import { LengthField } from '../../controls/LengthField';
import { NumberField, numberBetween } from '../../controls/NumberField';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { edited } from '../../state/document-slice';
import { selectNotation } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { GOOD_LABELS, GOOD_SECTION } from './labels';

type Props = { readonly part: SetupPart; readonly frame: Frame; readonly told: readonly ToldFault[] };

/** As much as is found at first sight. */
const FIRST = { metric: 3, imperial: 25.4 / 8 } as const;
const MOST = 200;
const DEGREES = numberBetween(-45, 45);

export function GoodEnough({ part, frame, told }: Props) {
  const dispatch = useAppDispatch();
  const notation = useAppSelector(selectNotation);
  const own = part.faults.filter((fault) => fault.frame === frame.id);
  const open = told.filter((fault) => !isSettled(fault)).length;
  const put = (label: string, faults: readonly Fault[]) =>
    void dispatch(edited({ label, edits: [{ path: ['setup', 'faults'], value: [...faults] }] }));
  const add = () => {
    const id = freeId('fault', part.faults);
    const value = isImperial(notation) ? FIRST.imperial : FIRST.metric;
    const edge = frame.edges[0]?.panel ?? '';
    put('Fault added', [...part.faults, { id, frame: frame.id, edge, kind: 'short', value, choice: 'open' }]);
  };
  return (
    <Section title={GOOD_SECTION} aside={open > 0 ? `${open} open` : undefined}>
      <div className="field-grid">
        {(['fillet', 'glued'] as const).map((key) => (
          <LengthField
            key={key}
            label={GOOD_LABELS[key]}
            mm={part.limits[key]}
            onCommit={(value) =>
              dispatch(edited({ label: GOOD_LABELS[key], edits: [{ path: ['setup', 'limits', key], value }] }))
            }
            path={['setup', 'limits', key]}
          />
        ))}
      </div>
      {own.map((fault) => (
        <OneFault
          key={fault.id}
          {...{ fault, frame, notation }}
          told={told.find(({ id }) => id === fault.id)}
          onTakeOut={() =>
            put(
              'Fault taken out',
              part.faults.filter(({ id }) => id !== fault.id),
            )
          }
        />
      ))}
      <Button onClick={add} disabled={frame.edges.length === 0 || part.faults.length >= MOST}>
        Something is wrong with {frame.name}
      </Button>
    </Section>
  );
}

type OneProps = {
  readonly fault: Fault;
  readonly frame: Frame;
  readonly notation: Notation;
  readonly told: ToldFault | undefined;
  readonly onTakeOut: () => void;
};

function OneFault({ fault, frame, notation, told, onTakeOut }: OneProps) {
  const dispatch = useAppDispatch();
  const set = (key: keyof Fault) => (value: EditValue) =>
    void dispatch(
      edited({
        label: `${frame.name}: ${FAULT_NAMES[fault.kind]}`,
        edits: [{ path: ['setup', 'faults', fault.id, key], value }],
      }),
    );
  const edges = Object.fromEntries(frame.edges.map(({ panel, panelName }) => [panel, panelName]));
  const path = ['setup', 'faults', fault.id, 'value'];
  return (
    <Box role="group" aria-label={`${frame.name}, ${FAULT_NAMES[fault.kind]}`} sx={{ mt: 1.5 }}>
      <div className="field-grid">
        <SelectField label="What is wrong" value={fault.kind} names={FAULT_NAMES} onChange={set('kind')} />
        <SelectField
          label="Against"
          value={fault.edge in edges ? fault.edge : ''}
          names={edges}
          onChange={set('edge')}
        />
        {fault.kind === 'bevel' ? (
          <NumberField label="How much" value={fault.value} onCommit={set('value')} read={DEGREES} path={path} />
        ) : (
          <LengthField label="How much" mm={fault.value} onCommit={set('value')} path={path} />
        )}
        <SelectField label="What is done" value={fault.choice} names={CHOICE_NAMES} onChange={set('choice')} />
      </div>
      {told ? (
        <>
          <Typography variant="body2">{gapWords(told, notation)}</Typography>
          {fault.choice === 'open' && (
            <Typography variant="body2" sx={{ fontWeight: 600 }}>
              {MENDS[told.offered]}
            </Typography>
          )}
        </>
      ) : (
        <Typography variant="body2">That edge is no longer there.</Typography>
      )}
      <Button size="small" onClick={onTakeOut}>
        Take it out
      </Button>
    </Box>
  );
}

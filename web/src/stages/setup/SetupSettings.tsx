/** Which way up, where the tape begins, and the strongback as a thing to build. */
import type { EditValue } from '@kalotrope/core/findings';
import { freeId } from '@kalotrope/core/frames';
import { formatFine, formatRun, formatScantling, unitLabel } from '@kalotrope/core/measure';
import { orderSteps, stockFor, type FloorPlace, type SetupPart, type SetupValue } from '@kalotrope/core/setup';
import { Act } from '../../controls/Act';
import { LengthField } from '../../controls/LengthField';
import { PlainTable } from '../../controls/PlainTable';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { edited } from '../../state/document-slice';
import { selectNotation } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { BACK_LABELS, BACK_SECTION, FROM_NAMES, HOW_LABELS, HOW_SECTION, ORDER_SECTION, WAY_NAMES } from './labels';

export function HowSettings({ part }: { readonly part: SetupPart }) {
  const dispatch = useAppDispatch();
  const set = (key: keyof typeof HOW_LABELS) => (value: EditValue) =>
    void dispatch(edited({ label: HOW_LABELS[key], edits: [{ path: ['setup', key], value }] }));
  const length = (key: 'off' | 'before' | 'tolerance') => (
    <LengthField label={HOW_LABELS[key]} mm={part[key]} onCommit={set(key)} path={['setup', key]} />
  );
  return (
    <Section title={HOW_SECTION} aside={WAY_NAMES[part.way]}>
      <div className="field-grid">
        <SelectField label={HOW_LABELS.way} value={part.way} names={WAY_NAMES} onChange={set('way')} />
        {length('off')}
        <SelectField label={HOW_LABELS.from} value={part.from} names={FROM_NAMES} onChange={set('from')} />
        {length('before')}
        {length('tolerance')}
      </div>
    </Section>
  );
}

const COLUMNS = [
  { name: 'piece' },
  ...['how many', 'breadth', 'depth', 'length', 'ends, °'].map((name) => ({ name, isFigure: true })),
];

/** What holds what, what comes off when, what may come out to be glued. */
export function InThisOrder({ part, value }: { readonly part: SetupPart; readonly value: SetupValue }) {
  const notation = useAppSelector(selectNotation);
  return (
    <Section title={ORDER_SECTION}>
      <ol>
        {orderSteps(value, part, notation).map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
    </Section>
  );
}

/** Where an uneven floor was measured. */
function Floor({ part: { floor, rails } }: { readonly part: SetupPart }) {
  const dispatch = useAppDispatch();
  const put = (label: string, value: EditValue) =>
    void dispatch(edited({ label, edits: [{ path: ['setup', 'floor'], value }] }));
  const add = () => {
    const id = freeId('floor', floor);
    const along = Math.min(MOST_ALONG_MM, Math.max(0, ...floor.map((place) => place.along + rails.legEvery)));
    put('Floor measured', [...floor, { id, along: floor.length === 0 ? 0 : along, below: rails.height }]);
  };
  const field = (place: FloorPlace, key: 'along' | 'below') => (
    <LengthField
      label={FLOOR_LABELS[key]}
      mm={place[key]}
      onCommit={(value) =>
        dispatch(edited({ label: FLOOR_LABELS[key], edits: [{ path: ['setup', 'floor', place.id, key], value }] }))
      }
      path={['setup', 'floor', place.id, key]}
    />
  );
  return (
    <>
      {floor.map((place, k) => (
        <div key={place.id} className="field-grid" role="group" aria-label={`Floor, place ${k + 1}`}>
          {field(place, 'along')}
          {field(place, 'below')}
          <Act
            label="Take it out"
            onAct={() =>
              put(
                'Floor, a place taken out',
                floor.filter(({ id }) => id !== place.id),
              )
            }
          />
        </div>
      ))}
      {floor.length < MOST_PLACES && <Act label="The floor is uneven: measure it" onAct={add} />}
    </>
  );
}

const MOST_PLACES = 40;
const MOST_ALONG_MM = 50_000;
const FLOOR_LABELS = { along: 'From the tape’s mark', below: 'Floor under the line' } as const;

export function BackSettings({ part, value }: { readonly part: SetupPart; readonly value: SetupValue }) {
  const dispatch = useAppDispatch();
  const notation = useAppSelector(selectNotation);
  const set = (key: keyof typeof BACK_LABELS) => (mm: EditValue) =>
    void dispatch(edited({ label: BACK_LABELS[key], edits: [{ path: ['setup', 'rails', key], value: mm }] }));
  return (
    <Section title={BACK_SECTION}>
      <p className="quiet">
        Straight and level before anything stands on it; its own two diagonals equal. Legs stand clear of the frames:
        from the mark at{' '}
        {value.jig.legs
          .map((x) => formatFine(Math.abs(x - (part.from === 'fore' ? value.jig.fromX : value.jig.toX)), notation))
          .join(', ')}{' '}
        {unitLabel(notation)}.
      </p>
      <div className="field-grid">
        {(Object.keys(BACK_LABELS) as (keyof typeof BACK_LABELS)[]).map((key) => (
          <LengthField
            key={key}
            label={BACK_LABELS[key]}
            mm={part.rails[key]}
            onCommit={set(key)}
            path={['setup', 'rails', key]}
          />
        ))}
      </div>
      <Floor part={part} />
      <p className="quiet">
        To buy, with a tenth over:{' '}
        {stockFor(value.jig)
          .map(
            ({ breadthMm, depthMm, metres }) =>
              `${formatRun(metres, notation)} of ` +
              [breadthMm, depthMm].map((mm) => formatScantling(mm, notation)).join(' × '),
          )
          .join(', ')}
        .
      </p>
      <PlainTable
        label={`Pieces of the strongback, in ${unitLabel(notation)}`}
        columns={COLUMNS}
        rows={value.jig.pieces.map(({ name, qty, breadthMm, depthMm, lengthMm, endsDeg }) => ({
          key: name,
          cells: [
            name,
            qty,
            ...[breadthMm, depthMm, lengthMm].map((mm) => formatFine(mm, notation)),
            endsDeg === 0 ? 'square' : endsDeg.toFixed(0),
          ],
        }))}
      />
    </Section>
  );
}

/** What a hanging knee is and what it meets; and its edge along the skin. */
import { boardWords, KNEES_PATH, type FittedKnee, type InsidePlan, type KneePlan } from '@kalotrope/core/fitout';
import { formatDeg, formatFine, formatWithUnit, unitLabel } from '@kalotrope/core/measure';
import { Figure } from '../../../controls/Figure';
import { NameField } from '../../../controls/NameField';
import { PlainTable } from '../../../controls/PlainTable';
import { Section } from '../../../controls/Section';
import { SelectField } from '../../../controls/SelectField';
import { selectNotation } from '../../../state/selectors';
import { useAppSelector } from '../../../state/store';
import { ListLength } from '../ListLength';
import { useListEdit } from '../use-list-edit';

type Props = {
  readonly plan: KneePlan;
  /** Of a boat whose sides differ two. */
  readonly knees: readonly FittedKnee[];
  readonly parts: readonly Pick<InsidePlan, 'id' | 'name'>[];
};

/** The first labels stand over their fields’ edges, clear of the title. */
const UNDER_TITLE = { marginTop: 10 };
const HANDS = { pair: 'on both sides', starboard: 'to starboard', port: 'to port' } as const;
const WAYS = { down: 'down from it', up: 'up from it' } as const;
const LEVEL = 'a level';
const LENGTHS = [
  ['thickness', 'Thickness'],
  ['across', 'Arm across'],
  ['along', 'Arm along the skin'],
  ['nose', 'Ends of its arms'],
  ['hollow', 'Hollowed by'],
] as const;

export function KneeFields({ plan, knees, parts }: Props) {
  const notation = useAppSelector(selectNotation);
  const { set } = useListEdit(KNEES_PATH, plan);
  const names: Readonly<Record<string, string>> = Object.fromEntries([
    [LEVEL, LEVEL],
    ...parts.map(({ id, name }) => [id, name]),
    ...(plan.onPart !== null && parts.every(({ id }) => id !== plan.onPart) ? [[plan.onPart, 'what is gone']] : []),
  ]);
  const length = (label: string, key: 'x' | 'height' | (typeof LENGTHS)[number][0]) => (
    <ListLength key={key} list={KNEES_PATH} plan={plan} label={label} mm={plan[key]} path={[key]} />
  );
  return (
    <>
      <div className="field-grid no-print" style={UNDER_TITLE}>
        <NameField label="Name" value={plan.name} most={60} onCommit={set('its name', 'name')} />
        <SelectField label="On which side" value={plan.hand} names={HANDS} onChange={set('its side', 'hand')} />
        <SelectField
          label="Meets"
          value={plan.onPart ?? LEVEL}
          names={names}
          onChange={(value) => set('what it meets', 'onPart')(value === LEVEL ? null : value)}
        />
        <SelectField label="Goes" value={plan.goes} names={WAYS} onChange={set('which way it goes', 'goes')} />
        {plan.onPart === null && length('Level', 'height')}
        {length('Middle, from the stem', 'x')}
        {LENGTHS.map(([key, label]) => length(label, key))}
      </div>
      {knees
        .filter(({ rows }) => rows.length > 0)
        .map((knee) => (
          <Figures key={knee.id} knee={knee} notation={notation} />
        ))}
    </>
  );
}

type FiguresProps = { readonly knee: FittedKnee; readonly notation: ReturnType<typeof selectNotation> };

const Figures = ({ knee, notation }: FiguresProps) => (
  <>
    <Figure
      name={`Sawn from${knee.id === knee.plan ? '' : `, ${knee.hand}`}`}
      value={boardWords(knee, notation)}
      why="Its grain runs from arm to arm"
    />
    <Figure name="Long" value={formatWithUnit(knee.supports[0]?.lengthMm ?? 0, notation)} />
    <Figure
      name="Through its corner"
      value={formatWithUnit(knee.throatMm, notation)}
      why="From the corner to the nearest of its free edge"
    />
    {knee.cutFor.length > 0 && <Figure name="Notched for" value={knee.cutFor.join(', ')} />}
  </>
);

const COLUMNS = ['up', 'out, fore', 'out, aft', 'bevel'].map((name) => ({ name, isFigure: true }));

export function KneeTable({ knees }: Pick<Props, 'knees'>) {
  const notation = useAppSelector(selectNotation);
  const made = knees.filter(({ rows }) => rows.length > 0);
  if (made.length === 0) return null;
  return (
    <Section title="Against the skin">
      <p className="quiet">
        In {unitLabel(notation)}, from the corner along the skin: how high, and how far out each face of the board lies.
        A bevel is positive where the after face lies inward.
      </p>
      {made.map(({ id, name, rows }) => (
        <PlainTable
          key={id}
          label={`${name}, against the skin`}
          columns={COLUMNS}
          rows={rows.map(({ along, up, fore, aft, bevelDeg }) => ({
            key: String(along),
            cells: [...[up, fore, aft].map((mm) => formatFine(mm, notation)), formatDeg(bevelDeg, 1)],
          }))}
        />
      ))}
    </Section>
  );
}

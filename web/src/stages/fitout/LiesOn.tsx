/** What a part lies on: cleats, bearers, and how much of the sheer comes off. */
import { widestSpan, type Fitted, type InsidePlan, type LandingRow } from '@kalotrope/core/fitout';
import { formatDeg, formatFine, formatWithUnit, unitLabel } from '@kalotrope/core/measure';
import { numberBetween, NumberField } from '../../controls/NumberField';
import { PlainTable } from '../../controls/PlainTable';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { plural } from '../../controls/words';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { InsideLength } from './InsideLength';
import { useInsideEdit } from './use-inside-edit';
import { LANDS_SECTION, YES_NO } from './words';

type Props = {
  readonly plan: InsidePlan;
  readonly parts: readonly Fitted[];
  readonly screws: readonly LandingRow[];
};

const MOST_BEARERS = 30;
const UNDER = [{ name: 'under it' }, { name: 'long', isFigure: true }, { name: 'corner', isFigure: true }];
const SCREWS = [
  { name: 'into' },
  { name: 'in all', isFigure: true },
  { name: 'apart', isFigure: true },
  { name: 'at most', isFigure: true },
];
const OFF = [{ name: 'at' }, { name: 'from the stem', isFigure: true }, { name: 'comes off', isFigure: true }];

export function LiesOn({ plan, parts, screws }: Props) {
  const notation = useAppSelector(selectNotation);
  const { set, pathTo } = useInsideEdit(plan);
  const supports = parts.flatMap((part) => part.supports);
  const strips = supports.filter(({ of }) => of !== 'solid' && of !== 'pad');
  const isOver = plan.fit === 'over';
  const yes = (key: 'atSkin' | 'atFrames', label: string) => (
    <SelectField
      label={label}
      value={plan.cleat[key] ? 'yes' : 'no'}
      names={YES_NO}
      onChange={(value) => set(label.toLowerCase(), 'cleat', key)(value === 'yes')}
    />
  );
  return (
    <Section title={LANDS_SECTION} aside={plural(strips.length, 'strip')}>
      {!plan.isTimber && (
        <p className="quiet">
          A sheet of {formatWithUnit(plan.thickness, notation)} carries a foot over{' '}
          {formatWithUnit(widestSpan(plan.thickness), notation)} between what it lies on.
        </p>
      )}
      <div className="field-grid no-print">
        {!isOver && yes('atSkin', 'Cleats at the skin')}
        {!isOver && yes('atFrames', 'Cleats on frames')}
        <NumberField
          label="Bearers across"
          value={plan.bearers}
          read={numberBetween(0, MOST_BEARERS, true)}
          onCommit={set('its bearers', 'bearers')}
          path={pathTo('bearers')}
        />
        <InsideLength plan={plan} label="Breadth of a cleat" mm={plan.cleat.breadth} path={['cleat', 'breadth']} />
        <InsideLength plan={plan} label="Depth of a cleat" mm={plan.cleat.depth} path={['cleat', 'depth']} />
        <InsideLength plan={plan} label="Screwed down every" mm={plan.screws} path={['screws']} />
      </div>
      {screws.length > 0 && (
        <PlainTable
          label={`Screws, in ${unitLabel(notation)}`}
          columns={SCREWS}
          rows={screws.map(({ into, count, spacingMm, lengthMm }, i) => ({
            key: `${i} ${into}`,
            cells: [into, String(count), formatFine(spacingMm, notation), formatFine(lengthMm, notation)],
          }))}
        />
      )}
      {supports.length > 0 && (
        <PlainTable
          label={`Under it, in ${unitLabel(notation)}`}
          columns={UNDER}
          rows={supports.map(({ id, name, lengthMm, cornerDeg }) => ({
            key: id,
            cells: [
              name,
              formatFine(lengthMm, notation),
              cornerDeg ? `${formatDeg(cornerDeg[0], 0)} to ${formatDeg(cornerDeg[1], 0)}` : 'square',
            ],
          }))}
        />
      )}
      {parts.flatMap((part) => part.sheer).length > 0 && (
        <PlainTable
          label={`Planed off the sheer, in ${unitLabel(notation)}`}
          columns={OFF}
          rows={parts.flatMap((part) =>
            part.sheer.map(({ x, station, offMm }) => ({
              key: `${part.id} ${x}`,
              cells: [
                station === undefined ? 'end' : `station ${station}`,
                formatFine(x, notation),
                offMm >= 0 ? formatFine(offMm, notation) : `short by ${formatFine(-offMm, notation)}`,
              ],
            })),
          )}
        />
      )}
    </Section>
  );
}

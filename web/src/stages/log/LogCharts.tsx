/** What it took, drawn: hours and money against what was planned, epoxy by pots, the shop's warmth at them. */
import { useTheme } from '@mui/material/styles';
import { useMemo } from 'react';
import {
  Bar,
  BarChart,
  CartesianGrid,
  Legend,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { hoursByGroup, moneyWords, type PotEntry, type StandingEntry } from '@kalotrope/core/log';
import { formatMass, gramsPerShown, massUnit, shownTemperature, temperatureUnit } from '@kalotrope/core/measure';
import { hoursWords, type PlanValue } from '@kalotrope/core/plan';
import { shoppingList, wholeOf, type Project } from '@kalotrope/core/project';
import { selectDerived, selectFound } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { moneyRows, potRows } from './chart-rows';

type Props = {
  readonly project: Project;
  readonly entries: readonly StandingEntry[];
  readonly pots: readonly PotEntry[];
  readonly plan: PlanValue;
};

const HOUR = 60;
const CENTS = 100;
/** Sawn wood: what was planned. */
const PLANNED = '#C4975C';
const LETTERS = { fontSize: 12 };
const MARGIN = { top: 4, right: 12, bottom: 0, left: 0 };
const NAMES_PX = 84;

export default function LogCharts({ project, entries, pots, plan }: Props) {
  const derived = useAppSelector(selectDerived);
  const found = useAppSelector(selectFound);
  const list = useMemo(
    () => (derived ? shoppingList(wholeOf(project, derived, found)) : undefined),
    [project, derived, found],
  );
  const { notation } = project;
  const hours = hoursByGroup(entries, plan, project.plan.jobs).map(({ group, planned, logged }) => ({
    ...{ name: group === '' ? 'no job' : group, planned: planned / HOUR, taken: logged / HOUR },
  }));
  const money = moneyRows(entries, list?.groups ?? []);
  const mixed = potRows(pots, plan.jobs);
  const unit = gramsPerShown(notation);
  return (
    <div className="log-charts">
      <Bars
        title="Hours"
        unit="h"
        rows={hours}
        bars={[
          { dataKey: 'planned', name: 'planned', isPlan: true },
          { dataKey: 'taken', name: 'taken' },
        ]}
        words={(value) => hoursWords(value * HOUR)}
      />
      <Bars
        title="Money"
        unit="in your own money"
        rows={money}
        bars={[
          { dataKey: 'planned', name: 'on the list', isPlan: true },
          { dataKey: 'taken', name: 'paid' },
        ]}
        words={(value) => moneyWords(Math.round(value * CENTS))}
      />
      <Bars
        title="Epoxy"
        unit={massUnit(notation)}
        rows={mixed.map(({ name, used, thrown }) => ({ name, used: used / unit, thrown: thrown / unit }))}
        bars={[
          { dataKey: 'used', name: 'used', stackId: 'pot' },
          { dataKey: 'thrown', name: 'thrown away', stackId: 'pot', isPlan: true },
        ]}
        words={(value) => formatMass(value * unit, notation)}
      />
      <Bars
        title="Coldest pot of each"
        unit={temperatureUnit(notation)}
        rows={mixed.map(({ name, coldestC }) => ({ name, coldest: shownTemperature(coldestC, notation) }))}
        bars={[{ dataKey: 'coldest', name: 'in the shop' }]}
        words={(value) => `${value} ${temperatureUnit(notation)}`}
        least={shownTemperature(project.epoxy.resin.leastC, notation)}
      />
    </div>
  );
}

type BarsProps = {
  readonly title: string;
  readonly unit: string;
  readonly rows: readonly ({ readonly name: string } & Readonly<Record<string, number | string>>)[];
  /** `isPlan`: in the pale colour. */
  readonly bars: readonly {
    readonly dataKey: string;
    readonly name: string;
    readonly stackId?: string;
    readonly isPlan?: true;
  }[];
  /** Of a value, where it is pointed at. */
  readonly words: (value: number) => string;
  /** What it must not be under. */
  readonly least?: number;
};

/** A chart of bars that lie, a row a name; nothing where there is no row. */
function Bars({ title, unit, rows, bars, words, least }: BarsProps) {
  const { palette } = useTheme();
  if (rows.length === 0) return null;
  const [ink, tick] = [{ color: palette.text.primary }, { ...LETTERS, fill: palette.text.secondary }];
  return (
    <figure aria-label={`${title}, drawn`}>
      <figcaption>
        {title} <span className="quiet">{unit}</span>
      </figcaption>
      <ResponsiveContainer width="100%" height={rows.length * ROW_PX + AROUND_PX}>
        <BarChart data={[...rows]} layout="vertical" margin={MARGIN} barGap={1}>
          <CartesianGrid horizontal={false} strokeOpacity={0.4} />
          <XAxis type="number" tick={tick} />
          <YAxis type="category" dataKey="name" width={NAMES_PX} tick={tick} interval={0} />
          <Tooltip
            contentStyle={{ background: palette.background.paper, ...ink }}
            itemStyle={ink}
            separator=": "
            formatter={(value) => words(Number(value))}
          />
          {/* in ink: a pale colour is told by its square */}
          <Legend wrapperStyle={LETTERS} formatter={(name) => <span style={ink}>{name}</span>} />
          {bars.map(({ isPlan, ...bar }) => (
            <Bar key={bar.dataKey} {...bar} fill={isPlan ? PLANNED : palette.primary.main} isAnimationActive={false} />
          ))}
          {least !== undefined && <ReferenceLine x={least} stroke={palette.error.main} strokeDasharray="4 3" />}
        </BarChart>
      </ResponsiveContainer>
    </figure>
  );
}

const ROW_PX = 30;
const AROUND_PX = 66;

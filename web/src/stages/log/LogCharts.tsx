/** What it took, drawn: hours and money against what was planned, epoxy by pots, the shop's warmth at them. */
import { useTheme } from '@mui/material/styles';
import { useMemo, type ReactElement } from 'react';
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
  const { palette } = useTheme();
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
  const least = project.epoxy.resin.leastC;
  const inHours = (value: unknown) => hoursWords(Number(value) * HOUR);
  const inMoney = (value: unknown) => moneyWords(Math.round(Number(value) * CENTS));
  // in ink: a pale colour is told by its square
  const legend = (
    <Legend wrapperStyle={LETTERS} formatter={(name) => <span style={{ color: palette.text.primary }}>{name}</span>} />
  );
  const tip = {
    contentStyle: { background: palette.background.paper, color: palette.text.primary },
    itemStyle: { color: palette.text.primary },
  };
  const twoBars = (
    <>
      <Bar dataKey="planned" name="planned" fill={PLANNED} isAnimationActive={false} />
      <Bar dataKey="taken" name="taken" fill={palette.primary.main} isAnimationActive={false} />
    </>
  );
  return (
    <div className="log-charts">
      {hours.length > 0 && (
        <Chart title="Hours" rows={hours.length} unit="h">
          <BarChart data={hours} layout="vertical" margin={MARGIN} barGap={1}>
            {axes('h', palette.text.secondary)}
            <Tooltip {...tip} formatter={inHours} />
            {legend}
            {twoBars}
          </BarChart>
        </Chart>
      )}
      {money.length > 0 && (
        <Chart title="Money" rows={money.length} unit="in your own money">
          <BarChart data={money} layout="vertical" margin={MARGIN} barGap={1}>
            {axes('', palette.text.secondary)}
            <Tooltip {...tip} formatter={inMoney} />
            {legend}
            <Bar dataKey="planned" name="on the list" fill={PLANNED} isAnimationActive={false} />
            <Bar dataKey="taken" name="paid" fill={palette.primary.main} isAnimationActive={false} />
          </BarChart>
        </Chart>
      )}
      {mixed.length > 0 && (
        <Chart title="Epoxy" rows={mixed.length} unit={massUnit(notation)}>
          <BarChart
            data={mixed.map((row) => ({ ...row, used: row.used / unit, thrown: row.thrown / unit }))}
            layout="vertical"
            margin={MARGIN}
          >
            {axes('', palette.text.secondary)}
            <Tooltip {...tip} formatter={(value) => formatMass(Number(value) * unit, notation)} />
            {legend}
            <Bar dataKey="used" name="used" stackId="pot" fill={palette.primary.main} isAnimationActive={false} />
            <Bar dataKey="thrown" name="thrown away" stackId="pot" fill={PLANNED} isAnimationActive={false} />
          </BarChart>
        </Chart>
      )}
      {mixed.length > 0 && (
        <Chart title="Coldest pot of each" rows={mixed.length} unit={temperatureUnit(notation)}>
          <BarChart
            data={mixed.map((row) => ({ ...row, coldest: shownTemperature(row.coldestC, notation) }))}
            layout="vertical"
            margin={MARGIN}
          >
            {axes('', palette.text.secondary)}
            <Tooltip {...tip} formatter={(value) => `${Number(value)} ${temperatureUnit(notation)}`} />
            {legend}
            <Bar dataKey="coldest" name="in the shop" fill={palette.primary.main} isAnimationActive={false} />
            <ReferenceLine x={shownTemperature(least, notation)} stroke={palette.error.main} strokeDasharray="4 3" />
          </BarChart>
        </Chart>
      )}
    </div>
  );
}

const axes = (unit: string, colour: string) => (
  <>
    <CartesianGrid horizontal={false} strokeOpacity={0.4} />
    <XAxis type="number" unit={unit === '' ? '' : ` ${unit}`} tick={{ ...LETTERS, fill: colour }} />
    <YAxis type="category" dataKey="name" width={NAMES_PX} tick={{ ...LETTERS, fill: colour }} interval={0} />
  </>
);

const ROW_PX = 30;
const AROUND_PX = 66;

type ChartProps = {
  readonly title: string;
  readonly unit: string;
  readonly rows: number;
  readonly children: ReactElement;
};

function Chart({ title, unit, rows, children }: ChartProps) {
  return (
    <figure aria-label={`${title}, drawn`}>
      <figcaption>
        {title} <span className="quiet">{unit}</span>
      </figcaption>
      <ResponsiveContainer width="100%" height={rows * ROW_PX + AROUND_PX}>
        {children}
      </ResponsiveContainer>
    </figure>
  );
}

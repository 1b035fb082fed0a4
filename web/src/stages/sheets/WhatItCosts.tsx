/** Sheets to buy against those that are there, what they cost, and where the wood goes; beside another layout. */
import { useMemo, useState } from 'react';
import { formatArea, formatShare } from '@kalotrope/core/measure';
import { panelsToCut } from '@kalotrope/core/setup';
import { costsOf, whereItGoes, type Costs, type WhereItGoes } from '@kalotrope/core/sheets';
import type { Derived, Project } from '@kalotrope/core/project';
import { Act } from '../../controls/Act';
import { Figure } from '../../controls/Figure';
import { PlainTable } from '../../controls/PlainTable';
import { Section } from '../../controls/Section';
import { plural } from '../../controls/words';
import { selectDerived, selectFound } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { keepCosts, keptCosts, type KeptCosts } from './kept-costs';

const CAUSES: readonly (readonly [keyof WhereItGoes, string])[] = [
  ['parts', 'in the boat'],
  ['laps', 'double at joints'],
  ['proud', 'trimmed off'],
  ['gap', 'gaps for the cut, about'],
  ['offcut', 'largest offcuts'],
  ['shape', 'between the shapes'],
];

export function WhatItCosts({ project }: { readonly project: Project }) {
  const derived = useAppSelector(selectDerived);
  const found = useAppSelector(selectFound);
  if (!derived) return null;
  const { batches } = derived.sheets.value;
  const now = costsOf({ batches, layouts: found.sheets ?? [] }, project.sheets.stock);
  return (
    <Section title="What it costs" aside={toBuyWords(now)}>
      {now.bought.map(({ id, name, used, there, toBuy, cost }) => (
        <Figure
          key={id}
          name={name === '' ? id : name}
          value={[
            `${used} used`,
            ...(there > 0 ? [`${there} there`] : []),
            `${toBuy} to buy`,
            ...(cost > 0 ? [money(cost)] : []),
          ].join(', ')}
        />
      ))}
      <Figure
        name="Price of what is to be bought"
        value={priceWords(now)}
        why="In your own money, as typed in the stock"
      />
      <WhereItAllGoes now={now} project={project} derived={derived} found={found} />
    </Section>
  );
}

const money = (amount: number): string => amount.toFixed(2);

const countOf = ({ bought }: Costs, key: 'used' | 'toBuy'): number => bought.reduce((sum, one) => sum + one[key], 0);

const toBuyWords = (costs: Costs): string => `${plural(countOf(costs, 'toBuy'), 'sheet')} to buy`;

const priceWords = ({ cost, unpriced }: Costs): string => {
  if (unpriced === 0) return money(cost);
  return cost === 0 ? 'no price in the stock' : `${money(cost)}, and ${plural(unpriced, 'sheet')} without a price`;
};

type AllProps = {
  readonly now: Costs;
  readonly project: Project;
  readonly derived: Derived;
  readonly found: ReturnType<typeof selectFound>;
};

/** By cause, in area and as a share of the sheets; beside what was kept to compare with. */
function WhereItAllGoes({ now, project, derived, found }: AllProps) {
  const area = useMemo(() => {
    const { transoms } = derived.panels.value;
    const panels = panelsToCut({ panels: derived.panels.value, setup: derived.setup.value });
    const { batches, parts } = derived.sheets.value;
    return whereItGoes({
      ...{ batches, parts, panels, transoms, layouts: found.sheets ?? [] },
      ...{ jointed: derived.joints.value, frames: derived.frames.value.frames },
    });
  }, [derived, found]);
  const [kept, setKept] = useState<KeptCosts | null>(() => keptCosts(project.id));
  const keep = (costs: Costs | null) => {
    const value = costs && { sheets: countOf(costs, 'used'), price: priceWords(costs), area };
    keepCosts(project.id, value);
    setKept(value);
  };
  const share = (of: WhereItGoes, key: keyof WhereItGoes) => formatShare(of.sheets > 0 ? of[key] / of.sheets : 0);
  const head = kept
    ? [
        { name: 'now', isFigure: true },
        { name: 'kept', isFigure: true },
      ]
    : [];
  const columns = [
    { name: 'where the wood goes' },
    ...(kept
      ? head
      : [
          { name: 'area', isFigure: true },
          { name: 'share', isFigure: true },
        ]),
  ];
  const rows = CAUSES.map(([key, words]) => ({
    key,
    cells: kept
      ? [words, share(area, key), share(kept.area, key)]
      : [words, formatArea(area[key] / 1e6, project.notation), share(area, key)],
  }));
  const totals = kept
    ? [
        { key: 'sheets', cells: ['sheets', String(countOf(now, 'used')), String(kept.sheets)] },
        { key: 'price', cells: ['to be bought for', priceWords(now), kept.price] },
      ]
    : [];
  return (
    <>
      <PlainTable label="Where the wood goes" columns={columns} rows={[...totals, ...rows]} />
      <div className="acts">
        <Act label={kept ? 'Keep this one instead' : 'Keep it to compare'} onAct={() => keep(now)} />
        {kept && <Act label="Stop comparing" onAct={() => keep(null)} />}
      </div>
    </>
  );
}

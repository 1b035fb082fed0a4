/** What to carry home from the shop: packs, filler, tapes by width, cloth off the roll. */
import type { ReactNode } from 'react';
import { clothMetres, formatWidth, type LaidCloth, type Takeoff } from '@kalotrope/core/epoxy';
import {
  formatArea,
  formatMass,
  formatRunToBuy,
  formatShare,
  formatVolume,
  formatWithUnit,
  type Notation,
} from '@kalotrope/core/measure';
import type { Project } from '@kalotrope/core/project';
import { PlainTable } from '../../controls/PlainTable';

type Props = {
  readonly takeoff: Takeoff;
  readonly project: Project;
  readonly cloth: LaidCloth | undefined;
};
type Line = readonly [what: string, howMuch: string, why: ReactNode];

const COLUMNS = [{ name: 'to buy' }, { name: 'how much', isFigure: true }, { name: 'for' }] as const;

export function BuyTable({ takeoff, project, cloth }: Props) {
  const rows: readonly Line[] = [...packLines(takeoff, project.notation), ...glassLines(takeoff, project, cloth)];
  return (
    <div style={{ maxWidth: 860, marginBottom: 24 }}>
      <PlainTable
        label="What to buy"
        columns={COLUMNS}
        rows={rows.map((cells) => ({ key: `${cells[0]} ${cells[1]}`, cells }))}
      />
    </div>
  );
}

function packLines({ purchase, plan, fillers }: Takeoff, notation: Notation): Line[] {
  const { needed, bought, cost, isUnpriced, isProven, left } = purchase;
  const mixed = plan.totals.a + plan.totals.b + plan.totals.filler;
  const wanted =
    `${formatVolume(needed.aMl, notation)} of resin and ${formatVolume(needed.bMl, notation)} of hardener; ` +
    `of ${formatMass(mixed, notation)} mixed ${formatMass(plan.totals.waste, notation)} are lost`;
  const over = `${formatVolume(left.aMl, notation)} and ${formatVolume(left.bMl, notation)} left over`;
  const price = cost === 0 ? '' : `${cost.toFixed(2)}${isUnpriced ? ' and what has no price' : ''}, `;
  const packs = bought.map(({ name, qty }, k): Line => [
    name === '' ? 'Pack without a name' : name,
    String(qty),
    k === 0 ? `${price}${isProven ? 'the least that it can cost' : 'no cheaper way found'}; ${over}` : '',
  ]);
  const mixing: Line = ['Epoxy, both parts', formatMass(plan.totals.a + plan.totals.b, notation), wanted];
  const powder = fillers.map(({ use, name, grams, ml, bags }): Line => [
    `Filler for ${use}: ${name.toLowerCase()}`,
    formatMass(grams, notation),
    `${formatVolume(ml, notation)} of it loose: ${bags === 1 ? 'one bag' : `${bags} bags`}`,
  ]);
  return [mixing, ...packs, ...powder];
}

function glassLines({ glass, lines }: Takeoff, { epoxy, notation }: Project, laid: LaidCloth | undefined): Line[] {
  const clothM = clothMetres(glass.clothM, laid);
  const byRule = laid ? '' : ', by rule';
  const cloth = lines
    .filter(({ group }) => group === 'sheathing' || group === 'flat')
    .reduce((sum, { clothM2 }) => sum + clothM2, 0);
  const isCut = epoxy.glass.tapeFrom === 'cloth';
  return [
    ...glass.tapes.map(({ widthMm, lengthM, keyedMm }): Line => [
      `Tape, ${epoxy.glass.tapeKind}, ${formatWidth(widthMm, notation)}`,
      formatRunToBuy(lengthM, notation),
      `all layers of that width; key the surface ${formatWidth(keyedMm, notation)} wide`,
    ]),
    ...(isCut && glass.tapeClothM > 0
      ? [
          [
            `Cloth to cut them from, ${epoxy.glass.tapeKind}`,
            formatRunToBuy(glass.tapeClothM, notation),
            `off a roll ${formatWithUnit(epoxy.glass.clothWidth, notation)} wide, cut aslant`,
          ] as const,
        ]
      : []),
    ...(clothM > 0
      ? [
          [
            `Cloth, ${epoxy.glass.clothKind}`,
            formatRunToBuy(clothM, notation),
            `off a roll ${formatWithUnit(epoxy.glass.clothWidth, notation)} wide; ${formatArea(cloth, notation)} ` +
              `are covered (${formatShare(share(cloth, clothM, epoxy.glass.clothWidth))} of it)${byRule}`,
          ] as const,
        ]
      : []),
    ...(glass.peelPlyM2 > 0
      ? [['Peel ply', formatArea(glass.peelPlyM2, notation), 'over the last layer of tape and cloth'] as const]
      : []),
    ...(glass.filmM2 > 0
      ? [['Film with holes', formatArea(glass.filmM2, notation), 'over the peel ply'] as const]
      : []),
  ];
}

const share = (areaM2: number, lengthM: number, widthMm: number): number => areaM2 / ((lengthM * widthMm) / 1000);

/** Other glues and finishes: what is needed of each, where, and the coats in their order. */
import { fromWords, type OtherLine, type Takeoff } from '@kalotrope/core/epoxy';
import { formatVolume } from '@kalotrope/core/measure';
import type { Project } from '@kalotrope/core/project';
import Typography from '@mui/material/Typography';
import { PlainTable } from '../../controls/PlainTable';

type Props = { readonly takeoff: Takeoff; readonly project: Project };

const COLUMNS = [
  { name: 'of' },
  { name: 'for' },
  { name: 'counted from' },
  { name: 'how much', isFigure: true },
] as const;

export function OthersTable({ takeoff: { others, products }, project: { epoxy, notation } }: Props) {
  if (others.length === 0) return null;
  const nameOf = ({ group, product }: OtherLine) =>
    products.find((one) => one.id === product && one.group === group)?.name ?? '';
  return (
    <div style={{ maxWidth: 860, marginTop: 24 }}>
      <Typography variant="h2">Other glues and finishes</Typography>
      <PlainTable
        label="Other glues and finishes"
        columns={COLUMNS}
        rows={others.map((line, i) => ({
          key: i,
          cells: [
            nameOf(line),
            line.item,
            `${fromWords(line.from, notation)}${timesOf(line, epoxy)}`,
            formatVolume(line.ml, notation),
          ],
        }))}
      />
      <ul className="quiet">
        {products.map(({ id, group, name, ml, packs, onHand }) => (
          <li key={`${group} ${id}`}>
            {name}: {packsWords(packs, onHand)}, {formatVolume(ml, notation)} in all
          </li>
        ))}
      </ul>
    </div>
  );
}

const packsWords = (packs: number, onHand: number): string =>
  `${packs === 1 ? 'one pack' : `${packs} packs`}${onHand > 0 ? `, ${onHand} of them there` : ''}`;

/** What a glue allows, where the line is of a glue. */
function timesOf({ group, product }: OtherLine, { glues }: Project['epoxy']): string {
  const glue = group === 'glues' ? glues.find(({ id }) => id === product) : undefined;
  return glue
    ? `; closed within ${glue.openMinutes} min, wiped off within ${glue.cleanMinutes}, clamped ${glue.clampHours} h`
    : '';
}

/** The lengths of cloth on their roll, as they are cut from it. */
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import { formatRunToBuy, formatWithUnit } from '@kalotrope/core/measure';
import type { Project } from '@kalotrope/core/project';
import { PlainTable } from '../../controls/PlainTable';
import { COLOURS } from '../../drawing/colours';
import { boxAround, pathOf } from '../../drawing/DrawingSurface';
import type { Cloth } from './use-cloth';

type Props = { readonly cloth: Cloth; readonly project: Project };

const LACKS: Readonly<Record<Cloth['lacks'], string>> = {
  none: '',
  bare: 'Nothing is sheathed: no cloth to cut.',
  widths: 'A panel would take more than 12 widths of this roll: none is laid out. Expected a wider roll, or less lap.',
  looking: 'The cloth is being laid out on its roll.',
  time: 'The cloth could not be laid out in time: it is counted by rule, widths side by side.',
};

const COLUMNS = [
  { name: '' },
  { name: 'cloth for' },
  { name: 'from the end', isFigure: true },
  { name: 'to', isFigure: true },
] as const;

export function RollDrawing({ cloth: { laid, lacks }, project: { epoxy, notation } }: Props) {
  const c = COLOURS[useTheme().palette.mode];
  const isWide = useMediaQuery(useTheme().breakpoints.up('md'));
  if (!laid)
    return (
      <Typography variant="body2" color="text.secondary" sx={{ p: 2 }}>
        {LACKS[lacks]}
      </Typography>
    );
  const { rollMm, cuts } = laid;
  const high = epoxy.glass.clothWidth;
  const margin = rollMm / 100;
  const letters = rollMm / (isWide ? 55 : 26);
  const box = [-margin, -high - margin, rollMm + 2 * margin, high + 2 * margin];
  return (
    <Box sx={{ pb: 1 }}>
      <svg
        viewBox={box.map((n) => n.toFixed(1)).join(' ')}
        width="100%"
        style={{ maxHeight: 300, display: 'block' }}
        role="img"
        aria-label={`The roll, ${cuts.length} lengths to cut from it`}
      >
        <rect x={0} y={-high} width={rollMm} height={high} fill="none" stroke={c.quiet} strokeWidth={rollMm / 900} />
        {cuts.map(({ id, outline }, k) => {
          const { minX, minY, maxX, maxY } = boxAround(outline);
          return (
            <g key={id}>
              <path
                d={pathOf(outline, true)}
                fill={c.main}
                fillOpacity={0.15}
                stroke={c.ink}
                strokeWidth={rollMm / 900}
              />
              <text
                x={(minX + maxX) / 2}
                y={-(minY + maxY) / 2 + letters / 3}
                fontSize={letters}
                fill={c.ink}
                textAnchor="middle"
              >
                {k + 1}
              </text>
            </g>
          );
        })}
      </svg>
      <Typography variant="body2" color="text.secondary" sx={{ px: 1 }}>
        {`${formatRunToBuy(rollMm / 1000, notation)} off a roll ${formatWithUnit(high, notation)} wide, ` +
          (epoxy.glass.trim > 0
            ? `cut ${formatWithUnit(epoxy.glass.trim, notation)} over the edge all round.`
            : 'cut to the edge.')}
      </Typography>
      <PlainTable
        label="Cloth to cut"
        columns={COLUMNS}
        rows={cuts.map(({ id, name, outline }, k) => {
          const { minX, maxX } = boxAround(outline);
          return {
            key: id,
            cells: [k + 1, name, ...[minX, maxX].map((mm) => formatWithUnit(Math.max(0, mm), notation))],
          };
        })}
      />
    </Box>
  );
}

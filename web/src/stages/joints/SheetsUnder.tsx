/** The sheets that make a panel, a bar each under its piece: what the piece takes of its length, and what is left. */
import { useTheme } from '@mui/material/styles';
import { sheetForSkin } from '@kalotrope/core/joints';
import { formatWithUnit } from '@kalotrope/core/measure';
import { thicknessOf, type Panel } from '@kalotrope/core/panels';
import { selectProject } from '../../state/selectors';
import { useAppSelector } from '../../state/store';

type Props = {
  readonly pieces: readonly { readonly id: string; readonly from: number; readonly to: number }[];
  /** The panel, or the layer, that they make. */
  readonly of: Pick<Panel, 'layer' | 'own'>;
  /** Upper edge of the first bar, up is plus. */
  readonly top: number;
  readonly px: number;
};

const BAR_PX = 13;

export function SheetsUnder({ pieces, of, top, px }: Props) {
  const { palette } = useTheme();
  const project = useAppSelector(selectProject);
  if (!project) return null;
  const { width, margin } = sheetForSkin(project.sheets, thicknessOf(of, project.panels.thickness));
  const usable = width - 2 * margin;
  return (
    <g>
      {pieces.map(({ id, from, to }, k) => {
        // one bar above the other where they lap
        const y = -top + (k % 2) * (BAR_PX + 3) * px;
        // what is left over is drawn towards the boat's middle, where there is room for it
        const isLast = k > 0 && k === pieces.length - 1;
        const [left, right] = isLast ? [to - usable, to] : [from, from + usable];
        return (
          <g key={id} aria-hidden="true">
            <rect
              x={Math.min(left, from)}
              y={y}
              width={Math.max(right, to) - Math.min(left, from)}
              height={BAR_PX * px}
              stroke={palette.text.secondary}
              strokeWidth={px}
              strokeDasharray={`${3 * px} ${3 * px}`}
            />
            <rect x={from} y={y} width={to - from} height={BAR_PX * px} fill={palette.text.secondary} opacity={0.16} />
            <text
              x={(from + to) / 2}
              y={y + 10.5 * px}
              fontSize={11.5 * px}
              textAnchor="middle"
              fill={palette.text.primary}
            >
              {formatWithUnit(to - from, project.notation)} of {formatWithUnit(usable, project.notation)}
            </text>
          </g>
        );
      })}
    </g>
  );
}

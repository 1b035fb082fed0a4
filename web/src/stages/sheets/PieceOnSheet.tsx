/** A piece on its sheet: its shape, its name, and the pin of one that stays. */
import { useTheme } from '@mui/material/styles';
import { memo, type ComponentProps } from 'react';
import type { Region } from '@kalotrope/core/geometry';
import { PlyShape } from '../../drawing/Ply';
import { LETTER_WIDE, NAME_PX, placeOfName } from './place-of-name';

type Props = {
  readonly name: string;
  readonly region: Region;
  readonly px: number;
  readonly isPicked: boolean;
  readonly isPinned: boolean;
  /** What a pointer and the keys do to it. */
  readonly hold: ComponentProps<'g'>;
};

export function PieceOnSheet({ name, region, px, isPicked, isPinned, hold }: Props) {
  return (
    <g
      tabIndex={0}
      data-grip
      role="button"
      aria-label={isPinned ? `${name}, pinned` : name}
      aria-pressed={isPicked}
      style={{ cursor: 'move', touchAction: 'none' }}
      {...hold}
    >
      <PlyShape outline={region.outline} holes={region.holes} px={px} label={name} isPicked={isPicked} />
      <PieceName name={name} region={region} px={px} />
      {isPinned && <Pin region={region} px={px} />}
    </g>
  );
}

type NameProps = { readonly name: string; readonly region: Region; readonly px: number };

/** Along the piece or up it, on its wood; one too small for its name is shown in the list when it is picked. */
const PieceName = memo(function PieceName({ name, region, px }: NameProps) {
  const { palette } = useTheme();
  const place = placeOfName(region, { wide: LETTER_WIDE * NAME_PX * px * name.length, high: NAME_PX * px });
  if (!place) return null;
  const [x, y] = [place.at[0], -place.at[1]];
  return (
    <text
      x={x}
      y={y}
      transform={place.isAlong ? undefined : `rotate(-90 ${x} ${y})`}
      fontSize={NAME_PX * px}
      textAnchor="middle"
      fill={palette.text.primary}
      stroke={palette.background.paper}
      strokeWidth={3 * px}
      paintOrder="stroke"
      pointerEvents="none"
    >
      {name}
    </text>
  );
});

const PIN_PX = 9;

/** A nail's head from above, on the wood: the cross is what the hammer left. */
function Pin({ region, px }: { readonly region: Region; readonly px: number }) {
  const { palette } = useTheme();
  const place = placeOfName(region, { wide: 2 * PIN_PX * px, high: 2 * PIN_PX * px });
  if (!place) return null;
  const [x, y] = [place.at[0], -place.at[1] + PIN_PX * px * 1.4];
  const r = (PIN_PX / 2) * px;
  return (
    <g pointerEvents="none" stroke={palette.primary.main} strokeWidth={1.6 * px}>
      <circle cx={x} cy={y} r={r} fill={palette.background.paper} />
      <path d={`M${x - r} ${y}H${x + r}M${x} ${y - r}V${y + r}`} />
    </g>
  );
}

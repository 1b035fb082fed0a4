/** A block from its side: its straight face below, its thicker edge cut, the thinner one drawn on it. */
import { useTheme } from '@mui/material/styles';
import { profileOf, type FittedBlock } from '@kalotrope/core/fitout';
import type { ReactNode } from 'react';
import { Overall } from '../../../drawing/Dimension';
import { boxAround, DrawingSurface, pathOf } from '../../../drawing/DrawingSurface';
import { GrainPattern, PlyShape } from '../../../drawing/Ply';

type Props = { readonly block: FittedBlock; readonly corner: ReactNode };

export function BlockDrawing({ block, corner }: Props) {
  const { palette } = useTheme();
  const { cut, mark } = profileOf(block);
  const box = boxAround(cut);
  return (
    <DrawingSurface label={`${block.name}, from its side`} of={block.name} bounds={box} corner={corner}>
      {({ px }) => (
        <>
          <GrainPattern px={px} />
          <g fill="none">
            <PlyShape outline={cut} px={px} label={block.name} />
            <path
              d={pathOf(mark)}
              stroke={palette.text.secondary}
              strokeWidth={px}
              strokeDasharray={`${6 * px} ${4 * px}`}
            />
            <Overall box={box} px={px} />
          </g>
          <text x={box.minX} y={-box.maxY - 14 * px} fontSize={15 * px} fontWeight={600} fill={palette.text.primary}>
            From its side; the straight face below
          </text>
        </>
      )}
    </DrawingSurface>
  );
}

/** An outer stem as it lies on its board, and the sharp edge of the sides that is planed off. */
import { useTheme } from '@mui/material/styles';
import { stemOnBoard, type FittedStem } from '@kalotrope/core/fitout';
import type { ReactNode } from 'react';
import { Overall } from '../../../drawing/Dimension';
import { boxAround, DrawingSurface, pathOf } from '../../../drawing/DrawingSurface';
import { GrainPattern, PlyShape } from '../../../drawing/Ply';

type Props = { readonly stem: FittedStem; readonly corner: ReactNode };

export function StemDrawing({ stem, corner }: Props) {
  const { palette } = useTheme();
  const { cut, edge } = stemOnBoard(stem);
  const box = boxAround([...cut, ...edge]);
  return (
    <DrawingSurface label={`${stem.name}, from its side`} of={stem.name} bounds={box} corner={corner}>
      {({ px }) => (
        <>
          <GrainPattern px={px} />
          <g fill="none">
            <PlyShape outline={cut} px={px} label={stem.name} />
            <path
              d={pathOf(edge)}
              stroke={palette.text.secondary}
              strokeWidth={px}
              strokeDasharray={`${6 * px} ${4 * px}`}
            />
            <Overall box={boxAround(cut)} px={px} />
          </g>
          <text x={box.minX} y={-box.maxY - 14 * px} fontSize={15 * px} fontWeight={600} fill={palette.text.primary}>
            From its side; its upper end is left
          </text>
        </>
      )}
    </DrawingSurface>
  );
}

import { useTheme } from '@mui/material/styles';
import { useMemo, type ReactNode } from 'react';
import { faceWord, girderPieces, type Girder } from '@kalotrope/core/frames';
import { formatWithUnit } from '@kalotrope/core/measure';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { Dimension } from '../../drawing/Dimension';
import { boxAround, DrawingSurface } from '../../drawing/DrawingSurface';
import { GrainPattern, PlyShape } from '../../drawing/Ply';

type Props = { readonly girder: Girder; readonly corner: ReactNode };

const DIMENSION_PX = 26;

/** A girder's pieces where they stand along the boat, in true shape, as seen from its inner face. */
export function GirderDrawing({ girder, corner }: Props) {
  const { palette } = useTheme();
  const notation = useAppSelector(selectNotation);
  const pieces = useMemo(() => girderPieces(girder), [girder]);
  const box = useMemo(() => boxAround(pieces.flatMap(({ region }) => region.outline)), [pieces]);
  return (
    <DrawingSurface label={girder.name} of={girder.id} bounds={box} corner={corner}>
      {({ px }) => (
        <>
          <GrainPattern px={px} />
          <g fill="none">
            {pieces.map(({ id, name, region }) => (
              <PlyShape key={id} outline={region.outline} holes={region.holes} px={px} label={name} />
            ))}
            <text x={box.minX} y={-box.maxY - 14 * px} fontSize={15 * px} fontWeight={600} fill={palette.text.primary}>
              {faceWord(girder)} face; forward is {girder.hand === 'port' ? 'right' : 'left'}
            </text>
            <Dimension
              from={[box.minX, box.minY - DIMENSION_PX * px]}
              to={[box.maxX, box.minY - DIMENSION_PX * px]}
              text={formatWithUnit(box.maxX - box.minX, notation)}
              px={px}
            />
            <Dimension
              from={[box.minX - 16 * px, box.minY]}
              to={[box.minX - 16 * px, box.maxY]}
              text={formatWithUnit(box.maxY - box.minY, notation)}
              px={px}
            />
          </g>
        </>
      )}
    </DrawingSurface>
  );
}

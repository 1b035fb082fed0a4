import { useTheme } from '@mui/material/styles';
import { useMemo, type ReactNode } from 'react';
import { faceWord, girderPieces, type Girder } from '@kalotrope/core/frames';
import { Overall } from '../../drawing/Dimension';
import { boxAround, DrawingSurface } from '../../drawing/DrawingSurface';
import { GrainPattern, PlyShape } from '../../drawing/Ply';

type Props = { readonly girder: Girder; readonly corner: ReactNode };

/** A girder's pieces where they stand along the boat, in true shape, as seen from its inner face. */
export function GirderDrawing({ girder, corner }: Props) {
  const { palette } = useTheme();
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
            <Overall box={box} px={px} />
          </g>
        </>
      )}
    </DrawingSurface>
  );
}

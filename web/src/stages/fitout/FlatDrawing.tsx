/** The pieces of one part as they are cut, in true length, seen from above; a wall from within. */
import { useTheme } from '@mui/material/styles';
import { useMemo, type ReactNode } from 'react';
import {
  faceOfWall,
  leftOfWall,
  marksOfPiece,
  marksOfWall,
  type InBoat,
  type LandingRow,
} from '@kalotrope/core/fitout';
import { boxAround, DrawingSurface, pathOf } from '../../drawing/DrawingSurface';
import { Overall } from '../../drawing/Dimension';
import { GrainPattern, PlyShape } from '../../drawing/Ply';

type Props = {
  readonly parts: readonly InBoat[];
  readonly screws: readonly LandingRow[];
  readonly name: string;
  readonly corner: ReactNode;
};

export function FlatDrawing({ parts, screws, name, corner }: Props) {
  const { palette } = useTheme();
  const pieces = useMemo(() => parts.flatMap((part) => part.pieces.map((piece) => ({ part, piece }))), [parts]);
  const box = useMemo(() => boxAround(pieces.flatMap(({ piece }) => piece.region.outline)), [pieces]);
  const isPair = parts.some(({ hand }) => hand === 'pair');
  return (
    <DrawingSurface label={`${name}, as it is cut`} of={name} bounds={box} corner={corner}>
      {({ px }) => (
        <>
          <GrainPattern px={px} />
          <g fill="none">
            {pieces.map(({ part, piece }) => (
              <g key={piece.id}>
                <PlyShape outline={piece.region.outline} holes={piece.region.holes} px={px} label={piece.name} />
                {(part.fit === 'wall' ? marksOfWall(piece) : marksOfPiece(part, piece, screws)).map((line, i) => (
                  <path
                    key={i}
                    d={pathOf(line)}
                    stroke={palette.text.secondary}
                    strokeWidth={px}
                    strokeDasharray={`${6 * px} ${4 * px}`}
                  />
                ))}
              </g>
            ))}
            <Overall box={box} px={px} />
          </g>
          <text x={box.minX} y={-box.maxY - 14 * px} fontSize={15 * px} fontWeight={600} fill={palette.text.primary}>
            {seenWords(parts[0])}
            {isPair ? '; the starboard one' : ''}
          </text>
        </>
      )}
    </DrawingSurface>
  );
}

/** Which face is seen, and which way round. */
function seenWords(part: InBoat | undefined): string {
  if (part?.fit !== 'wall') return 'Upper face; forward is left';
  const face = faceOfWall(part);
  return `${face[0]?.toUpperCase() ?? ''}${face.slice(1)}; ${leftOfWall(part)} is left`;
}

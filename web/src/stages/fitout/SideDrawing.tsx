/** A piece of solid timber from its side, as it is sawn, and lines marked on it. */
import { useTheme } from '@mui/material/styles';
import type { ReactNode } from 'react';
import { Overall } from '../../drawing/Dimension';
import { boxAround, DrawingSurface, pathOf } from '../../drawing/DrawingSurface';
import { GrainPattern, PlyShape } from '../../drawing/Ply';

type Line = readonly (readonly [number, number])[];
type Props = {
  readonly name: string;
  readonly cut: Line;
  readonly marks: readonly Line[];
  /** Which way it lies. */
  readonly words: string;
  readonly corner: ReactNode;
};

export function SideDrawing({ name, cut, marks, words, corner }: Props) {
  const { palette } = useTheme();
  const box = boxAround([...cut, ...marks.flat()]);
  return (
    <DrawingSurface label={`${name}, from its side`} of={name} bounds={box} corner={corner}>
      {({ px }) => (
        <>
          <GrainPattern px={px} />
          <g fill="none">
            <PlyShape outline={cut} px={px} label={name} />
            {marks.map((mark, i) => (
              <path
                key={i}
                d={pathOf(mark)}
                stroke={palette.text.secondary}
                strokeWidth={px}
                strokeDasharray={`${6 * px} ${4 * px}`}
              />
            ))}
            <Overall box={boxAround(cut)} px={px} />
          </g>
          <text x={box.minX} y={-box.maxY - 14 * px} fontSize={15 * px} fontWeight={600} fill={palette.text.primary}>
            {words}
          </text>
        </>
      )}
    </DrawingSurface>
  );
}

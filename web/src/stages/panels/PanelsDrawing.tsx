import { useTheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useMemo, type ReactNode } from 'react';
import type { Station } from '@kalotrope/core/lines';
import {
  cutLineOf,
  transomOfThing,
  transomThing,
  type Panel,
  type PanelRemedy,
  type PanelsPart,
  type Transom,
} from '@kalotrope/core/panels';
import { picked } from '../../state/screen-slice';
import { selectPicked } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { DrawingSurface } from '../../drawing/DrawingSurface';
import { NetLines } from '../../drawing/NetLines';
import { GrainPattern, PlyShape } from '../../drawing/Ply';
import { OverPattern } from './FieldPicture';
import { FlatPanel } from './FlatPanel';
import { besideLast, longest, stack, wholeBox, type Shelf } from '../../drawing/shelves';
import type { PanelsLook } from './PanelsHead';

type Props = {
  readonly panels: readonly Panel[];
  readonly transoms: readonly Transom[];
  readonly stations: readonly Station[];
  readonly part: PanelsPart;
  readonly look: PanelsLook;
  /** A change not yet taken, drawn over the panel that it is for. */
  readonly preview: PanelRemedy | null;
  readonly corner: ReactNode;
};

/** The flat panels in true shape, with rulings, stations and the tape's mark; transoms under them. */
export function PanelsDrawing({ panels, transoms, stations, part, look, preview, corner }: Props) {
  const { breakpoints } = useTheme();
  // what is written between the panels is as large on a narrow screen, where all else is small
  const apart = useMediaQuery(breakpoints.up('md')) ? 0.085 : 0.2;
  const shelves = useMemo(
    () => stack<Panel | Transom>([...panels, ...transoms], longest(panels) * apart),
    [panels, transoms, apart],
  );
  return (
    <DrawingSurface label="Flat panels" bounds={wholeBox(shelves)} corner={corner} free={besideLast(shelves)}>
      {({ px }) => (
        <>
          <GrainPattern px={px} />
          <OverPattern px={px} />
          {shelves.map((shelf) =>
            'rulings' in shelf.item ? (
              <FlatPanel
                key={shelf.item.id}
                panel={shelf.item}
                dx={shelf.dx}
                dy={shelf.dy}
                panels={panels}
                stations={stations}
                part={part}
                look={look}
                preview={preview?.panel === shelf.item.id ? preview : null}
                px={px}
              />
            ) : (
              <FlatTransom key={shelf.item.id} shelf={shelf} transom={shelf.item} px={px} />
            ),
          )}
        </>
      )}
    </DrawingSurface>
  );
}

type TransomProps = { readonly shelf: Shelf<Panel | Transom>; readonly transom: Transom; readonly px: number };

function FlatTransom({ shelf: { dx, dy, box }, transom, px }: TransomProps) {
  const { palette } = useTheme();
  const dispatch = useAppDispatch();
  const isPicked = useAppSelector((state) => transomOfThing(selectPicked(state)) === transom.id);
  return (
    <g transform={`translate(${dx} ${-dy})`}>
      <PlyShape
        outline={cutLineOf(transom)}
        px={px}
        label={transom.name}
        isPicked={isPicked}
        onPick={() => dispatch(picked(transomThing(transom.id)))}
      />
      {transom.proud && <NetLines lines={transom.proud.net} px={px} />}
      <text
        x={(box.minX + box.maxX) / 2 - dx}
        y={dy - (box.minY + box.maxY) / 2}
        fill={palette.text.primary}
        fontSize={14 * px}
        textAnchor="middle"
        pointerEvents="none"
      >
        {transom.name}
      </text>
    </g>
  );
}

/** A panel in the round: plywood with its thickness, picked and outlined, a field over it where one is shown. */
import {
  depthOfInside,
  thicknessOf,
  panelOfThing,
  panelThing,
  type Field,
  type FoldedRuling,
  type Panel,
} from '@kalotrope/core/panels';
import { lerp3 } from '@kalotrope/core/geometry';
import { useTheme } from '@mui/material/styles';
import type { ThreeEvent } from '@react-three/fiber';
import { memo, useCallback, useEffect, useLayoutEffect, useMemo } from 'react';
import { BufferGeometry, Color } from 'three';
import { picked } from '../../state/screen-slice';
import { selectPicked, selectProject } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { worstPlace } from '../bands';
import { drawSoon } from './quality';
import { usePly } from './use-ply';
import { emptyShell, fillShell, outlineOf, rulingsOf } from './shell';

type Props = {
  readonly panel: Panel;
  readonly shape: readonly FoldedRuling[];
  readonly field: Field | undefined;
  readonly thickness: number;
  /** Nothing meets it along its upper edge. */
  readonly isTop: boolean;
  readonly hasRulings: boolean;
  readonly isSeenThrough: boolean;
};

/** Of the colour of what is picked, in that of plywood. */
const TINT = 0.3;
const SEEN_THROUGH = 0.3;
const RULING_EVERY = 6;
/** Of the bead where a field is greatest. */
const WORST_MM = 22;
const INK = '#3B2C18';

export const PanelShell = memo(function PanelShell(props: Props) {
  const { panel, shape, field, hasRulings, isSeenThrough } = props;
  const dispatch = useAppDispatch();
  const theme = useTheme();
  const isPicked = useAppSelector((state) => panelOfThing(selectPicked(state)) === panel.id);
  const geometry = useShell(props);
  const lines = useLines(geometry, shape.length);
  // the same function as long as the panel is: another would have the whole picture drawn again
  const pick = useCallback(
    (event: ThreeEvent<MouseEvent>) => {
      event.stopPropagation();
      dispatch(picked(panelThing(panel.id)));
    },
    [dispatch, panel.id],
  );
  const accent = theme.palette.secondary.main;
  // tinted, so that it is still plywood
  const colour = useMemo(
    () => `#${new Color('#FFFFFF').lerp(new Color(accent), isPicked ? TINT : 0).getHexString()}`,
    [isPicked, accent],
  );
  const opacity = isSeenThrough ? SEEN_THROUGH : 1;
  const material = usePly({ colour, opacity, isSheet: true, hasGrain: field === undefined });
  const worst = field && hasRulings ? worstPlace(panel, field) : null;
  return (panel.spansCentreline ? [1] : [1, -1]).map((side) => (
    <group key={side} scale={[1, side, 1]}>
      <mesh geometry={geometry} material={material} onClick={pick} />
      <lineLoop geometry={lines.edge}>
        <lineBasicMaterial color={isPicked ? accent : INK} transparent opacity={isPicked ? 1 : 0.7} />
      </lineLoop>
      {hasRulings && (
        <lineSegments geometry={lines.rulings}>
          <lineBasicMaterial color="#3C6E71" transparent opacity={0.16} />
        </lineSegments>
      )}
      {worst && (
        <mesh position={[...lerp3(worst.ruling.p, worst.ruling.q, worst.w)]}>
          <sphereGeometry args={[WORST_MM, 12, 12]} />
          <meshBasicMaterial color="#1D2C36" />
        </mesh>
      )}
    </group>
  ));
});

function useShell({ panel, shape, field, thickness, isTop }: Props): BufferGeometry {
  const linesTo = useAppSelector((state) => selectProject(state)?.panels.linesTo ?? 'outside');
  const count = shape.length;
  const geometry = useMemo(() => emptyShell(count), [count]);
  useEffect(() => () => geometry.dispose(), [geometry]);
  useLayoutEffect(() => {
    const own = thicknessOf(panel, thickness);
    const inner = -depthOfInside({ thickness: own, linesTo });
    const faces = { outer: inner + own, inner };
    fillShell(geometry, { panel, shape, field, thickness, faces, isJoined: [true, !isTop] });
    drawSoon();
  }, [geometry, panel, shape, field, thickness, isTop, linesTo]);
  return geometry;
}

/** The outline of the outer face, and some of its rulings, over the shell's own points. */
function useLines(shell: BufferGeometry, count: number) {
  const lines = useMemo(() => {
    const over = (index: number[]) =>
      new BufferGeometry().setAttribute('position', shell.getAttribute('position')).setIndex(index);
    return { edge: over(outlineOf(count)), rulings: over(rulingsOf(count, RULING_EVERY)) };
  }, [shell, count]);
  useEffect(
    () => () => {
      lines.edge.dispose();
      lines.rulings.dispose();
    },
    [lines],
  );
  return lines;
}

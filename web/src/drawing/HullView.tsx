/** The hull in the round: both sides, picking in step with the drawing, the tape's mark as a bead. Grows on demand. */
import OpenInFull from '@mui/icons-material/OpenInFull';
import CloseFullscreen from '@mui/icons-material/CloseFullscreen';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import { useTheme } from '@mui/material/styles';
import { OrbitControls } from '@react-three/drei/core/OrbitControls';
import { Canvas, invalidate } from '@react-three/fiber';
import { memo, useEffect, useLayoutEffect, useMemo, useState } from 'react';
import { BufferAttribute, BufferGeometry, Color, DoubleSide } from 'three';
import { pointOnTape } from '@kalotrope/core/lines';
import {
  foldHull,
  shareAt,
  transomTriangles,
  type Field,
  type FoldedRuling,
  type Panel,
  type Transom,
} from '@kalotrope/core/panels';
import { picked } from '../app/screen-slice';
import { selectDerived, selectPicked, selectProject, selectTape } from '../app/selectors';
import { useAppDispatch, useAppSelector } from '../app/store';
import { BANDS, bandOf } from './bands';
import { graphics } from './graphics';

type Props = {
  /** Shown over the skin, in bands. */
  readonly field?: Field | undefined;
  /** Folded up so far: 0 is flat, 1 the hull. */
  readonly folded?: number | undefined;
  /** Fills the place of the drawing rather than its corner. */
  readonly isFilling?: boolean;
};

export default function HullView({ field, folded, isFilling = false }: Props) {
  const [isGrown, setIsGrown] = useState(false);
  const isLarge = isFilling || isGrown;
  const thickness = useAppSelector((state) => selectProject(state)?.panels.thickness ?? 6);
  const derived = useAppSelector(selectDerived);
  const theme = useTheme();
  if (!derived || derived.panels.value.panels.length === 0) return null;
  const { fromX, toX } = derived.lines.value;
  const { panels, transoms } = derived.panels.value;
  const shapes = folded === undefined ? panels.map(({ rulings }) => rulings) : foldHull(panels, folded);
  const length = toX - fromX;
  const size = isLarge
    ? { inset: 12, width: 'auto', height: 'auto' }
    : { right: 10, bottom: 10, width: { xs: 130, sm: 260 }, height: { xs: 84, sm: 158 } };
  return (
    <Box
      role="group"
      aria-label={`The hull in the round, ${derived.panels.value.panels.length} panels`}
      className="no-print"
      sx={{ position: 'absolute', ...size, border: 1, borderColor: 'divider', bgcolor: 'background.paper' }}
    >
      <Canvas
        key={String(isLarge)}
        frameloop="demand"
        // smooth edges cost more than the whole hull without a graphics processor
        gl={{ antialias: graphics() === 'processor' }}
        camera={{
          position: [-length * 0.95, length * 0.72, length * 1.15],
          fov: 28,
          near: 10,
          far: length * 12,
        }}
      >
        <ambientLight intensity={1.6} />
        <directionalLight position={[-2, 4, 3]} intensity={1.5} />
        <directionalLight position={[2, -3, -2]} intensity={0.7} />
        {/* x aft, y to starboard, z up becomes x, z, −y of the picture's axes */}
        <group rotation={[-Math.PI / 2, 0, 0]} position={[-(fromX + toX) / 2, -length * 0.07, 0]}>
          {panels.map((panel, i) => (
            <PanelMesh
              key={panel.id}
              panel={panel}
              shape={shapes[i] ?? panel.rulings}
              field={field}
              thickness={thickness}
              isAlternate={i % 2 === 1}
              hasEdges={isLarge}
            />
          ))}
          {(folded ?? 1) === 1 && transoms.map((transom) => <TransomMesh key={transom.id} transom={transom} />)}
          {folded === undefined && <Bead size={length / 110} />}
        </group>
        <OrbitControls makeDefault enableDamping={false} />
      </Canvas>
      {!isFilling && (
        <IconButton
          size="small"
          aria-label={isLarge ? 'Make the hull small' : 'Make the hull large'}
          onClick={() => setIsGrown(!isGrown)}
          sx={{ position: 'absolute', top: 2, right: 2, color: theme.palette.text.secondary }}
        >
          {isLarge ? <CloseFullscreen fontSize="small" /> : <OpenInFull fontSize="small" />}
        </IconButton>
      )}
    </Box>
  );
}

type MeshProps = {
  readonly panel: Panel;
  readonly shape: readonly FoldedRuling[];
  readonly field: Field | undefined;
  readonly thickness: number;
  /** A little darker, so that neighbours are told apart. */
  readonly isAlternate: boolean;
  readonly hasEdges: boolean;
};

const PanelMesh = memo(function PanelMesh({ panel, shape, field, thickness, isAlternate, hasEdges }: MeshProps) {
  const choice = useAppSelector(selectPicked);
  const dispatch = useAppDispatch();
  const theme = useTheme();
  const geometry = useStrip(panel, shape, field, thickness);
  const isPicked = choice?.kind === 'panel' && choice.id === panel.id;
  const colour = isPicked ? theme.palette.secondary.main : isAlternate ? '#D5BC88' : '#E9D8B2';
  const outline = useOutline(geometry);
  const sides = panel.spansCentreline ? [1] : [1, -1];
  return sides.map((side) => (
    <group key={side} scale={[1, side, 1]}>
      <mesh
        geometry={geometry}
        onClick={(event) => {
          event.stopPropagation();
          dispatch(picked({ kind: 'panel', id: panel.id }));
        }}
      >
        {field ? (
          <meshLambertMaterial
            key="field"
            polygonOffset
            polygonOffsetFactor={1}
            polygonOffsetUnits={1}
            vertexColors
            side={DoubleSide}
          />
        ) : (
          <meshLambertMaterial
            key="plain"
            polygonOffset
            polygonOffsetFactor={1}
            polygonOffsetUnits={1}
            color={colour}
            side={DoubleSide}
          />
        )}
      </mesh>
      {hasEdges && (
        <lineLoop geometry={outline}>
          <lineBasicMaterial color="#1D2C36" />
        </lineLoop>
      )}
    </group>
  ));
});

const TransomMesh = memo(function TransomMesh({ transom }: { readonly transom: Transom }) {
  const geometry = useMemo(() => {
    const made = new BufferGeometry();
    const positions = transomTriangles(transom).flatMap((triangle) => triangle.flatMap((p) => [...p]));
    made.setAttribute('position', new BufferAttribute(new Float32Array(positions), 3));
    made.computeVertexNormals();
    return made;
  }, [transom]);
  useEffect(() => () => geometry.dispose(), [geometry]);
  return (
    <mesh geometry={geometry}>
      <meshLambertMaterial color="#CDB37F" side={DoubleSide} />
    </mesh>
  );
});

/** The strip of the panel's rulings; written over in place while their number stays, so that an edit makes no new buffers. */
function useStrip(
  panel: Panel,
  shape: readonly FoldedRuling[],
  field: Field | undefined,
  thickness: number,
): BufferGeometry {
  const count = shape.length;
  const geometry = useMemo(() => emptyStrip(count), [count]);
  useEffect(() => () => geometry.dispose(), [geometry]);
  useLayoutEffect(() => {
    const [positions, normals, colours] = (['position', 'normal', 'color'] as const).map((name) => geometry.getAttribute(name)); // prettier-ignore
    if (!positions || !normals || !colours) return; // made with all three
    shape.forEach(({ p, q }, k) => {
      positions.setXYZ(2 * k, p[0], p[1], p[2]).setXYZ(2 * k + 1, q[0], q[1], q[2]);
    });
    const isHull = shape === panel.rulings;
    if (isHull)
      panel.rulings.forEach(({ normal: [nx, ny, nz] }, k) => normals.setXYZ(2 * k, nx, ny, nz).setXYZ(2 * k + 1, nx, ny, nz)); // prettier-ignore
    else geometry.computeVertexNormals();
    if (field)
      panel.rulings.forEach((_, k) =>
        [0, 1].forEach((w) => {
          const { r, g, b } = new Color(BANDS[bandOf(shareAt(panel, field, { k, w, thickness }))]?.colour);
          colours.setXYZ(2 * k + w, r, g, b);
        }),
      );
    positions.needsUpdate = true;
    normals.needsUpdate = true;
    colours.needsUpdate = true;
    geometry.computeBoundingSphere();
    invalidate();
  }, [geometry, panel, shape, field, thickness]);
  return geometry;
}

/** The edge of a strip, over the strip's own points. */
function useOutline(strip: BufferGeometry): BufferGeometry {
  const outline = useMemo(() => {
    const made = new BufferGeometry();
    const positions = strip.getAttribute('position');
    made.setAttribute('position', positions);
    const ends = Array.from({ length: positions.count / 2 }, (_, k) => 2 * k);
    made.setIndex([...ends, ...ends.map((k) => k + 1).reverse()]);
    return made;
  }, [strip]);
  useEffect(() => () => outline.dispose(), [outline]);
  return outline;
}

function emptyStrip(count: number): BufferGeometry {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(new Float32Array(count * 6), 3));
  geometry.setAttribute('normal', new BufferAttribute(new Float32Array(count * 6), 3));
  geometry.setAttribute('color', new BufferAttribute(new Float32Array(count * 6), 3));
  geometry.setIndex(
    Array.from({ length: count - 1 }, (_, k) => [0, 1, 2, 1, 3, 2].map((corner) => 2 * k + corner)).flat(),
  );
  return geometry;
}

/** Where the tape's mark lies on the hull. */
function Bead({ size }: { readonly size: number }) {
  const tape = useAppSelector(selectTape);
  const mark = useAppSelector((state) => state.screen.tapeMm);
  const theme = useTheme();
  if (!tape || mark === null) return null;
  return (
    <mesh position={[...pointOnTape(tape, mark)]}>
      <sphereGeometry args={[size, 12, 12]} />
      <meshBasicMaterial color={theme.palette.secondary.main} />
    </mesh>
  );
}

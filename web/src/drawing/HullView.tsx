/** The hull in the round: both sides, picking in step with the drawing, the tape's mark as a bead. Grows on demand. */
import {
  panelOfThing,
  panelThing,
  fieldReader,
  foldHull,
  transomTriangles,
  type Field,
  type FoldedRuling,
  type Panel,
  type Transom,
} from '@kalotrope/core/panels';
import OpenInFull from '@mui/icons-material/OpenInFull';
import CloseFullscreen from '@mui/icons-material/CloseFullscreen';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import { useTheme } from '@mui/material/styles';
import { OrbitControls } from '@react-three/drei/core/OrbitControls';
import { Canvas, invalidate, useThree, type ThreeEvent } from '@react-three/fiber';
import { memo, useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { BufferAttribute, BufferGeometry, Color, DoubleSide, PerspectiveCamera, Vector3 } from 'three';
import { lerp3 } from '@kalotrope/core/geometry';
import { pointOnTape } from '@kalotrope/core/lines';
import { picked } from '../state/screen-slice';
import { selectDerived, selectPicked, selectProject } from '../state/selectors';
import { useTape } from '../state/bench';
import { useAppDispatch, useAppSelector } from '../state/store';
import { colourOf, worstPlace } from './bands';
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
  const count = useAppSelector((state) => selectDerived(state)?.panels.value.panels.length ?? 0);
  const theme = useTheme();
  // made once: an edit draws the scene again, not what is round it
  const canvas = useMemo(
    () => <HullCanvas key={String(isLarge)} field={field} folded={folded} isLarge={isLarge} />,
    [field, folded, isLarge],
  );
  if (count === 0) return null;
  const size = isLarge
    ? { inset: 12, width: 'auto', height: 'auto' }
    : {
        left: 'var(--corner-left)',
        top: 'var(--corner-top)',
        width: 'var(--corner-width)',
        height: 'var(--corner-height)',
      };
  return (
    <Box
      role="group"
      aria-label={`The hull in the round, ${count} panels`}
      className="no-print"
      sx={{ position: 'absolute', ...size, border: 1, borderColor: 'divider', bgcolor: 'background.paper' }}
    >
      {canvas}
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

type SceneProps = Pick<Props, 'field' | 'folded'> & { readonly isLarge: boolean };

function HullCanvas(props: SceneProps) {
  // where one first stands follows from the boat as it is then
  const [length] = useState(useHullSpan().length);
  return (
    <Canvas
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
      <HullScene {...props} />
      <FitHull />
      <OrbitControls makeDefault enableDamping={false} />
    </Canvas>
  );
}

/** Of the picture's half, that the hull takes up. */
const FILL = 0.9;

/** The value as it was when last drawn, for what looks at it later. */
function useLatest<T>(value: T): { readonly current: T } {
  const latest = useRef(value);
  useLayoutEffect(() => {
    latest.current = value;
  });
  return latest;
}

/** Zooms until the points fill the picture in one direction. */
function zoomTo(camera: PerspectiveCamera, points: readonly Vector3[]): void {
  camera.zoom = 1;
  camera.updateProjectionMatrix();
  camera.updateMatrixWorld();
  const seen = points.map((point) => point.clone().project(camera));
  camera.zoom = FILL / Math.max(0.1, ...seen.map(({ x, y }) => Math.max(Math.abs(x), Math.abs(y))));
  camera.updateProjectionMatrix();
}

/** The hull as large as its place allows, whatever shape that is; what is turned and drawn nearer by hand stays so. */
function FitHull() {
  const camera = useThree((state) => state.camera);
  const { width, height } = useThree((state) => state.size);
  const lines = useAppSelector((state) => selectDerived(state)?.lines.value.lines);
  const { middle, length } = useHullSpan();
  // how long it is, to the nearest tenth of itself: an edit does not change how near one stands
  const about = Math.round(10 * Math.log(Math.max(length, 1)));
  const points = useLatest(() =>
    (lines ?? []).flatMap(({ curve }) =>
      curve.flatMap(([x, y, z]) => [y, -y].map((side) => new Vector3(x - middle, z - length * 0.07, -side))),
    ),
  );
  const hasLines = lines !== undefined;
  useLayoutEffect(() => {
    if (hasLines && camera instanceof PerspectiveCamera) zoomTo(camera, points.current());
    invalidate();
  }, [camera, width, height, about, hasLines, points]);
  return null;
}

/** Where the hull lies along x, mm. */
function useHullSpan(): { readonly middle: number; readonly length: number } {
  const fromX = useAppSelector((state) => selectDerived(state)?.lines.value.fromX ?? 0);
  const toX = useAppSelector((state) => selectDerived(state)?.lines.value.toX ?? 0);
  return { middle: (fromX + toX) / 2, length: toX - fromX };
}

/** x aft, y to starboard, z up becomes x, z, −y of the picture's axes. */
const ON_ITS_KEEL = [-Math.PI / 2, 0, 0] as const;

function HullScene({ field, folded, isLarge }: SceneProps) {
  const thickness = useAppSelector((state) => selectProject(state)?.panels.thickness ?? 6);
  const skin = useAppSelector((state) => selectDerived(state)?.panels.value);
  const { middle, length } = useHullSpan();
  const place = useMemo(() => [-middle, -length * 0.07, 0] as const, [middle, length]);
  if (!skin) return null;
  const { panels, transoms } = skin;
  const shapes = folded === undefined ? panels.map(({ rulings }) => rulings) : foldHull(panels, folded);
  return (
    <group rotation={ON_ITS_KEEL} position={place}>
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
  );
}

/** Of the colour of what is picked, in that of plywood. */
const TINT = 0.45;

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
  // the same function as long as the panel is: another would have the whole picture drawn again
  const pick = useCallback(
    (event: ThreeEvent<MouseEvent>) => {
      event.stopPropagation();
      dispatch(picked(panelThing(panel.id)));
    },
    [dispatch, panel.id],
  );
  const isPicked = panelOfThing(choice) === panel.id;
  const ply = isAlternate ? '#D5BC88' : '#E9D8B2';
  // tinted, so that it is still plywood
  const colour = isPicked
    ? `#${new Color(ply).lerp(new Color(theme.palette.secondary.main), TINT).getHexString()}`
    : ply;
  const marks = useMarks(geometry, shape.length);
  const sides = panel.spansCentreline ? [1] : [1, -1];
  const worst = field && hasEdges ? worstPlace(panel, field) : null;
  return sides.map((side) => (
    <group key={side} scale={[1, side, 1]}>
      <mesh geometry={geometry} onClick={pick}>
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
      {worst && (
        <mesh position={[...lerp3(worst.ruling.p, worst.ruling.q, worst.w)]}>
          <sphereGeometry args={[WORST_MM, 12, 12]} />
          <meshBasicMaterial color="#1D2C36" />
        </mesh>
      )}
      {hasEdges && (
        <>
          <lineLoop geometry={marks.edge}>
            <lineBasicMaterial color="#1D2C36" />
          </lineLoop>
          <lineSegments geometry={marks.rulings}>
            <lineBasicMaterial color="#3C6E71" transparent opacity={0.45} />
          </lineSegments>
        </>
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

/** Of the bead where a field is greatest. */
const WORST_MM = 22;

/** Places across a ruling: two make the shape; a field between them is no straight run. */
const PLAIN_ROWS = 2;
const FIELD_ROWS = 9;

/**
 * The strip of the panel's rulings, place by place across each; written over while their number stays: an edit makes
 * no new buffers.
 */
function useStrip(
  panel: Panel,
  shape: readonly FoldedRuling[],
  field: Field | undefined,
  thickness: number,
): BufferGeometry {
  const count = shape.length;
  const rows = field ? FIELD_ROWS : PLAIN_ROWS;
  const geometry = useMemo(() => emptyStrip(count, rows), [count, rows]);
  useEffect(() => () => geometry.dispose(), [geometry]);
  useLayoutEffect(() => {
    const [positions, normals, colours] = (['position', 'normal', 'color'] as const).map((name) =>
      geometry.getAttribute(name),
    );
    if (!positions || !normals || !colours) return; // made with all three
    const read = field && fieldReader(panel, field, thickness);
    const isHull = shape === panel.rulings;
    shape.forEach(({ p, q }, k) => {
      for (let row = 0; row < rows; row++) {
        const [i, w] = [rows * k + row, row / (rows - 1)];
        positions.setXYZ(i, ...lerp3(p, q, w));
        if (isHull) normals.setXYZ(i, ...(panel.rulings[k]?.normal ?? UP));
        if (!read) continue;
        const { r, g, b } = new Color(colourOf(read(k, w)));
        colours.setXYZ(i, r, g, b);
      }
    });
    if (!isHull) geometry.computeVertexNormals();
    positions.needsUpdate = true;
    normals.needsUpdate = true;
    colours.needsUpdate = true;
    geometry.computeBoundingSphere();
    drawSoon();
  }, [geometry, panel, shape, field, thickness, rows]);
  return geometry;
}

const UP = [0, 0, 1] as const;

/** Without a graphics processor the picture waits for edits to pause, but no longer than this, ms. */
const SOFTWARE_PAUSE_MS = 150;
const SOFTWARE_LONGEST_MS = 500;
let waiting: { timer: ReturnType<typeof setTimeout>; readonly since: number } | undefined;

function drawSoon(): void {
  if (graphics() === 'processor') {
    invalidate();
    return;
  }
  const now = performance.now();
  const since = waiting?.since ?? now;
  clearTimeout(waiting?.timer);
  const left = Math.min(SOFTWARE_PAUSE_MS, Math.max(0, since + SOFTWARE_LONGEST_MS - now));
  const timer = setTimeout(() => {
    waiting = undefined;
    invalidate();
  }, left);
  waiting = { timer, since };
}

/** The places of every so many of a strip's rulings. */
type Marks = { readonly edge: BufferGeometry; readonly rulings: BufferGeometry };
const RULING_EVERY = 6;

/** The edge of a strip, and some of its rulings, over the strip's own points. */
function useMarks(strip: BufferGeometry, count: number): Marks {
  const marks = useMemo((): Marks => {
    const positions = strip.getAttribute('position');
    const rows = positions.count / count;
    const over = (index: number[]) => new BufferGeometry().setAttribute('position', positions).setIndex(index);
    const starts = Array.from({ length: count }, (_, k) => rows * k);
    return {
      edge: over([...starts, ...starts.map((i) => i + rows - 1).reverse()]),
      rulings: over(starts.filter((_, k) => k % RULING_EVERY === 0).flatMap((i) => [i, i + rows - 1])),
    };
  }, [strip, count]);
  useEffect(
    () => () => {
      marks.edge.dispose();
      marks.rulings.dispose();
    },
    [marks],
  );
  return marks;
}

function emptyStrip(count: number, rows: number): BufferGeometry {
  const geometry = new BufferGeometry();
  for (const name of ['position', 'normal', 'color'])
    geometry.setAttribute(name, new BufferAttribute(new Float32Array(count * rows * 3), 3));
  const cells = Array.from({ length: (count - 1) * (rows - 1) }, (_, i) => i + Math.floor(i / (rows - 1)));
  return geometry.setIndex(cells.flatMap((i) => [i, i + 1, i + rows, i + 1, i + rows + 1, i + rows]));
}

/** Where the tape's mark lies on the hull. */
function Bead({ size }: { readonly size: number }) {
  const tape = useTape();
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

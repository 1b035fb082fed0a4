/** The hull in the round: both sides, picking in step with the drawing, the tape's mark as a bead. Grows on demand. */
import OpenInFull from '@mui/icons-material/OpenInFull';
import CloseFullscreen from '@mui/icons-material/CloseFullscreen';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import { useTheme } from '@mui/material/styles';
import { OrbitControls } from '@react-three/drei/core/OrbitControls';
import { Canvas } from '@react-three/fiber';
import { useMemo, useState } from 'react';
import { BufferAttribute, BufferGeometry, DoubleSide } from 'three';
import { pointOnTape } from '@kalotrope/core/lines';
import type { Panel, Transom } from '@kalotrope/core/panels';
import { picked } from '../app/screen-slice';
import { selectDerived, selectPicked, selectTape } from '../app/selectors';
import { useAppDispatch, useAppSelector } from '../app/store';

export default function HullView() {
  const [isLarge, setIsLarge] = useState(false);
  const derived = useAppSelector(selectDerived);
  const theme = useTheme();
  if (!derived || derived.panels.value.panels.length === 0) return null;
  const { fromX, toX } = derived.lines.value;
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
          {derived.panels.value.panels.map((panel) => (
            <PanelMesh key={panel.id} panel={panel} />
          ))}
          {derived.panels.value.transoms.map((transom) => (
            <TransomMesh key={transom.id} transom={transom} />
          ))}
          <Bead size={length / 110} />
        </group>
        <OrbitControls makeDefault enableDamping={false} />
      </Canvas>
      <IconButton
        size="small"
        aria-label={isLarge ? 'Make the hull small' : 'Make the hull large'}
        onClick={() => setIsLarge(!isLarge)}
        sx={{ position: 'absolute', top: 2, right: 2, color: theme.palette.text.secondary }}
      >
        {isLarge ? <CloseFullscreen fontSize="small" /> : <OpenInFull fontSize="small" />}
      </IconButton>
    </Box>
  );
}

function PanelMesh({ panel }: { readonly panel: Panel }) {
  const choice = useAppSelector(selectPicked);
  const dispatch = useAppDispatch();
  const theme = useTheme();
  const geometry = useMemo(() => stripGeometry(panel), [panel]);
  const isPicked = choice?.kind === 'panel' && choice.id === panel.id;
  const colour = isPicked ? theme.palette.secondary.main : '#E3CFA4';
  const sides = panel.spansCentreline ? [1] : [1, -1];
  return sides.map((side) => (
    <mesh
      key={side}
      geometry={geometry}
      scale={[1, side, 1]}
      onClick={(event) => {
        event.stopPropagation();
        dispatch(picked({ kind: 'panel', id: panel.id }));
      }}
    >
      <meshStandardMaterial color={colour} side={DoubleSide} roughness={0.9} />
    </mesh>
  ));
}

function TransomMesh({ transom }: { readonly transom: Transom }) {
  const geometry = useMemo(() => {
    const made = new BufferGeometry();
    const { corners } = transom;
    const positions = corners
      .slice(1, -1)
      .flatMap((_, i) => [corners[0], corners[i + 1], corners[i + 2]].flatMap((p) => (p ? [...p] : [])));
    made.setAttribute('position', new BufferAttribute(new Float32Array(positions), 3));
    made.computeVertexNormals();
    return made;
  }, [transom]);
  return (
    <mesh geometry={geometry}>
      <meshStandardMaterial color="#CDB37F" side={DoubleSide} roughness={0.9} />
    </mesh>
  );
}

function stripGeometry(panel: Panel): BufferGeometry {
  const geometry = new BufferGeometry();
  const positions = new Float32Array(panel.rulings.length * 6);
  const normals = new Float32Array(panel.rulings.length * 6);
  const index: number[] = [];
  panel.rulings.forEach((ruling, k) => {
    positions.set([...ruling.p, ...ruling.q], k * 6);
    normals.set([...ruling.normal, ...ruling.normal], k * 6);
    if (k > 0) index.push(2 * k - 2, 2 * k - 1, 2 * k, 2 * k - 1, 2 * k + 1, 2 * k);
  });
  geometry.setAttribute('position', new BufferAttribute(positions, 3));
  geometry.setAttribute('normal', new BufferAttribute(normals, 3));
  geometry.setIndex(index);
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

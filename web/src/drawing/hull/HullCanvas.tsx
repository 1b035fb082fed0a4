/** The place where the hull is drawn: its light, its camera, and turning it. */
import { useTheme } from '@mui/material/styles';
import { OrbitControls } from '@react-three/drei/core/OrbitControls';
import { Canvas, invalidate, useThree } from '@react-three/fiber';
import { useLayoutEffect, useRef, useState } from 'react';
import { PerspectiveCamera, Vector3 } from 'three';
import { selectDerived } from '../../state/selectors';
import { useAppSelector, useAppStore, type RootState } from '../../state/store';
import { graphics } from './graphics';
import { HullScene, type SceneProps } from './HullScene';
import { moves, Quality, useFineness } from './quality';
import { useHullSpan } from './use-hull-span';
import { lookFrom, zoomTo, type View } from './views';

type Props = SceneProps & { readonly view: View };

export function HullCanvas({ view, ...scene }: Props) {
  // where one first stands follows from the boat as it is then: the place itself is not drawn anew when that changes
  const store = useAppStore();
  const [length] = useState(() => lengthOf(store.getState()));
  const dpr = useFineness();
  const theme = useTheme();
  // coarsely first: that is on screen sooner, and what it is drawn with is ready when the first edit comes
  useLayoutEffect(moves, []);
  return (
    <Canvas
      frameloop="demand"
      dpr={dpr}
      flat
      // without a graphics processor edges are smoothed by drawing finer at rest, which costs nothing while it turns
      gl={{ antialias: graphics() === 'processor', alpha: false }}
      camera={{ fov: 28, near: length / 20, far: length * 12 }}
    >
      <color attach="background" args={[theme.palette.background.paper]} />
      <hemisphereLight args={['#FFFDF6', '#D3C2A0', 2.1]} />
      <directionalLight position={[-1.2, 3, 2]} intensity={1.25} color="#FFF6E6" />
      <HullScene {...scene} />
      <Standpoint view={view} isApart={scene.apart > 0 || (scene.folded ?? 1) < 1} />
      <OrbitControls makeDefault enableDamping={false} onChange={moves} />
      <Quality />
    </Canvas>
  );
}

function lengthOf(state: RootState): number {
  const hull = selectDerived(state)?.lines.value;
  return hull ? hull.toX - hull.fromX : 1000;
}

/** The value as it was when last drawn, for what looks at it later. */
function useLatest<T>(value: T): { readonly current: T } {
  const latest = useRef(value);
  useLayoutEffect(() => {
    latest.current = value;
  });
  return latest;
}

/** Taken apart it needs more room: the panels lie beside one another. */
const APART_ROOM = 1.35;

/** The hull as large as its place allows, whatever shape that is; what is turned and drawn nearer by hand stays so. */
function Standpoint({ view, isApart }: { readonly view: View; readonly isApart: boolean }) {
  const camera = useThree((state) => state.camera);
  const { width, height } = useThree((state) => state.size);
  const lines = useAppSelector((state) => selectDerived(state)?.lines.value.lines);
  const { middle, length, high } = useHullSpan();
  // how long it is, to the nearest tenth of itself: an edit does not change how near one stands
  const about = Math.round(10 * Math.log(Math.max(length, 1)));
  const latest = useLatest(() => ({
    length,
    points: (lines ?? []).flatMap(({ curve }) =>
      curve.flatMap(([x, y, z]) =>
        [y, -y].map((side) => new Vector3(x - middle, z - high / 2, -side).multiplyScalar(isApart ? APART_ROOM : 1)),
      ),
    ),
  }));
  const hasLines = lines !== undefined;
  useLayoutEffect(() => {
    if (!hasLines || !(camera instanceof PerspectiveCamera)) return;
    lookFrom(camera, view, latest.current().length);
    zoomTo(camera, latest.current().points);
    invalidate();
  }, [camera, view, hasLines, latest]);
  useLayoutEffect(() => {
    if (hasLines && camera instanceof PerspectiveCamera) zoomTo(camera, latest.current().points);
    invalidate();
  }, [camera, width, height, about, hasLines, isApart, latest]);
  return null;
}

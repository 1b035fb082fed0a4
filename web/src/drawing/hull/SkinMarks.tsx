/** What lies on the skin: where the sheets are joined, the holes by which the panels are stitched, or the tapes. */
import { zoneEdges, zonesOn, type Zone } from '@kalotrope/core/epoxy';
import { cutOf, faceAt, lineOn, placeOn, stitchesOf, thicknessOf, type Panel } from '@kalotrope/core/panels';
import { add3, scale3, type Vec3 } from '@kalotrope/core/geometry';
import { memo, useEffect, useMemo } from 'react';
import { BufferAttribute, BufferGeometry } from 'three';
import { selectDerived, selectProject } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { drawSoon } from './quality';

/** What lies on the skin: the joints of its panels, the holes by which they are stitched, or the edges of its tapes. */
export type SkinMark = 'laps' | 'holes' | 'tapes';

type Props = { readonly marks: SkinMark; readonly panels: readonly Panel[] };

/** Points of a joint across its panel. */
const ACROSS = 12;
const HOLE_PX = 3.5;

export const SkinMarks = memo(function SkinMarks({ marks, panels }: Props) {
  const { lines, points } = useOnSkin(marks, panels);
  return [1, -1].map((side) => (
    <group key={side} scale={[1, side, 1]}>
      <lineSegments geometry={lines}>
        <lineBasicMaterial color="#0E5A61" />
      </lineSegments>
      <points geometry={points}>
        <pointsMaterial color="#3B2C18" size={HOLE_PX} sizeAttenuation={false} />
      </points>
    </group>
  ));
});

function useOnSkin(marks: SkinMark, panels: readonly Panel[]) {
  const jointed = useAppSelector((state) => selectDerived(state)?.joints.value);
  const seams = useAppSelector((state) => selectDerived(state)?.epoxy.value.seams);
  const part = useAppSelector((state) => selectProject(state)?.panels);
  const epoxy = useAppSelector((state) => selectProject(state)?.epoxy);
  const made = useMemo(() => {
    const ofPanel = (panel: Panel) => jointed?.find((other) => other.panel === panel.id)?.joints ?? [];
    const runs =
      marks === 'laps'
        ? panels
            .flatMap(cutOf)
            .flatMap((panel) =>
              ofPanel(panel).flatMap(({ u, width, low, high }) =>
                [-width / 2, width / 2].map((d) => lineOn(panel, [u + d, low], [u + d, high], ACROSS)),
              ),
            )
        : [];
    const tapes =
      marks === 'tapes' && seams && epoxy && part
        ? panels.flatMap((panel) =>
            tapeEdges(panel, zonesOn(panel, seams, epoxy, part.thickness), thicknessOf(panel, part.thickness)),
          )
        : [];
    const holes =
      marks === 'holes' && part
        ? panels.flatMap((panel) =>
            stitchesOf(panel, panels, part)
              .map((hole) => placeOn(panel, hole.at))
              .filter((place) => place !== undefined),
          )
        : [];
    return {
      lines: geometryOf([...runs, ...tapes].flatMap((run) => run.slice(1).flatMap((p, i) => [run[i] ?? p, p]))),
      points: geometryOf(holes),
    };
  }, [marks, panels, jointed, part, seams, epoxy]);
  useEffect(() => {
    drawSoon();
    return () => {
      made.lines.dispose();
      made.points.dispose();
    };
  }, [made]);
  return made;
}

/** Off the face that it lies on, so that it is not lost in it, mm. */
const OFF_MM = 2;

/** Both edges of each tape and its middle, on the face that it is laid on, as far as they lie on the panel. */
const tapeEdges = (panel: Panel, zones: readonly Zone[], thickness: number): Vec3[][] =>
  zones.flatMap((zone) => {
    const { inside, outside } = zone.layers;
    const faces = [...(outside > 0 ? [OFF_MM] : []), ...(inside > 0 ? [-thickness - OFF_MM] : [])];
    return faces.flatMap((off) =>
      zoneEdges(zone).map((edge) =>
        edge
          .map((place) => faceAt(panel, place))
          .filter((face) => face !== undefined)
          .map(({ space, normal }) => add3(space, scale3(normal, off))),
      ),
    );
  });

const geometryOf = (points: readonly Vec3[]): BufferGeometry =>
  new BufferGeometry().setAttribute(
    'position',
    new BufferAttribute(new Float32Array(points.flatMap((p) => [...p])), 3),
  );

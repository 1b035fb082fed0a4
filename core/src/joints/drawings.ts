/** Where the joints are marked on a panel: both edges of every lap, of every strap, or the line of its tongues. */
import { straightPath, type DrawnPath } from '../formats';
import { pilotHole, type ScrewRow } from '../frames';
import type { Panel } from '../panels';
import type { Marks } from '../stage';
import type { JointedPanel } from './jointed-panel';
import { lineOfJoint } from './pieces';

export function jointsOnPanel(panel: Panel, jointed: readonly JointedPanel[], screws: readonly ScrewRow[] = []): Marks {
  const joints = jointed.find((other) => other.panel === panel.id)?.joints ?? [];
  const laps = joints.flatMap((joint): DrawnPath[] => {
    const { u, width, low, high } = joint;
    const across = [-width / 2, width / 2].map((d) => straightPath([u + d, low], [u + d, high]));
    return joint.kind === 'scarf' ? across : [...(joint.kind === 'strap' ? across : []), lineOfJoint(joint)];
  });
  const holes = screws.filter((row) => row.panel === panel.id).flatMap(({ places }) => places.map(pilotHole));
  return { paths: [...laps, ...holes], texts: [] };
}

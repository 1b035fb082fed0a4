/** Where the joints are marked on a panel: both edges of every lap, of every strap, or the line of its tongues. */
import { straightPath, type DrawnPath } from '../formats';
import type { Panel } from '../panels';
import type { Marks } from '../stage';
import type { JointedPanel } from './jointed-panel';
import { lineOfJoint } from './pieces';

export function jointsOnPanel(panel: Panel, jointed: readonly JointedPanel[]): Marks {
  const joints = jointed.find((other) => other.panel === panel.id)?.joints ?? [];
  return {
    paths: joints.flatMap((joint): DrawnPath[] => {
      const { u, width, low, high } = joint;
      const across = [-width / 2, width / 2].map((d) => straightPath([u + d, low], [u + d, high]));
      return joint.kind === 'scarf' ? across : [...(joint.kind === 'strap' ? across : []), lineOfJoint(joint)];
    }),
    texts: [],
  };
}

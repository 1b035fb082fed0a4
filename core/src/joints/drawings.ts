/** Where the joints are marked on a panel: the two edges of every scarf. */
import { straightPath } from '../formats';
import type { Panel } from '../panels';
import type { Marks } from '../stage';
import type { JointedPanel } from './joint';

export function jointsOnPanel(panel: Panel, jointed: readonly JointedPanel[]): Marks {
  const joints = jointed.find((other) => other.panel === panel.id)?.joints ?? [];
  return {
    paths: joints.flatMap(({ u, scarf, low, high }) =>
      [-scarf / 2, scarf / 2].map((d) => straightPath([u + d, low], [u + d, high])),
    ),
    texts: [],
  };
}

/** A joint on its panel: picked by a press, drawn along the panel, moved by the arrow keys. */
import { useTheme } from '@mui/material/styles';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import {
  changedJoint,
  idOfChanged,
  jointOfThing,
  jointThing,
  KIND_WORDS,
  lineOfJoint,
  roomOfJoint,
  sheetForSkin,
  type Joint,
} from '@kalotrope/core/joints';
import type { JointedPanel } from '@kalotrope/core/joints';
import { DIVISION_MM, formatWithUnit } from '@kalotrope/core/measure';
import { thicknessOf } from '@kalotrope/core/panels';
import { edited } from '../../state/document-slice';
import { picked } from '../../state/screen-slice';
import { selectNotation, selectPicked, selectProject } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { pathOf } from '../../drawing/DrawingSurface';

type Props = {
  readonly panel: JointedPanel;
  readonly joint: Joint;
  readonly number: number;
  /** The panel's upper edge. */
  readonly high: number;
  readonly px: number;
};

/** A press that moves less than this, in pixels, picks and moves nothing. */
const SLACK_PX = 3;
/** Narrower joints are drawn and taken hold of so wide. */
const LEAST_PX = 14;
const STEPS: Readonly<Record<string, number>> = { ArrowLeft: -1, ArrowRight: 1 };

export function JointMark({ panel, joint, number, high, px }: Props) {
  const { palette } = useTheme();
  const notation = useAppSelector(selectNotation);
  const choice = jointOfThing(useAppSelector(selectPicked));
  const isPicked = choice?.panel === panel.panel && choice.key === joint.key;
  const { u, width, low, high: top, kind } = joint;
  const hold = useHold(panel, joint, px);
  const colour = isPicked ? palette.secondary.main : palette.primary.main;
  const across = Math.max(width, LEAST_PX * px);
  const sides = [-width / 2, width / 2].map((d) =>
    pathOf([
      [u + d, low],
      [u + d, top],
    ]),
  );
  const words = joint.own === undefined ? KIND_WORDS[kind] : `${KIND_WORDS[kind]}, yours`;
  return (
    <g
      tabIndex={0}
      data-grip
      role="slider"
      aria-label={`${panel.name}, joint ${number}`}
      aria-valuemin={Math.round(panel.from)}
      aria-valuemax={Math.round(panel.from + panel.length)}
      aria-valuenow={Math.round(u)}
      aria-valuetext={`${formatWithUnit(u, notation)} from the fore end`}
      style={{ cursor: 'ew-resize', touchAction: 'none' }}
      {...hold}
    >
      <rect x={u - across / 2} width={across} y={-top} height={top - low} fill={colour} opacity={0.3} />
      <path
        d={kind === 'scarf' ? sides.join('') : sides.join('') + pathOf(lineOfJoint(joint).points)}
        stroke={colour}
        strokeWidth={(isPicked ? 2.4 : 1.4) * px}
      />
      <text x={u} y={-high - 6 * px} fontSize={13 * px} fontWeight={600} textAnchor="middle" fill={colour}>
        {words} {width > 0 && formatWithUnit(width, notation)}
      </text>
    </g>
  );
}

/** What a pointer and the keys do to a joint. */
function useHold(panel: JointedPanel, joint: Joint, px: number) {
  const dispatch = useAppDispatch();
  const project = useAppSelector(selectProject);
  const notation = useAppSelector(selectNotation);
  const drag = useRef<{ readonly id: string; readonly from: number; readonly off: number; isMoving: boolean } | null>(
    null,
  );
  const pick = () => dispatch(picked(jointThing(panel.panel, joint.key)));
  const put = (wanted: number, gesture: string) => {
    if (!project) return;
    const { width, margin } = sheetForSkin(project.sheets, thicknessOf(panel, project.panels.thickness));
    const [low, high] = roomOfJoint(panel, joint, width - 2 * margin);
    const at = Math.min(high, Math.max(low, wanted));
    const value = changedJoint(project.joints.own, panel, joint, { at });
    dispatch(edited({ label: `${panel.name}: joint moved`, gesture, edits: [{ path: ['joints', 'own'], value }] }));
    dispatch(picked(jointThing(panel.panel, idOfChanged(joint, panel.panel, value))));
  };
  const end = () => {
    drag.current = null;
  };
  return {
    onPointerDown: (event: PointerEvent<SVGGElement>) => {
      if (event.button !== 0) return;
      event.stopPropagation();
      event.currentTarget.setPointerCapture(event.pointerId);
      pick();
      const at = placeOf(event);
      drag.current = { id: `joint ${event.timeStamp}`, from: at, off: at - joint.u, isMoving: false };
    },
    onPointerMove: (event: PointerEvent<SVGGElement>) => {
      const now = drag.current;
      if (!now) return;
      const at = placeOf(event);
      if (!now.isMoving && Math.abs(at - now.from) < SLACK_PX * px) return;
      now.isMoving = true;
      put(Math.round(at - now.off), now.id);
    },
    onPointerUp: end,
    onPointerCancel: end,
    onKeyDown: (event: KeyboardEvent) => {
      const way = STEPS[event.key];
      if (event.key === 'Enter' || event.key === ' ') pick();
      else if (way !== undefined)
        put(joint.u + way * DIVISION_MM[notation] * (event.shiftKey ? 100 : 10), 'joint keys');
      else return;
      event.preventDefault();
    },
  };
}

/** Along the panel, mm: the group's own coordinates. */
function placeOf(event: PointerEvent<SVGGElement>): number {
  const matrix = event.currentTarget.getScreenCTM();
  return matrix ? new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse()).x : 0;
}

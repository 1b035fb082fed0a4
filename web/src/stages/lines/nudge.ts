/** The drawing by keyboard: arrows left and right walk along the points of a line, up and down move the picked one. */
import type { KeyboardEvent } from 'react';
import { pointOf, lineOf, pointThing, pointName, pointPath, type Hull } from '@kalotrope/core/lines';
import { DIVISION_MM } from '@kalotrope/core/measure';
import { edited } from '../../state/document-slice';
import { picked } from '../../state/screen-slice';
import { selectNotation, selectPicked } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { drawnLines } from './views';

const STEPS: Readonly<Record<string, 1 | -1>> = { ArrowLeft: -1, ArrowRight: 1, ArrowDown: -1, ArrowUp: 1 };

/** Up and down move the height by a division of the rule; with Shift the half-breadth, outward and inward. */
export function useNudge(hull: Hull): (event: KeyboardEvent) => void {
  const choice = useAppSelector(selectPicked);
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  return (event) => {
    const by = STEPS[event.key];
    if (by === undefined || event.ctrlKey || event.metaKey || event.altKey) return;
    const lines = drawnLines(hull);
    const own = lineOf(choice);
    const line = lines.find(({ id }) => id === own) ?? lines[0];
    if (!line) return;
    event.preventDefault();
    const place = line.points.findIndex(({ index }) => index === pointOf(choice));
    const point = line.points[place];
    if (event.key === 'ArrowLeft' || event.key === 'ArrowRight' || !point) {
      const next = line.points[Math.min(Math.max(place + by, 0), line.points.length - 1)];
      if (next) dispatch(picked(pointThing(line.id, next.index)));
      return;
    }
    const key = event.shiftKey ? 'halfBreadth' : 'height';
    dispatch(
      edited({
        label: `${line.name}, ${pointName(point)}: nudged`,
        gesture: `nudge ${line.id} ${point.index} ${key}`,
        edits: [{ path: pointPath(line.id, point.index, key), value: point[key] + by * DIVISION_MM[notation] }],
      }),
    );
  };
}

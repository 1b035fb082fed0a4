/** What can be done with the picked sheet: a place on it marked as spoiled, what is left of it put on the rack. */
import { useMemo } from 'react';
import { formatWithUnit } from '@kalotrope/core/measure';
import type { Project } from '@kalotrope/core/project';
import {
  asKept,
  inCuttingOrder,
  jobPartName,
  largestOffcut,
  LEAST_OFFCUT_MM,
  type CutPart,
} from '@kalotrope/core/sheets';
import { Act } from '../../controls/Act';
import { Figure } from '../../controls/Figure';
import { said } from '../../state/screen-slice';
import { useAppDispatch } from '../../state/store';
import { putOnRack } from '../../storage/offcuts';
import type { Shelf } from './shelf';

type Props = {
  readonly shelf: Shelf;
  readonly parts: readonly CutPart[];
  readonly number: number;
  readonly project: Project;
  readonly isMarking: boolean;
  readonly onMark: (isMarking: boolean) => void;
};

export function OfSheet({ shelf, parts, number, project, isMarking, onMark }: Props) {
  const dispatch = useAppDispatch();
  const { notation } = project;
  const left = useMemo(() => largestOffcut(shelf.sheet, shelf.batch, LEAST_OFFCUT_MM), [shelf]);
  const say = (mm: number) => formatWithUnit(mm, notation);
  const keep = () => {
    if (!left) return;
    const { thickness, kind } = shelf.batch;
    const name = `${project.name}, sheet ${number}`;
    void putOnRack({ id: crypto.randomUUID(), name, thickness, kind, ...asKept(left) }).then(
      () => dispatch(said(`On the rack: ${name}`)),
      () => dispatch(said('This browser did not take it: the rack is as it was')),
    );
  };
  return (
    <>
      {left && (
        <Figure
          name="Left in one piece"
          value={`${say(left.box.maxX - left.box.minX)} × ${say(left.box.maxY - left.box.minY)}`}
          why="The largest rectangle that nothing lies on, to a centimetre"
        />
      )}
      {shelf.stack && (
        <p className="quiet">
          {shelf.stack.isOver
            ? `Sheet ${shelf.stack.number} lies under it, turned over sideways, screwed to it where nothing is cut: ` +
              'one cut gives both hands. What is no pair is cut when they are apart.'
            : `It lies under sheet ${shelf.stack.number}, turned over sideways, and is cut with it; what is no pair ` +
              'when they are apart.'}
        </p>
      )}
      <p className="quiet">
        By hand it is cut in this order, from its free end, openings before the outline round them:
      </p>
      <ol className="quiet" aria-label="Order of cutting">
        {inCuttingOrder(shelf.sheet, shelf.batch.job).map(({ part, copy }) => (
          <li key={`${part} ${copy}`}>{jobPartName(part, parts)}</li>
        ))}
      </ol>
      <div className="acts">
        {left && <Act label="Once cut: put what is left on the rack" onAct={keep} />}
        <Act label={isMarking ? 'Mark nothing' : 'Mark a spoiled place'} onAct={() => onMark(!isMarking)} />
      </div>
      {isMarking && <p className="quiet">Press on one corner of it on the sheet, then on the opposite one.</p>}
    </>
  );
}

/** Sides measured as bent: where along, how broad, how high. Frames that are not set yet are fitted to them. */
import type { EditValue } from '@kalotrope/core/findings';
import { freeId } from '@kalotrope/core/frames';
import type { SetupPart, SidePlace } from '@kalotrope/core/setup';
import { Act } from '../../controls/Act';
import { LengthField } from '../../controls/LengthField';
import { SelectField } from '../../controls/SelectField';
import { edited } from '../../state/document-slice';
import { useAppDispatch } from '../../state/store';

type Line = { readonly id: string; readonly name: string };
type Props = {
  readonly part: SetupPart;
  readonly lines: readonly Line[];
  /** What a line measures as drawn, so that only what differs is typed. */
  readonly asDrawn: (line: string, along: number) => Pick<SidePlace, 'along' | 'breadth' | 'over'>;
};

const MOST = 200;
const LABELS = { along: 'Side measured at', breadth: 'Breadth, outside', over: 'Height over the line' } as const;

export function SidesMeasured({ part: { sides }, lines, asDrawn }: Props) {
  const dispatch = useAppDispatch();
  const put = (label: string, value: EditValue) =>
    void dispatch(edited({ label, edits: [{ path: ['setup', 'sides'], value }] }));
  const sheer = lines[lines.length - 1];
  const names = Object.fromEntries(lines.map(({ id, name }) => [id, name]));
  const add = () => {
    const line = sheer?.id ?? '';
    const along = Math.max(0, ...sides.map((side) => side.along)) + APART_MM;
    put('Side measured', [...sides, { id: freeId('side', sides), line, ...asDrawn(line, along) }]);
  };
  const field = (side: SidePlace, key: keyof typeof LABELS) => (
    <LengthField
      label={LABELS[key]}
      mm={side[key]}
      onCommit={(value) =>
        dispatch(edited({ label: LABELS[key], edits: [{ path: ['setup', 'sides', side.id, key], value }] }))
      }
      path={['setup', 'sides', side.id, key]}
    />
  );
  return (
    <>
      {sides.map((side, k) => (
        <div key={side.id} className="field-grid" role="group" aria-label={`Side, place ${k + 1}`}>
          <SelectField
            label="Along which line"
            value={side.line in names ? side.line : ''}
            names={names}
            onChange={(value) =>
              dispatch(
                edited({ label: 'Side measured', edits: [{ path: ['setup', 'sides', side.id, 'line'], value }] }),
              )
            }
          />
          {field(side, 'along')}
          {field(side, 'breadth')}
          {field(side, 'over')}
          <Act
            label="Take it out"
            onAct={() =>
              put(
                'Side, a place taken out',
                sides.filter(({ id }) => id !== side.id),
              )
            }
          />
        </div>
      ))}
      {sides.length < MOST && sheer && <Act label="Measure the sides as bent" onAct={add} />}
    </>
  );
}

/** The next place is offered so much further along. */
const APART_MM = 600;

/** Whether the picked part is scribed in place: then the smallest rectangle that holds it is cut. */
import type { SheetsPart } from '@kalotrope/core/sheets';
import { usualIn, type Notation } from '@kalotrope/core/measure';
import { edited } from '../../state/document-slice';
import { Act } from '../../controls/Act';
import { LengthField } from '../../controls/LengthField';
import { useAppDispatch } from '../../state/store';

type Props = { readonly part: string; readonly scribed: SheetsPart['scribed']; readonly notation: Notation };

const START_MM = 20;

export function Scribed({ part, scribed, notation }: Props) {
  const dispatch = useAppDispatch();
  const put = (label: string, value: SheetsPart['scribed']) =>
    dispatch(edited({ label, edits: [{ path: ['sheets', 'scribed'], value }] }));
  const own = scribed.find(({ id }) => id === part);
  if (!own)
    return (
      <Act
        label="Scribe it in place"
        onAct={() => put('Scribed in place', [...scribed, { id: part, extra: usualIn(START_MM, notation) }])}
      />
    );
  return (
    <>
      <LengthField
        label="Blank larger all round by"
        mm={own.extra}
        path={['sheets', 'scribed', part, 'extra']}
        onCommit={(value) =>
          dispatch(edited({ label: 'Blank', edits: [{ path: ['sheets', 'scribed', part, 'extra'], value }] }))
        }
      />
      <Act
        label="Cut it to its line"
        onAct={() =>
          put(
            'Cut to its line',
            scribed.filter(({ id }) => id !== part),
          )
        }
      />
    </>
  );
}

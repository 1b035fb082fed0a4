/** The panels for the boat as it stands: whether they are developed so, and what changes, edge by edge. */
import Button from '@mui/material/Button';
import { unitLabel } from '@kalotrope/core/measure';
import type { Hull } from '@kalotrope/core/lines';
import { CHANGE_HEADS, changeRows, placeAsDrawn, type SetupPart, type SetupValue } from '@kalotrope/core/setup';
import { PlainTable } from '../../controls/PlainTable';
import { Section } from '../../controls/Section';
import { edited } from '../../state/document-slice';
import { selectNotation } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { BUILT_SECTION } from './labels';
import { SidesMeasured } from './SidesMeasured';

const COLUMNS = CHANGE_HEADS.map((name, i) => ({ name, ...(i > 0 && { isFigure: true }) }));

type Props = {
  readonly part: SetupPart;
  readonly value: SetupValue;
  readonly hull: Pick<Hull, 'lines' | 'fromX' | 'toX'>;
};

export function AsBuilt({ part, value, hull }: Props) {
  const dispatch = useAppDispatch();
  const notation = useAppSelector(selectNotation);
  const { asBuilt } = part;
  const read = value.frames.filter(({ result }) => result.advised.readings > 0).length;
  return (
    <Section title={BUILT_SECTION} aside={asBuilt ? 'as built' : 'as drawn'}>
      <p className="quiet">
        Panels for the frames where they stand, rather than where they were drawn: {read} of {value.frames.length} are
        read; the others, and both ends, are taken to stand right. Drawings, marking-out tables and sheets of paper of
        them are with this stage; Joints and Sheets join them and lay them out in place of the drawn ones.
      </p>
      <Button
        variant={asBuilt ? 'contained' : 'outlined'}
        aria-pressed={asBuilt}
        onClick={() =>
          dispatch(
            edited({
              label: asBuilt ? 'Panels as drawn' : 'Panels as built',
              edits: [{ path: ['setup', 'asBuilt'], value: !asBuilt }],
            }),
          )
        }
      >
        Develop the panels as built
      </Button>
      <SidesMeasured
        part={part}
        lines={hull.lines}
        asDrawn={(line, along) => placeAsDrawn(hull, { line, along, part, value })}
      />
      {asBuilt && value.fitted.length > 0 && (
        <p className="quiet">
          Not set up yet, and fitted to the hull as it stands: {value.fitted.map(({ name }) => name).join(', ')}. Their
          sections are among the drawings and tables.
        </p>
      )}
      {value.built.length > 0 && (
        <PlainTable
          label={`Panels as built, edge by edge, in ${unitLabel(notation)}`}
          columns={COLUMNS}
          rows={changeRows(value.built, notation).map((cells, key) => ({ key, cells }))}
        />
      )}
    </Section>
  );
}

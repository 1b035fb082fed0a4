/** How the saw is set for each piece, and in what order it is worked. */
import { formatDeg, formatFine, unitLabel } from '@kalotrope/core/measure';
import { FACE_DOWN, RIP_ORDER, type Rip } from '@kalotrope/core/timber';
import { PlainTable } from '../../controls/PlainTable';
import { Section } from '../../controls/Section';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';

export function Rips({ rips }: { readonly rips: readonly Rip[] }) {
  const notation = useAppSelector(selectNotation);
  if (rips.length === 0) return null;
  const tilted = rips.filter(({ tiltDeg }) => tiltDeg > 0).length;
  return (
    <Section title="Ripping" aside={tilted > 0 ? `${tilted} with the saw tilted` : 'all square'}>
      <PlainTable
        label="Ripping"
        columns={[
          { name: 'piece, face down' },
          { name: `rip to, ${unitLabel(notation)}`, isFigure: true },
          { name: 'tilt', isFigure: true },
          { name: 'to plane', isFigure: true },
        ]}
        rows={rips.map(({ run, name, blankWidth, tiltDeg, wider, leftMm }) => ({
          key: run,
          cells: [
            wider === 'same' ? name : `${name}: ${FACE_DOWN[wider]}`,
            formatFine(blankWidth, notation),
            formatDeg(tiltDeg),
            formatFine(leftMm, notation),
          ],
        }))}
      />
      <ol className="quiet">
        {RIP_ORDER.map((words) => (
          <li key={words}>{words}</li>
        ))}
      </ol>
      <p className="quiet">Long rips are made on a guided track, never freehand; with a helper who only carries.</p>
    </Section>
  );
}

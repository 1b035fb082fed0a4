import Button from '@mui/material/Button';
import { useState } from 'react';
import { formatLength, formatSmall, formatWithUnit } from '@kalotrope/core/measure';
import type { Gaps, GapSeam } from '@kalotrope/core/panels';
import { LengthField } from '../../../controls/LengthField';
import { PlainTable } from '../../../controls/PlainTable';
import { Section } from '../../../controls/Section';
import { SelectField } from '../../../controls/SelectField';
import { useWriteEntry } from '../../../controls/use-write-entry';
import { said } from '../../../state/screen-slice';
import { selectNotation } from '../../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../../state/store';
import { useNames } from '../SheetSettings';
import type { MeasuredGap } from './measured';

type Props = { readonly gaps: Gaps; readonly measured: readonly MeasuredGap[] };

const COLUMNS = [
  { name: 'seam' },
  { name: 'along', isFigure: true },
  { name: 'measured', isFigure: true },
  { name: '19 of 20', isFigure: true },
];

/** Gaps of the boat as she was tied together, beside what was foretold of the same places; kept in the log. */
export function MeasuredHere({ gaps, measured }: Props) {
  const notation = useAppSelector(selectNotation);
  const nameOf = useNames();
  const write = useWriteEntry();
  const dispatch = useAppDispatch();
  const lines = [...new Map(gaps.seams.map((seam) => [seam.line, nameOf(seam.line)]))];
  const [line, setLine] = useState('');
  const [along, setAlong] = useState(0);
  const [mm, setMm] = useState(0);
  const chosen = gaps.seams.find((seam) => seam.line === line) ?? gaps.seams[0];
  if (!chosen) return null;
  const isOn = along >= 0 && along <= chosen.length && mm >= 0;
  const put = async () => {
    const place = `${formatWithUnit(along, notation)} from its fore end`;
    const words = `Gap at the ${nameOf(chosen.line).toLowerCase()}, ${place}`;
    const gap = { line: chosen.line, along };
    if (await write({ kind: 'measured', drawn: 0, found: mm, words, gap })) dispatch(said('It stands in the log'));
  };
  return (
    <Section title="Gaps measured">
      <div className="field-grid no-print">
        <SelectField label="At the seam" value={chosen.line} names={Object.fromEntries(lines)} onChange={setLine} />
        <LengthField label="From its fore end" mm={along} onCommit={setAlong} />
        <LengthField label="It gapes" mm={mm} onCommit={setMm} />
      </div>
      {!isOn && <p role="alert">The seam is {formatWithUnit(chosen.length, notation)} long; a gap is 0 or more.</p>}
      <div className="acts no-print">
        <Button variant="outlined" disabled={!isOn} onClick={() => void put()}>
          Write the gap down
        </Button>
      </div>
      {measured.length > 0 && (
        <PlainTable
          label="Gaps measured and foretold"
          columns={COLUMNS}
          rows={measured.map((one) => ({
            key: one.id,
            cells: [
              nameOf(one.line),
              formatLength(one.along, notation),
              formatSmall(one.mm, notation),
              foretoldAt(gaps.seams, one, (figure) => formatSmall(figure, notation)),
            ],
          }))}
        />
      )}
    </Section>
  );
}

/** Of the nearest place of that seam; nothing where there is no such seam any more. */
function foretoldAt(seams: readonly GapSeam[], gap: MeasuredGap, say: (mm: number) => string): string {
  const places = seams.filter(({ line }) => line === gap.line).flatMap((seam) => seam.places);
  const [first, ...others] = places;
  if (!first) return '';
  const off = (place: typeof first) => Math.abs(place.along - gap.along);
  return say(others.reduce((nearest, place) => (off(place) < off(nearest) ? place : nearest), first).nineteen);
}

/** The bevels of a log, a keelson, a clamp or a stem all along it: what to rip, and what is left to plane. */
import { useState } from 'react';
import { framesStage, mitreDeg, type RollingBevel } from '@kalotrope/core/frames';
import { formatDeg, formatFine, formatSmall, unitLabel } from '@kalotrope/core/measure';
import { Figure } from '../../controls/Figure';
import { LengthField } from '../../controls/LengthField';
import { PlainTable } from '../../controls/PlainTable';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { Terms } from '../../controls/Terms';
import { edited } from '../../state/document-slice';
import { selectNotation } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';

import { BEVEL_STEP, BEVELS_SECTION } from './frame-words';

const STEP_PATH = [framesStage.name, 'bevelStep'];
const COLUMNS = [
  { name: 'at' },
  ...['from its fore end', 'between', 'bevel', 'sheets mitred'].map((name) => ({ name, isFigure: true })),
];

type Props = { readonly bevels: readonly RollingBevel[]; readonly step: number };

export function RollingBevels({ bevels, step }: Props) {
  const dispatch = useAppDispatch();
  const [chosen, setChosen] = useState<string | null>(null);
  const bevel = bevels.find(({ line }) => line === chosen) ?? bevels.find((one) => !one.isOnCentreline) ?? bevels[0];
  if (!bevel) return null;
  return (
    <Section title={BEVELS_SECTION} aside={bevel.name}>
      <div className="field-grid no-print">
        <SelectField
          label="Along"
          value={bevel.line}
          names={Object.fromEntries(bevels.map(({ line, name }) => [line, name]))}
          onChange={setChosen}
        />
        <LengthField
          label={BEVEL_STEP}
          mm={step}
          path={STEP_PATH}
          onCommit={(value) => dispatch(edited({ label: 'Step of bevels', edits: [{ path: STEP_PATH, value }] }))}
        />
      </div>
      <OneBevel bevel={bevel} />
    </Section>
  );
}

function OneBevel({ bevel }: { readonly bevel: RollingBevel }) {
  const notation = useAppSelector(selectNotation);
  const { rows, ripDeg, leftToPlaneDeg, wedgeMm, isOnCentreline } = bevel;
  return (
    <>
      <Figure
        name="Rip at"
        value={formatDeg(ripDeg)}
        why="The bevel nearest to square: tilted so, the saw takes off nothing that is wanted anywhere"
      />
      <Figure
        name="Then plane off up to"
        value={`${formatDeg(leftToPlaneDeg)}, ${formatSmall(wedgeMm, notation)} on a face of 20 mm`}
        why="The difference to the bevel that lies furthest from it"
      />
      <p className="quiet">
        <Terms
          text={
            (isOnCentreline
              ? 'Between the two sides, and from square; each side takes half of what is missing to straight. '
              : 'Between the two faces that the piece lies against, and from square. ') +
            'Sheets mitred: off square, where their own edges are planed to meet face to face; one that butts on the ' +
            `inside of the other takes the bevel. Lengths in ${unitLabel(notation)}.`
          }
        />
      </p>
      <PlainTable
        label={`Bevels along ${bevel.name.toLowerCase()}`}
        columns={COLUMNS}
        rows={rows.map(({ s, station, dihedralDeg, bevelDeg }) => ({
          key: s,
          cells: [
            station ?? '',
            formatFine(s, notation),
            formatDeg(dihedralDeg),
            formatDeg(bevelDeg),
            formatDeg(mitreDeg(dihedralDeg)),
          ],
        }))}
      />
    </>
  );
}

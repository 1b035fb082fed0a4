import { memo } from 'react';
import type { EditValue } from '@kalotrope/core/findings';
import { formatFine, formatWithUnit, unitLabel, type Notation } from '@kalotrope/core/measure';
import {
  isSplitLine,
  MIDDLE_FROM_MM,
  thicknessOf,
  type LinesTo,
  type Meeting,
  type Panel,
  type PanelsPart,
  type TransomEnds,
  type TransomFit,
} from '@kalotrope/core/panels';
import { edited } from '../../state/document-slice';
import { LengthField } from '../../controls/LengthField';
import { OptionalLength } from '../../controls/OptionalLength';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { Terms } from '../../controls/Terms';
import { Figure } from '../../controls/Figure';
import { selectDerived, selectNotation } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { thicknessLabel } from './thickness-label';

const LINES: Readonly<Record<LinesTo, string>> = {
  outside: 'outer face',
  middle: 'middle',
  inside: 'inner face',
};
const MEETING: Readonly<Record<Meeting, string>> = {
  stitched: 'corners touch',
  lapped: 'lapped',
};

const FITS: Readonly<Record<TransomFit, string>> = {
  caps: 'caps the panels',
  between: 'between the panels',
};
const ENDS: Readonly<Record<TransomEnds, string>> = {
  inner: 'inner face',
  outer: 'outer face',
};

/** What a waterline and a bent transom start from. */
const START_WATERLINE_MM = 150;
const START_RADIUS_MM = 2500;

/** The sheet, how panels meet, and what is marked on them; with what the thickness changed on the picked one. */
export function SheetSettings({ panel, part }: { readonly panel: Panel | undefined; readonly part: PanelsPart }) {
  const notation = useAppSelector(selectNotation);
  return (
    <Section title="The sheet and its edges">
      <SheetFields part={part} />
      <TransomsSaid />
      {panel?.allowances && <Allowances panel={panel} part={part} notation={notation} />}
    </Section>
  );
}

const SheetFields = memo(function SheetFields({ part }: { readonly part: PanelsPart }) {
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  const hasTransoms = useAppSelector((state) => (selectDerived(state)?.panels.value.transoms.length ?? 0) > 0);
  const hasTransom = useAppSelector(
    (state) => selectDerived(state)?.panels.value.transoms.some(({ end }) => end === 'aft') === true,
  );
  const set = (label: string, path: readonly string[], value: EditValue) =>
    dispatch(edited({ label, edits: [{ path: ['panels', ...path], value }] }));
  return (
    <div className="field-grid no-print">
      <LengthField
        label={thicknessLabel('Skin', part.thickness, notation)}
        path={['panels', 'thickness']}
        mm={part.thickness}
        onCommit={(mm) => set('Skin thickness', ['thickness'], mm)}
      />
      <SelectField
        label="Table measured to"
        value={part.linesTo}
        names={LINES}
        onChange={(linesTo) => set('Lines to the skin', ['linesTo'], linesTo)}
      />
      <SelectField
        label="At seams"
        value={part.meeting}
        names={MEETING}
        onChange={(meeting) => set('How panels meet', ['meeting'], meeting)}
      />
      <LengthField
        label="Holes every"
        path={['panels', 'stitches', 'spacing']}
        mm={part.stitches.spacing}
        onCommit={(mm) => set('Spacing of holes', ['stitches', 'spacing'], mm)}
      />
      <LengthField
        label="Holes from the edge"
        path={['panels', 'stitches', 'inset']}
        mm={part.stitches.inset}
        onCommit={(mm) => set('Holes from the edge', ['stitches', 'inset'], mm)}
      />
      <OptionalLength
        mm={part.waterline}
        path={['panels', 'waterline']}
        label="Waterline at height"
        offer="Mark a waterline"
        remove="Take it off"
        start={START_WATERLINE_MM}
        onChange={(mm) => set(mm === null ? 'No waterline' : 'Waterline', ['waterline'], mm)}
      />
      {hasTransoms && <TransomFields part={part} set={set} isBent={part.transomRadius !== null} />}
      {(hasTransom || part.transomRadius !== null) && (
        <OptionalLength
          mm={part.transomRadius}
          path={['panels', 'transomRadius']}
          label="Transom’s radius"
          offer="Bend the transom"
          remove="Make it flat"
          start={START_RADIUS_MM}
          onChange={(mm) => set(mm === null ? 'Transom flat' : 'Transom bent', ['transomRadius'], mm)}
        />
      )}
    </div>
  );
});

/** Where the panels end at each transom, in a sentence. */
function TransomsSaid() {
  const transoms = useAppSelector((state) => selectDerived(state)?.panels.value.transoms) ?? [];
  return transoms.map(({ id, name, fit, face }) => (
    <p className="quiet" key={id}>
      <Terms
        text={
          fit === 'caps'
            ? `${name}: as large as the outside; the panels end on its ${face} face.`
            : `${name}: inside the skin all round; its ${face} face is flush with the panels’ ends.`
        }
      />
    </p>
  ));
}

type TransomProps = {
  readonly part: PanelsPart;
  readonly set: (label: string, path: readonly string[], value: EditValue) => void;
  readonly isBent: boolean;
};

/** How transoms stand to the panels; a bent one caps them. */
function TransomFields({ part, set, isBent }: TransomProps) {
  const notation = useAppSelector(selectNotation);
  return (
    <>
      <LengthField
        label={thicknessLabel('Transom', part.transomThickness, notation)}
        path={['panels', 'transomThickness']}
        mm={part.transomThickness}
        onCommit={(mm) => set('Transom thickness', ['transomThickness'], mm)}
      />
      {!isBent && (
        <>
          <SelectField
            label="Transom"
            value={part.transomFit}
            names={FITS}
            onChange={(fit) => set('How the transom stands', ['transomFit'], fit)}
          />
          <SelectField
            label="Lines end on its"
            value={part.transomEnds}
            names={ENDS}
            onChange={(face) => set('Where the lines end', ['transomEnds'], face)}
          />
        </>
      )}
    </>
  );
}

function Allowances({
  panel,
  part,
  notation,
}: {
  readonly panel: Panel;
  readonly part: PanelsPart;
  readonly notation: Notation;
}) {
  const nameOf = useEdgeNames(panel);
  const signed = (mm: number) => `${mm < 0 ? '−' : '+'}${formatFine(Math.abs(mm), notation)} ${unitLabel(notation)}`;
  return (
    <>
      <p className="quiet">
        {thicknessOf(panel, part.thickness) >= MIDDLE_FROM_MM
          ? 'Developed at the middle of the sheet, which keeps its length when it is bent.'
          : `Under ${formatWithUnit(MIDDLE_FROM_MM, notation)} the sheet is developed on the lines themselves.`}{' '}
        Thickness changes the edges by:
      </p>
      {panel.allowances?.map(({ longerBy, setback }, k) => (
        <Figure
          key={k}
          name={nameOf(k)}
          value={
            `${signed(longerBy)}, set back ${formatFine(setback.least, notation)} to ` +
            formatFine(setback.most, notation)
          }
          why="Length of the cut edge less that of the line, and how far the edge stands back from it"
        />
      ))}
    </>
  );
}

/** Names of lines by their ids. */
export function useNames(): (id: string) => string {
  const derived = useAppSelector(selectDerived);
  return (id) =>
    derived?.lines.value.lines.find((line) => line.id === id)?.name ??
    (isSplitLine(id, derived?.panels.value.panels ?? []) ? 'Line of the cut' : id);
}

/** What a panel's lower (0) and upper (1) edge run along: a line, or several from the bow aft. */
export function useEdgeNames(panel: Panel | undefined): (edge: number) => string {
  const nameOf = useNames();
  return (edge) => {
    const names = [...new Set(panel?.stretches[edge]?.map(({ line }) => nameOf(line)))];
    return names.map((name, i) => (i === 0 ? name : name.toLowerCase())).join(' and ');
  };
}

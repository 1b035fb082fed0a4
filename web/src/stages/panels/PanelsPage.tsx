import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import Typography from '@mui/material/Typography';
import { memo, useDeferredValue, useMemo, useState } from 'react';
import type { Station } from '@kalotrope/core/lines';
import { formatArea, formatDeg, formatWithUnit } from '@kalotrope/core/measure';
import type { Field, PanelRemedy, PanelsPart } from '@kalotrope/core/panels';
import type { Derived } from '@kalotrope/core/project';
import type { Picked } from '../../state/picked';
import { selectDerived, selectNotation, selectPicked, selectProject, selectStations } from '../../state/selectors';
import { pickedPanel } from './picked-panel';
import { Figure, Slip } from '../../controls/Slip';
import { useAppSelector } from '../../state/store';
import { InTheRound } from '../../drawing/InTheRound';
import { CardPages } from './CardPages';
import { CutInTwo } from './CutInTwo';
import { FieldLegend } from './FieldLegend';
import { MarkingTable } from './MarkingTable';
import { PanelsDrawing } from './PanelsDrawing';
import { PanelsHead, type PanelsLook, type PanelsView } from './PanelsHead';
import { Remedies } from './Remedies';
import { RoundedChines } from './RoundedChines';
import { Seams } from './Seams';
import { SheetSettings, useEdgeNames } from './SheetSettings';
import { TrueSection } from './TrueSection';

export default function PanelsPage() {
  const derived = useAppSelector(selectDerived);
  const project = useAppSelector(selectProject);
  const choice = useAppSelector(selectPicked);
  const stations = useAppSelector(selectStations);
  const [view, setView] = useState<PanelsView>('flat');
  const [look, setLook] = useState<PanelsLook>({ field: 'none', isByHand: false, hasHoles: false });
  const [preview, setPreview] = useState<PanelRemedy | null>(null);
  const [folded, setFolded] = useState(0);
  const field = look.field === 'none' ? undefined : look.field;
  const corner = useMemo(() => <InTheRound field={field} />, [field]);
  const value = derived?.panels.value;
  const part = project?.panels;
  // the slip's tables may come a little later than the drawing: they are made between frames
  const later = useDeferredValue(useMemo(() => ({ value, part, choice, stations }), [value, part, choice, stations]));
  if (!value || !part || !project) return null;
  const { panels, transoms } = value;
  const panel = pickedPanel(panels, choice);
  return (
    <>
      <Box sx={{ flex: { md: 1 }, minWidth: 0, minHeight: { md: 0 }, display: 'flex', flexDirection: 'column' }}>
        <PanelsHead view={view} onView={setView} look={look} onLook={setLook} />
        {view === 'flat' && (
          <PanelsDrawing
            panels={panels}
            transoms={transoms}
            stations={stations}
            part={part}
            look={look}
            preview={preview}
            corner={corner}
          />
        )}
        {view === 'flat' && field && <FieldLegend field={field} />}
        {view === 'card' && <CardPages project={project} />}
        {view === 'fold' && <Folding share={folded} onShare={setFolded} />}
      </Box>
      <Slip stage="panels" title={panel?.name ?? 'No panel'} numbers={<PanelNumbers />}>
        <SlipBody {...later} field={field} preview={preview} onPreview={setPreview} />
      </Slip>
    </>
  );
}

type BodyProps = {
  readonly value: Derived['panels']['value'] | undefined;
  readonly part: PanelsPart | undefined;
  readonly choice: Picked | null;
  readonly stations: readonly Station[];
  readonly field: Field | undefined;
  readonly preview: PanelRemedy | null;
  readonly onPreview: (remedy: PanelRemedy | null) => void;
};

/** What can be asked of the picked panel and of all of them. */
const SlipBody = memo(function SlipBody({ value, part, choice, stations, field, preview, onPreview }: BodyProps) {
  if (!value || !part) return null;
  const { panels, strips } = value;
  const panel = pickedPanel(panels, choice);
  return (
    <>
      {panel && <Remedies panel={panel} shown={preview} onShow={onPreview} />}
      <SheetSettings panel={panel} part={part} />
      <Seams panels={panels} part={part} />
      {panel && <CutInTwo panel={panel} panels={panels} part={part} />}
      <RoundedChines panels={panels} strips={strips} part={part} />
      {panel && (
        <TrueSection panels={panels} picked={panel} stations={stations} field={field} thickness={part.thickness} />
      )}
      {panel && <MarkingTable panel={panel} part={part} />}
    </>
  );
});

/** The hull between flat and bent. */
function Folding({ share, onShare }: { readonly share: number; readonly onShare: (share: number) => void }) {
  return (
    <>
      <Box sx={{ position: 'relative', flex: 1, minHeight: { xs: 300, md: 0 }, borderTop: 1, borderColor: 'divider' }}>
        <InTheRound folded={share} isFilling />
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2.5, px: 3, py: 1 }}>
        <Typography variant="body2">flat</Typography>
        <Slider
          aria-label="Folded up"
          value={share}
          min={0}
          max={1}
          step={0.01}
          shiftStep={0.1}
          onChange={(_event, value) => onShare(Number(value))}
          getAriaValueText={(value) => `${Math.round(value * 100)} %`}
          valueLabelDisplay="auto"
          valueLabelFormat={(value) => `${Math.round(value * 100)} %`}
        />
        <Typography variant="body2">bent</Typography>
      </Box>
    </>
  );
}

function PanelNumbers() {
  const derived = useAppSelector(selectDerived);
  const choice = useAppSelector(selectPicked);
  const notation = useAppSelector(selectNotation);
  const panels = derived?.panels.value.panels ?? [];
  const panel = pickedPanel(panels, choice);
  const nameOf = useEdgeNames(panel);
  if (!panel)
    return <Typography variant="body2">Two lines at least make a panel. Import a table on the Lines stage.</Typography>;
  const [lower, upper] = panel.edges;
  const { maxTwist, maxStrain, minBendRadius } = panel;
  return (
    <>
      <Figure
        name={`Along the ${nameOf(0).toLowerCase()}`}
        value={formatWithUnit(lower.length, notation)}
        why="Length of the flat edge as it is cut"
      />
      <Figure
        name={`Along the ${nameOf(1).toLowerCase()}`}
        value={formatWithUnit(upper.length, notation)}
        why="Length of the flat edge as it is cut"
      />
      <Figure name="Area" value={formatArea(panel.areaM2)} why="Of one panel, measured on the flat" />
      <Figure
        name="Most twist"
        value={formatDeg(maxTwist.value, 2)}
        why={`Between the tangent planes at the ends of a ruling; at x ${Math.round(maxTwist.x)} mm`}
      />
      <Figure
        name="Would stretch by"
        value={`${(maxStrain.value * 100).toFixed(3)} %`}
        why="Greatest strain of the best flattening"
      />
      <Figure
        name="Tightest bend, radius"
        value={minBendRadius ? formatWithUnit(minBendRadius.value, notation) : 'flat'}
        why={
          minBendRadius
            ? `Across the rulings, at x ${Math.round(minBendRadius.x)} mm`
            : 'No ruling turns against the next'
        }
      />
      <Figure name="Cut" value={panel.spansCentreline ? 'one, across the centreline' : 'a mirrored pair'} />
    </>
  );
}

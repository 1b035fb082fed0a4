import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import Typography from '@mui/material/Typography';
import { memo, useMemo, useState, type ReactNode } from 'react';
import { cutOf, panelsStage, type Field, type Panel, type PanelRemedy } from '@kalotrope/core/panels';
import { MadeSoFar } from '../../controls/MadeSoFar';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { Slip } from '../../controls/Slip';
import { useRested } from '../../controls/use-rested';
import { InTheRound } from '../../drawing/hull/InTheRound';
import { selectDerived, selectPicked, selectProject, selectStations } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { CardPages } from './CardPages';
import { CutInTwo } from './CutInTwo';
import { CutProud } from './CutProud';
import { FIELD_WHAT, FieldLegend } from './FieldLegend';
import { GapsPage } from './gaps/GapsPage';
import { OwnSheet } from './OwnSheet';
import { MarkingTable } from './MarkingTable';
import { PanelNumbers } from './PanelNumbers';
import { PanelsDrawing } from './PanelsDrawing';
import { PanelsHead, type PanelsLook, type PanelsView } from './PanelsHead';
import { pickedPanel, pickedTransom } from './picked-panel';
import { Remedies } from './Remedies';
import { RoundedChines } from './RoundedChines';
import { Seams } from './Seams';
import { SheetSettings } from './SheetSettings';
import { TrueSection } from './TrueSection';

/** What follows an edit is below this: the page itself is drawn again only when another view is chosen. */
export default function PanelsPage() {
  const isThere = useAppSelector((state) => selectDerived(state) !== null);
  const [view, setView] = useState<PanelsView>('flat');
  const [look, setLook] = useState<PanelsLook>({ field: 'none', isByHand: false, hasHoles: false });
  const [preview, setPreview] = useState<PanelRemedy | null>(null);
  const [folded, setFolded] = useState(0);
  const field = look.field === 'none' ? undefined : look.field;
  if (!isThere) return null;
  const head = <PanelsHead view={view} onView={setView} look={look} onLook={setLook} />;
  if (view === 'gaps') return <GapsPage head={head} />;
  return (
    <>
      <Box sx={{ flex: { md: 1 }, minWidth: 0, minHeight: { md: 0 }, display: 'flex', flexDirection: 'column' }}>
        {head}
        {view === 'flat' && <FlatView look={look} preview={preview} />}
        {view === 'flat' && field && <FieldLegend what={FIELD_WHAT[field]} />}
        {view === 'card' && <CardPages />}
        {view === 'fold' && <Folding share={folded} onShare={setFolded} />}
      </Box>
      <PanelsSlip field={field} preview={preview} onPreview={setPreview} />
    </>
  );
}

type FlatProps = { readonly look: PanelsLook; readonly preview: PanelRemedy | null };

const FlatView = memo(function FlatView({ look, preview }: FlatProps) {
  const value = useAppSelector((state) => selectDerived(state)?.panels.value);
  const part = useAppSelector((state) => selectProject(state)?.panels);
  const stations = useAppSelector(selectStations);
  const field = look.field === 'none' ? undefined : look.field;
  const marks = look.hasHoles ? ('holes' as const) : undefined;
  const corner = useMemo(() => <InTheRound field={field} marks={marks} />, [field, marks]);
  if (!value || !part) return null;
  return <PanelsDrawing {...value} stations={stations} part={part} look={look} preview={preview} corner={corner} />;
});

type SlipProps = {
  readonly field: Field | undefined;
  readonly preview: PanelRemedy | null;
  readonly onPreview: (remedy: PanelRemedy | null) => void;
};

const NUMBERS = <PanelNumbers />;

const PanelsSlip = memo(function PanelsSlip({ field, preview, onPreview }: SlipProps) {
  const title = useAppSelector((state) => {
    const { panels, transoms } = selectDerived(state)?.panels.value ?? { panels: [], transoms: [] };
    const choice = selectPicked(state);
    return (pickedTransom(transoms, choice) ?? pickedPanel(panels, choice))?.name ?? 'No panel';
  });
  const body = useMemo(
    () => <SlipBody field={field} preview={preview} onPreview={onPreview} />,
    [field, preview, onPreview],
  );
  return (
    <Slip stage={panelsStage.name} title={title} numbers={NUMBERS}>
      {body}
    </Slip>
  );
});

/** What can be asked of the picked panel and of all of them; it may come a little later than the drawing. */
function SlipBody({ field, preview, onPreview }: SlipProps) {
  const value = useRested(useAppSelector((state) => selectDerived(state)?.panels.value));
  const part = useAppSelector((state) => selectProject(state)?.panels);
  const choice = useAppSelector(selectPicked);
  const stations = useAppSelector(selectStations);
  if (!value || !part) return null;
  const { panels, strips, transoms } = value;
  const transom = pickedTransom(transoms, choice);
  const panel = transom ? undefined : pickedPanel(panels, choice);
  return (
    <>
      {panel && <Remedies panel={panel} shown={preview} onShow={onPreview} />}
      {panel && (
        <Section title="Mark out">
          <OneOf of={panel}>{(own) => <MarkingTable panel={own} part={part} />}</OneOf>
        </Section>
      )}
      <MadeSoFar of={transom ? [transom.id] : panel ? cutOf(panel).map(({ id }) => id) : []} />
      <SheetSettings panel={panel} part={part} />
      <Seams panels={panels} part={part} />
      {panel && <OwnSheet panel={panel} part={part} />}
      {panel && <CutInTwo panel={panel} panels={panels} part={part} />}
      <CutProud panel={panel} part={part} hasTransoms={transoms.length > 0} />
      <RoundedChines panels={panels} strips={strips} part={part} />
      {panel && (
        <Section title="True section">
          <TrueSection panels={panels} picked={panel} stations={stations} field={field} thickness={part.thickness} />
        </Section>
      )}
    </>
  );
}

/** A panel as it is cut: itself, or the one of its layers that is chosen. */
function OneOf({ of, children }: { readonly of: Panel; readonly children: (panel: Panel) => ReactNode }) {
  const [chosen, setChosen] = useState('0');
  const all = useMemo(() => cutOf(of), [of]);
  const names = useMemo(() => Object.fromEntries(all.map(({ name }, k) => [String(k), name])), [all]);
  const own = all[Number(chosen)] ?? all[0] ?? of;
  return (
    <>
      {all.length > 1 && (
        <SelectField label="Which layer" value={String(all.indexOf(own))} names={names} onChange={setChosen} />
      )}
      {children(own)}
    </>
  );
}

type FoldingProps = { readonly share: number; readonly onShare: (share: number) => void };

/** The hull between flat and bent. */
function Folding({ share, onShare }: FoldingProps) {
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

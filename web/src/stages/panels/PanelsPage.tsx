import { lazy, Suspense } from 'react';
import Typography from '@mui/material/Typography';
import { formatArea, formatDeg, formatWithUnit } from '@kalotrope/core/measure';
import { edited } from '../../app/document-slice';
import { LengthField } from '../../app/LengthField';
import { selectDerived, selectNotation, selectPicked, selectProject, selectStations } from '../../app/selectors';
import { Figure, Slip } from '../../app/Slip';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { MarkingTable } from './MarkingTable';
import { PanelsDrawing } from './PanelsDrawing';

const HullView = lazy(() => import('../../drawing/HullView'));

const HULL = (
  <Suspense fallback={null}>
    <HullView />
  </Suspense>
);

export default function PanelsPage() {
  const derived = useAppSelector(selectDerived);
  const project = useAppSelector(selectProject);
  const choice = useAppSelector(selectPicked);
  const stations = useAppSelector(selectStations);
  if (!derived || !project) return null;
  const { panels, transoms } = derived.panels.value;
  const panel = panels.find((other) => choice?.kind === 'panel' && other.id === choice.id) ?? panels[0];
  return (
    <>
      <PanelsDrawing panels={panels} transoms={transoms} stations={stations} corner={HULL} />
      <Slip stage="panels" title={panel?.name ?? 'No panel'} numbers={<PanelNumbers />}>
        {panel && <MarkingTable panel={panel} step={project.panels.markingStep} />}
      </Slip>
    </>
  );
}

function PanelNumbers() {
  const derived = useAppSelector(selectDerived);
  const project = useAppSelector(selectProject);
  const choice = useAppSelector(selectPicked);
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  const panels = derived?.panels.value.panels ?? [];
  const panel = panels.find((other) => choice?.kind === 'panel' && other.id === choice.id) ?? panels[0];
  if (!panel || !project)
    return <Typography variant="body2">Two lines at least make a panel. Import a table on the Lines stage.</Typography>;
  const nameOf = (id: string) => derived?.lines.value.lines.find((line) => line.id === id)?.name ?? id;
  const [lower, upper] = panel.edges;
  const { maxTwist, maxStrain, minBendRadius } = panel;
  return (
    <>
      <Figure
        name={`Along the ${nameOf(lower.line).toLowerCase()}`}
        value={formatWithUnit(lower.length, notation)}
        why="Length of the flat edge; the neighbour's is the same"
      />
      <Figure
        name={`Along the ${nameOf(upper.line).toLowerCase()}`}
        value={formatWithUnit(upper.length, notation)}
        why="Length of the flat edge; the neighbour's is the same"
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
      <div style={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 10, marginTop: 12 }}>
        <LengthField
          label="Skin thickness"
          mm={project.panels.thickness}
          onCommit={(mm) =>
            dispatch(edited({ label: 'Skin thickness', edits: [{ path: ['panels', 'thickness'], value: mm }] }))
          }
        />
        <LengthField
          label="Marking step"
          mm={project.panels.markingStep}
          onCommit={(mm) =>
            dispatch(edited({ label: 'Marking step', edits: [{ path: ['panels', 'markingStep'], value: mm }] }))
          }
        />
      </div>
    </>
  );
}

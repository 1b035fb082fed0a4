import { formatArea, formatDeg, formatShare, formatThickness, formatWithUnit } from '@kalotrope/core/measure';
import { Figure } from '../../controls/Figure';
import type { Transom } from '@kalotrope/core/panels';
import { boxAround } from '../../drawing/DrawingSurface';
import { selectDerived, selectNotation, selectPicked, selectProject } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { pickedPanel, pickedTransom } from './picked-panel';
import { useEdgeNames } from './SheetSettings';

/** The picked panel's figures, or the picked transom's. */
export function PanelNumbers() {
  const transoms = useAppSelector((state) => selectDerived(state)?.panels.value.transoms);
  const transom = pickedTransom(transoms ?? [], useAppSelector(selectPicked));
  return transom ? <TransomNumbers transom={transom} /> : <OfPanel />;
}

const FITS: Readonly<Record<Transom['fit'], string>> = {
  caps: 'over the panels’ ends',
  between: 'between the panels',
};

function TransomNumbers({ transom }: { readonly transom: Transom }) {
  const notation = useAppSelector(selectNotation);
  const thickness = useAppSelector((state) => selectProject(state)?.panels.transomThickness ?? 0);
  const box = boxAround(transom.outline);
  return (
    <>
      <Figure name="Width" value={formatWithUnit(box.maxX - box.minX, notation)} why="Greatest, as it is cut" />
      <Figure
        name="Height"
        value={formatWithUnit(box.maxY - box.minY, notation)}
        why="In its own plane, as it is cut"
      />
      <Figure name="Area" value={formatArea(transom.areaM2, notation)} />
      <Figure name="Thickness" value={formatThickness(thickness, notation)} />
      <Figure
        name="Leans"
        value={formatDeg((transom.rakeRad * 180) / Math.PI, 1)}
        why="From upright; plus: its top lies further aft"
      />
      <Figure name="Stands" value={FITS[transom.fit]} />
      <Figure name="Cut" value="one" />
    </>
  );
}

function OfPanel() {
  const panels = useAppSelector((state) => selectDerived(state)?.panels.value.panels);
  const choice = useAppSelector(selectPicked);
  const notation = useAppSelector(selectNotation);
  const panel = pickedPanel(panels ?? [], choice);
  const nameOf = useEdgeNames(panel);
  if (!panel) return <p className="quiet">Two lines at least make a panel. Import a table on the Lines stage.</p>;
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
      <Figure name="Area" value={formatArea(panel.areaM2, notation)} why="Of one panel, measured on the flat" />
      <Figure
        name="Most twist"
        value={formatDeg(maxTwist.value, 2)}
        why={`Between the tangent planes at a ruling's ends; at ${formatWithUnit(maxTwist.x, notation)} from the stem`}
      />
      <Figure
        name="Would stretch by"
        value={formatShare(maxStrain.value, 3)}
        why="Greatest strain of the best flattening"
      />
      <Figure
        name="Tightest bend, radius"
        value={minBendRadius ? formatWithUnit(minBendRadius.value, notation) : 'flat'}
        why={
          minBendRadius
            ? `Across the rulings, at ${formatWithUnit(minBendRadius.x, notation)} from the stem`
            : 'No ruling turns against the next'
        }
      />
      <Figure name="Cut" value={panel.spansCentreline ? 'one, across the centreline' : 'a mirrored pair'} />
    </>
  );
}

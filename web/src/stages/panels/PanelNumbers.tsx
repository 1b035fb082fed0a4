import { formatArea, formatDeg, formatShare, formatWithUnit } from '@kalotrope/core/measure';
import { Figure } from '../../controls/Figure';
import { selectDerived, selectNotation, selectPicked } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { pickedPanel } from './picked-panel';
import { useEdgeNames } from './SheetSettings';

/** The picked panel's figures. */
export function PanelNumbers() {
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

/** Of how many thin sheets the picked panel is laid. */
import { formatFine, unitLabel } from '@kalotrope/core/measure';
import { cutOf, layersOf, MOST_LAYERS, withLayers, type Panel, type PanelsPart } from '@kalotrope/core/panels';
import { NumberField, numberBetween } from '../../controls/NumberField';
import { PlainTable } from '../../controls/PlainTable';
import { Section } from '../../controls/Section';
import { edited } from '../../state/document-slice';
import { selectNotation } from '../../state/selectors';
import { useAppDispatch, useAppSelector, useAppStore } from '../../state/store';

const COUNTS = numberBetween(1, MOST_LAYERS, true);

type Props = { readonly panel: Panel; readonly part: PanelsPart };

/** One sheet bends as far as it is thin: a panel that will not bend in one is laid of two or three. */
export function Layers({ panel, part }: Props) {
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const count = layersOf(panel.id, part.layered);
  const set = (layers: number) => {
    // from the list as it is then: what is shown here may lag behind an edit
    const now = store.getState().document.project?.panels.layered ?? [];
    const value = withLayers(now, panel.id, layers).map((own) => ({ ...own }));
    dispatch(edited({ label: `${panel.name}: layers`, edits: [{ path: ['panels', 'layered'], value }] }));
  };
  return (
    <Section
      title="Laid in layers"
      aside={count > 1 ? `${count} of ${Number((part.thickness / count).toFixed(2))} mm` : 'one sheet'}
    >
      <div className="field-grid no-print">
        <NumberField label="Layers" value={count} read={COUNTS} onCommit={set} />
      </div>
      {panel.layers ? (
        <>
          <p className="quiet">
            The skin stays as thick as it is. Each layer has its own shape, its own butts, staggered from those of the
            layer under it, and is glued down on the whole of it. Mark the outer ones a little large if you like, and
            trim them in place.
          </p>
          <PlainTable
            label="Layers from the inside out"
            columns={COLUMNS}
            rows={cutOf(panel).map(({ name, edges: [lower, upper] }, k) => ({
              key: k,
              cells: [
                name.slice(panel.name.length + 2),
                ...[lower.length, upper.length].map((mm) => formatFine(mm, notation)),
              ],
            }))}
          />
          <p className="quiet">{`Along the edges, in ${unitLabel(notation)}.`}</p>
        </>
      ) : (
        <p className="quiet">
          Thin sheets bend where one thick one will not. Laid on one another they make up the skin’s thickness, and
          their joints lie in different places.
        </p>
      )}
    </Section>
  );
}

const COLUMNS = [{ name: 'layer' }, { name: 'lower edge', isFigure: true }, { name: 'upper edge', isFigure: true }];

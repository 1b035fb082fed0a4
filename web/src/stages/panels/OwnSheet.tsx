/** What sheet the picked panel is cut from, where it is not the usual one, and of how many thin ones it is laid. */
import { formatFine, formatThickness, unitLabel } from '@kalotrope/core/measure';
import {
  cutOf,
  layersOf,
  MOST_LAYERS,
  thicknessOf,
  withLayers,
  withOwnThickness,
  type Panel,
  type PanelsPart,
} from '@kalotrope/core/panels';
import { Act } from '../../controls/Act';
import { LengthField } from '../../controls/LengthField';
import { NumberField, numberBetween } from '../../controls/NumberField';
import { PlainTable } from '../../controls/PlainTable';
import { Section } from '../../controls/Section';
import { edited } from '../../state/document-slice';
import { selectNotation } from '../../state/selectors';
import { useAppDispatch, useAppSelector, useAppStore } from '../../state/store';

const COUNTS = numberBetween(1, MOST_LAYERS, true);

type Props = { readonly panel: Panel; readonly part: PanelsPart };

/**
 * A bottom may be thicker than the sides; and one sheet bends as far as it is thin: a panel that will not bend in one
 * is laid of two or three.
 */
export function OwnSheet({ panel, part }: Props) {
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const count = layersOf(panel.id, part.layered);
  const own = part.ownThickness.find(({ id }) => id === panel.id)?.thickness ?? null;
  const thick = thicknessOf(panel, part.thickness);
  const set = (layers: number) => {
    // from the list as it is then: what is shown here may lag behind an edit
    const now = store.getState().document.project?.panels.layered ?? [];
    const value = withLayers(now, panel.id, layers).map((own) => ({ ...own }));
    dispatch(edited({ label: `${panel.name}: layers`, edits: [{ path: ['panels', 'layered'], value }] }));
  };
  const setThickness = (mm: number | null) => {
    const now = store.getState().document.project?.panels.ownThickness ?? [];
    const value = withOwnThickness(now, panel.id, mm).map((one) => ({ ...one }));
    dispatch(edited({ label: `${panel.name}: thickness`, edits: [{ path: ['panels', 'ownThickness'], value }] }));
  };
  const layered = count > 1 ? `${count} of ${Number((thick / count).toFixed(2))} mm` : undefined;
  return (
    <Section title="Its own sheet and layers" aside={layered ?? formatThickness(thick, notation)}>
      <div className="field-grid no-print">
        <LengthField
          label="Panel’s thickness"
          mm={own ?? thick}
          // what the skin takes this takes, too
          path={own === null ? ['panels', 'thickness'] : ['panels', 'ownThickness', panel.id, 'thickness']}
          // a part of a panel cut in two may be of the usual sheet where the whole is not
          onCommit={(mm) => setThickness(mm === part.thickness && !panel.partOf ? null : mm)}
        />
      </div>
      {own !== null && <Act label="As thick as all others" onAct={() => setThickness(null)} />}
      {own !== null && (
        <p className="quiet">
          The lines stay where they are. Edges, frames, timbers and what lies inside go by this sheet where they meet
          the panel, and the panels beside it stand back as far as it is thick.
        </p>
      )}
      <div className="field-grid no-print">
        <NumberField label="Layers" value={count} read={COUNTS} onCommit={set} />
      </div>
      {panel.layers ? (
        <>
          <p className="quiet">
            The panel stays as thick as it is. Each layer has its own shape, its own butts, staggered from those of the
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
          Thin sheets bend where one thick one will not. Laid on one another they make up the panel’s thickness, and
          their joints lie in different places.
        </p>
      )}
    </Section>
  );
}

const COLUMNS = [{ name: 'layer' }, { name: 'lower edge', isFigure: true }, { name: 'upper edge', isFigure: true }];

/** What is left on along each edge, to be trimmed in place: of all panels, of the picked one, of transoms. */
import { proudOf, type Panel, type PanelProud, type PanelsPart } from '@kalotrope/core/panels';
import { edited } from '../../state/document-slice';
import { Act } from '../../controls/Act';
import { LengthField } from '../../controls/LengthField';
import { Section } from '../../controls/Section';
import { useAppDispatch } from '../../state/store';

type Edge = keyof PanelProud;
const EDGES: readonly Edge[] = ['lower', 'upper', 'fore', 'aft'];
const WORDS: Readonly<Record<Edge, string>> = {
  ...{ lower: 'lower edge', upper: 'upper edge', fore: 'fore end', aft: 'after end' },
};

type Props = { readonly panel: Panel | undefined; readonly part: PanelsPart; readonly hasTransoms: boolean };

export function CutProud({ panel, part, hasTransoms }: Props) {
  const dispatch = useAppDispatch();
  const set = (label: string, path: readonly string[]) => (value: number) =>
    dispatch(edited({ label, edits: [{ path: ['panels', ...path], value }] }));
  const { transomProud } = part;
  const isProud = [...Object.values(part.proud), ...Object.values(transomProud)].some((mm) => mm > 0);
  return (
    <Section title="Cut proud" aside={isProud || part.ownProud.length > 0 ? undefined : 'cut to the line'}>
      <p className="quiet">
        Left on beyond the net line, to be trimmed in place. Pieces, sheets and counts are larger by it; the net line
        stays on them. Sheets has the order of trimming.
      </p>
      <div className="field-grid no-print">
        {EDGES.map((edge) => (
          <LengthField
            key={edge}
            label={`Left on, ${WORDS[edge]}`}
            mm={part.proud[edge]}
            path={['panels', 'proud', edge]}
            onCommit={set(`Left on, ${WORDS[edge]}`, ['proud', edge])}
          />
        ))}
        {hasTransoms && (
          <>
            <LengthField
              label="Transom, along the skin"
              mm={transomProud.skin}
              path={['panels', 'transomProud', 'skin']}
              onCommit={set('Transom left on', ['transomProud', 'skin'])}
            />
            <LengthField
              label="Transom, at the top"
              mm={transomProud.top}
              path={['panels', 'transomProud', 'top']}
              onCommit={set('Transom left on', ['transomProud', 'top'])}
            />
          </>
        )}
      </div>
      {panel && <OfOnePanel panel={panel} part={part} set={set} />}
    </Section>
  );
}

type OneProps = {
  readonly panel: Panel;
  readonly part: PanelsPart;
  readonly set: (label: string, path: readonly string[]) => (value: number) => void;
};

/** The picked panel's own allowance, where it differs from the others'. */
function OfOnePanel({ panel, part, set }: OneProps) {
  const dispatch = useAppDispatch();
  const name = panel.name.toLowerCase();
  const put = (label: string, value: PanelsPart['ownProud']) =>
    dispatch(edited({ label, edits: [{ path: ['panels', 'ownProud'], value }] }));
  const own = part.ownProud.find(({ id }) => id === panel.id);
  if (!own) {
    const { lower, upper, fore, aft } = proudOf(panel.id, part);
    const add = { id: panel.id, lower, upper, fore, aft };
    return <Act label={`Another for the ${name}`} onAct={() => put('Its own allowance', [...part.ownProud, add])} />;
  }
  return (
    <>
      <div className="field-grid no-print">
        {EDGES.map((edge) => (
          <LengthField
            key={edge}
            label={`${panel.name}, ${WORDS[edge]}`}
            mm={own[edge]}
            path={['panels', 'ownProud', panel.id, edge]}
            onCommit={set(`${panel.name}, left on`, ['ownProud', panel.id, edge])}
          />
        ))}
      </div>
      <Act
        label={`The ${name} as all others`}
        onAct={() =>
          put(
            'Allowance as all others',
            part.ownProud.filter(({ id }) => id !== panel.id),
          )
        }
      />
    </>
  );
}

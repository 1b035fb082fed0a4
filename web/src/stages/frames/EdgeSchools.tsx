/** How the edges of a frame are made: all of it, or an edge in another way than the others. */
import type { Frame, FramePlan } from '@kalotrope/core/frames';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { useFrameEdit } from './frame-edit';
import { BOAT_SCHOOLS, EDGE_SECTION, PART_SCHOOLS, WHOLE_PART } from './frame-words';

export function EdgeSchools({ plan, frame }: { readonly plan: FramePlan; readonly frame: Frame }) {
  const { set } = useFrameEdit(plan);
  if (plan.kind === 'mould') return null;
  const setEdge = (panel: string, school: keyof typeof PART_SCHOOLS) => {
    const others = plan.edges.filter(({ id }) => id !== panel);
    set('an edge', ['edges'])(school === 'boat' ? others : [...others, { id: panel, school }]);
  };
  return (
    <Section title={EDGE_SECTION}>
      <div className="field-grid no-print">
        <SelectField
          label={WHOLE_PART}
          value={plan.school ?? 'boat'}
          names={BOAT_SCHOOLS}
          onChange={(school) => set('how edges are made', ['school'])(school === 'boat' ? null : school)}
        />
        {frame.edges.map(({ panel, panelName }) => (
          <SelectField
            key={panel}
            label={`On ${panelName.toLowerCase()}`}
            value={plan.edges.find(({ id }) => id === panel)?.school ?? 'boat'}
            names={PART_SCHOOLS}
            onChange={(school) => setEdge(panel, school)}
          />
        ))}
      </div>
    </Section>
  );
}

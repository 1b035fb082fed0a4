/** Which parts are glassed on the bench before they go in, and on how many faces. */
import { flatParts, type FlatPart } from '@kalotrope/core/epoxy';
import { freeId } from '@kalotrope/core/frames';
import type { Derived, Project } from '@kalotrope/core/project';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { edited } from '../../state/document-slice';
import { useAppDispatch } from '../../state/store';

const FACES = { none: 'not', one: 'one face', both: 'both faces' } as const;

export function GlassedFlat({ project, derived }: { readonly project: Project; readonly derived: Derived }) {
  const dispatch = useAppDispatch();
  const { flat } = project.epoxy;
  const { transoms } = derived.panels.value;
  const parts = flatParts({ ...derived.frames.value, transoms, inside: derived.fitout.value.all });
  const isOf = (part: FlatPart) => (plan: (typeof flat)[number]) => plan.of === part.of && plan.part === part.id;
  const choose = (part: FlatPart, faces: keyof typeof FACES) => {
    const others = flat.filter((plan) => !isOf(part)(plan));
    const own = { id: freeId('flat', others), of: part.of, part: part.id };
    const value = faces === 'none' ? others : [...others, { ...own, faces }];
    dispatch(edited({ label: `${part.name} glassed flat`, edits: [{ path: ['epoxy', 'flat'], value }] }));
  };
  if (parts.length === 0) return null;
  const count = parts.filter((part) => flat.some(isOf(part))).length;
  return (
    <Section title="Glassed flat" aside={count === 0 ? 'nothing' : String(count)}>
      <p className="quiet">
        On the bench, before it goes in: with the cloth of the sheathing, its weave filled. Those faces are not sealed
        again.
      </p>
      <div className="field-grid no-print">
        {parts.map((part) => (
          <SelectField
            key={`${part.of} ${part.id}`}
            label={`${part.name}, glassed flat`}
            value={flat.find(isOf(part))?.faces ?? 'none'}
            names={FACES}
            onChange={(faces) => choose(part, faces)}
          />
        ))}
      </div>
    </Section>
  );
}

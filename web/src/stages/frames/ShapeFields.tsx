/** What of the section a frame is: rake, bounds, top, what stands between it and the skin, what is left on. */
import type { FramePlan } from '@kalotrope/core/frames';
import { LengthField } from '../../controls/LengthField';
import { NumberField } from '../../controls/NumberField';
import { OptionalLength } from '../../controls/OptionalLength';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { useFrameEdit } from './frame-edit';
import { HANDS, SHAPE_LABELS, SHAPE_SECTION, TOPS } from './frame-words';

/** What a knee, a floor and a camber start from. */
const START = { outer: 200, bottom: 100, rise: 40, radius: 3000 } as const;

export function ShapeFields({ plan }: { readonly plan: FramePlan }) {
  const { pathTo, set } = useFrameEdit(plan);
  const { bounds, proud } = plan;
  return (
    <Section title={SHAPE_SECTION}>
      <div className="field-grid no-print">
        <NumberField
          label={SHAPE_LABELS.rake}
          value={plan.rakeDeg}
          onCommit={set('rake', ['rakeDeg'])}
          path={pathTo('rakeDeg')}
        />
        <LengthField
          label={SHAPE_LABELS.lining}
          mm={plan.lining}
          onCommit={set('lining', ['lining'])}
          path={pathTo('lining')}
        />
        <SelectField
          label={SHAPE_LABELS.hand}
          value={bounds.hand}
          names={HANDS}
          onChange={set('where it goes', ['bounds', 'hand'])}
        />
        {bounds.hand !== 'across' && (
          <LengthField
            label="Begins, from the centreline"
            mm={bounds.inner}
            onCommit={set('inner edge', ['bounds', 'inner'])}
            path={pathTo('bounds', 'inner')}
          />
        )}
        <OptionalLength
          label="Ends, from the centreline"
          mm={bounds.outer}
          offer="End it before the side"
          remove="Let it reach the side"
          start={START.outer}
          onChange={set('outer edge', ['bounds', 'outer'])}
          path={pathTo('bounds', 'outer')}
        />
        <OptionalLength
          label="Begins at height"
          mm={bounds.bottom}
          offer="Begin it above the bottom"
          remove="Let it reach the bottom"
          start={START.bottom}
          onChange={set('lower edge', ['bounds', 'bottom'])}
          path={pathTo('bounds', 'bottom')}
        />
        <TopFields plan={plan} />
        {plan.kind === 'ring' && <RingFields plan={plan} />}
        <LengthField
          label={SHAPE_LABELS.proudSkin}
          mm={proud.skin}
          onCommit={set('left on along the skin', ['proud', 'skin'])}
          path={pathTo('proud', 'skin')}
        />
        <LengthField
          label={SHAPE_LABELS.proudTop}
          mm={proud.top}
          onCommit={set('left long at the top', ['proud', 'top'])}
          path={pathTo('proud', 'top')}
        />
      </div>
    </Section>
  );
}

const TOP_LABELS = { level: 'Height of the top', rise: 'Rise over its beam', radius: 'Radius of the camber' } as const;

function TopFields({ plan }: { readonly plan: FramePlan }) {
  const { pathTo, set } = useFrameEdit(plan);
  const { top } = plan;
  const startOf = { straight: 0, level: top.mm, rise: START.rise, radius: START.radius };
  return (
    <>
      <SelectField
        label={SHAPE_LABELS.top}
        value={top.kind}
        names={TOPS}
        onChange={(kind) => set('top', ['top'])({ ...top, kind, mm: startOf[kind] })}
      />
      {top.kind !== 'straight' && (
        <LengthField
          label={TOP_LABELS[top.kind]}
          mm={top.mm}
          onCommit={set('top', ['top', 'mm'])}
          path={pathTo('top', 'mm')}
        />
      )}
      {top.kind !== 'level' && (
        <LengthField
          label="Lower than the sheer"
          mm={top.below}
          onCommit={set('top', ['top', 'below'])}
          path={pathTo('top', 'below')}
        />
      )}
    </>
  );
}

function RingFields({ plan: { ring, ...plan } }: { readonly plan: FramePlan }) {
  const { pathTo, set } = useFrameEdit(plan);
  const field = (key: keyof FramePlan['ring'], label: string) => (
    <LengthField label={label} mm={ring[key]} onCommit={set('ring', ['ring', key])} path={pathTo('ring', key)} />
  );
  return (
    <>
      {field('breadth', 'Breadth of the ring')}
      {field('floor', 'Depth at the bottom')}
      {field('beam', 'Beam, 0: open')}
      {field('corner', 'Inner corners, radius')}
    </>
  );
}

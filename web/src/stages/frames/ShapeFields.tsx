/** What of the section a frame is: rake, bounds, top, what stands between it and the skin, what is left on. */
import { placeInBoat, type Frame, type FramePlan } from '@kalotrope/core/frames';
import { NumberField } from '../../controls/NumberField';
import { OptionalLength } from '../../controls/OptionalLength';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { FrameLength } from './FrameLength';
import { useFrameEdit } from './frame-edit';
import { HANDS, SHAPE_LABELS, SHAPE_SECTION, TOPS } from './frame-words';

/** What a knee, a floor and a camber start from. */
const START = { level: 300, outer: 200, bottom: 100, rise: 40, radius: 3000 } as const;

type Props = { readonly plan: FramePlan; readonly frame: Frame | undefined };

export function ShapeFields({ plan, frame }: Props) {
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
        <FrameLength plan={plan} label={SHAPE_LABELS.lining} mm={plan.lining} what="lining" path={['lining']} />
        <SelectField
          label={SHAPE_LABELS.hand}
          value={bounds.hand}
          names={HANDS}
          onChange={set('where it goes', ['bounds', 'hand'])}
        />
        {bounds.hand !== 'across' && (
          <FrameLength
            plan={plan}
            label="Begins, from the centreline"
            mm={bounds.inner}
            what="inner edge"
            path={['bounds', 'inner']}
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
        <TopFields plan={plan} frame={frame} />
        {plan.kind === 'ring' && <RingFields plan={plan} />}
        <FrameLength
          plan={plan}
          label={SHAPE_LABELS.proudSkin}
          mm={proud.skin}
          what="left on along the skin"
          path={['proud', 'skin']}
        />
        <FrameLength
          plan={plan}
          label={SHAPE_LABELS.proudTop}
          mm={proud.top}
          what="left long at the top"
          path={['proud', 'top']}
        />
      </div>
    </Section>
  );
}

const TOP_LABELS = { level: 'Height of the top', rise: 'Rise over its beam', radius: 'Radius of the camber' } as const;

function TopFields({ plan, frame }: Props) {
  const { set } = useFrameEdit(plan);
  const { top } = plan;
  // as high as it is: lower it from there
  const sheer = frame ? Math.max(...frame.outline.map((p) => placeInBoat(frame, p)[2])) : START.level;
  const startOf = { straight: 0, level: Math.round(sheer), rise: START.rise, radius: START.radius };
  return (
    <>
      <SelectField
        label={SHAPE_LABELS.top}
        value={top.kind}
        names={TOPS}
        onChange={(kind) => set('top', ['top'])({ ...top, kind, mm: startOf[kind] })}
      />
      {top.kind !== 'straight' && (
        <FrameLength plan={plan} label={TOP_LABELS[top.kind]} mm={top.mm} what="top" path={['top', 'mm']} />
      )}
      {top.kind !== 'level' && (
        <FrameLength plan={plan} label="Lower than the sheer" mm={top.below} what="top" path={['top', 'below']} />
      )}
    </>
  );
}

function RingFields({ plan }: { readonly plan: FramePlan }) {
  const field = (key: keyof FramePlan['ring'], label: string) => (
    <FrameLength plan={plan} label={label} mm={plan.ring[key]} what="ring" path={['ring', key]} />
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

/** What is kept round what is cut in all parts, and the cutter that cuts it. */
import type { EditValue } from '@kalotrope/core/findings';
import { framesStage, type FramesPart } from '@kalotrope/core/frames';
import { LengthField } from '../../controls/LengthField';
import { Section } from '../../controls/Section';
import { edited } from '../../state/document-slice';
import { useAppDispatch } from '../../state/store';
import { KEPT_LABELS, KEPT_SECTION, RELIEF } from './frame-words';

export function Kept({ part: { keep, relief, pins } }: { readonly part: FramesPart }) {
  const dispatch = useAppDispatch();
  const field = (label: string, mm: number, ...own: readonly string[]) => {
    const path = [framesStage.name, ...own];
    const commit = (value: EditValue) => void dispatch(edited({ label, edits: [{ path, value }] }));
    return <LengthField label={label} mm={mm} onCommit={commit} path={path} />;
  };
  return (
    <Section title={KEPT_SECTION}>
      <p className="quiet">
        Less than is kept is told. A round cutter leaves its radius in the corners of a notch: relieved, a square timber
        goes in. Pins go through a gusset or a doubler and what it lies on.
      </p>
      <div className="field-grid no-print">
        {field(KEPT_LABELS.opening, keep.opening, 'keep', 'opening')}
        {field(KEPT_LABELS.hole, keep.hole, 'keep', 'hole')}
        {field(KEPT_LABELS.corner, keep.corner, 'keep', 'corner')}
        {field(RELIEF, relief, 'relief')}
        {field('Holes for pins, 0: none', pins, 'pins')}
      </div>
    </Section>
  );
}

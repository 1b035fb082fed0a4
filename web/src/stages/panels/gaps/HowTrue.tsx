import { memo } from 'react';
import { formatSmall } from '@kalotrope/core/measure';
import type { Accuracy } from '@kalotrope/core/panels';
import { LengthField } from '../../../controls/LengthField';
import { Section } from '../../../controls/Section';
import { edited } from '../../../state/document-slice';
import { selectNotation, selectProject } from '../../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../../state/store';

const FIELDS: readonly (readonly [keyof Accuracy, string])[] = [
  ['marks', 'Nails at marks within'],
  ['rule', 'Rule read to'],
  ['cut', 'Cut and planed within'],
  ['planed', 'Planed fair over'],
  ['thickness', 'Sheets alike within'],
  ['framesOff', 'Frames set within'],
];

/** How true the builder works: what is foretold hangs on it. */
export const HowTrue = memo(function HowTrue() {
  const accuracy = useAppSelector((state) => selectProject(state)?.panels.accuracy);
  const stray = useAppSelector((state) => selectProject(state)?.panels.markingStray ?? 0);
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  const most = formatSmall(stray, notation);
  if (!accuracy) return null;
  const set = (label: string, path: readonly string[], value: number) =>
    dispatch(edited({ label, edits: [{ path: ['panels', ...path], value }] }));
  return (
    <Section title="How true you work">
      <p className="quiet">Nineteen times of twenty within these; a rule of 0 reads what the table has, unrounded.</p>
      <div className="field-grid no-print">
        {FIELDS.map(([key, label]) => (
          <LengthField
            key={key}
            label={label}
            path={['panels', 'accuracy', key]}
            mm={accuracy[key]}
            onCommit={(mm) => set(label, ['accuracy', key], mm)}
          />
        ))}
        <LengthField
          label="Batten strays at most"
          path={['panels', 'markingStray']}
          mm={stray}
          onCommit={(mm) => set('Batten strays at most', ['markingStray'], mm)}
        />
      </div>
      <p className="quiet">
        {stray > 0
          ? `Where a batten round the nails would stray from an edge by more than ${most}, the ` +
            'marking-out table has rows between its steps.'
          : 'The marking-out table has even steps only, however far a batten strays between them.'}
      </p>
    </Section>
  );
});

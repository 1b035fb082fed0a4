/** What one means to spend, and what is left of it. */
import { moneyWords } from '@kalotrope/core/log';
import { Figure } from '../../controls/Figure';
import { NumberField } from '../../controls/NumberField';
import { Section } from '../../controls/Section';
import { edited } from '../../state/document-slice';
import { useAppDispatch } from '../../state/store';
import { BUDGET_SECTION } from './words';

const PATH = ['log', 'budget'] as const;
const CENTS = 100;

type Props = {
  readonly budget: number;
  /** Hundredths. */
  readonly paid: number;
};

export function Budget({ budget, paid }: Props) {
  const dispatch = useAppDispatch();
  const left = Math.round(budget * CENTS) - paid;
  return (
    <Section title={BUDGET_SECTION} aside={budget > 0 ? `${moneyWords(left)} left` : 'none'}>
      <div className="field-grid no-print">
        <NumberField
          label="Budget"
          value={budget}
          onCommit={(value) => dispatch(edited({ label: 'Budget', edits: [{ path: PATH, value }] }))}
          path={PATH}
        />
      </div>
      <Figure name="Paid" value={moneyWords(paid)} />
      {budget > 0 && <Figure name="Left" value={moneyWords(left)} />}
    </Section>
  );
}

import { Fragment } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { soldWords, toBuyLines, type TimberPlan, type TimberValue } from '@kalotrope/core/timber';
import { formatShare, formatWithUnit } from '@kalotrope/core/measure';
import { selectNotation, selectProject } from '../../state/selectors';
import { Figure } from '../../controls/Figure';
import { plural } from '../../controls/words';
import { useAppSelector } from '../../state/store';

type Props = { readonly value: TimberValue; readonly plan: TimberPlan | undefined };

/** The buying list, and how far it can be from the best. */
export function ToBuy({ value, plan }: Props) {
  const notation = useAppSelector(selectNotation);
  const part = useAppSelector((state) => selectProject(state)?.timber);
  if (!plan) return null;
  const { job } = value;
  const lengthOf = (id: string) => job.stock.find((stick) => stick.id === id)?.length ?? 0;
  const bought = plan.sticks.reduce((sum, { stock }) => sum + lengthOf(stock), 0);
  const used = plan.sticks.reduce((sum, { cuts }) => sum + cuts.reduce((all, { length }) => all + length, 0), 0);
  const gap = plan.bound > 0 ? plan.cost / plan.bound - 1 : 0;
  return (
    <Box sx={{ mt: 1 }}>
      {toBuyLines(value, plan, notation, part).map(({ section, lengthMm, qty, pieces, sold }) => (
        <Fragment key={`${section} ${lengthMm}`}>
          <Figure
            name={`${section}, ${formatWithUnit(lengthMm, notation)}`}
            value={plural(sold?.qty ?? qty, 'stick')}
            why={pieces.join('; ')}
          />
          {sold && <p className="quiet">{soldWords(sold)}</p>}
        </Fragment>
      ))}
      {bought > 0 && (
        <Figure name="Used" value={formatShare(used / bought)} why="Of the length that is bought, scarfs included" />
      )}
      <Typography variant="body2" color="text.secondary">
        {plan.proven
          ? 'No other plan takes less.'
          : `No plan can take more than ${formatShare(gap)} less; none better was found.`}
      </Typography>
    </Box>
  );
}

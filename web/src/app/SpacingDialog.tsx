/** Equal spacing of anything along a length: screws, ribs, holes, slats; to a whole number of gaps. */
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { evenSpacing } from '@kalotrope/core/frames';
import { formatFine, formatWithUnit, isImperial, unitLabel, usualIn, type Notation } from '@kalotrope/core/measure';
import { Figure } from '../controls/Figure';
import { LengthField } from '../controls/LengthField';
import { PlainTable } from '../controls/PlainTable';
import { spacingTurned } from '../state/screen-slice';
import { selectNotation } from '../state/selectors';
import { useAppDispatch, useAppSelector } from '../state/store';

export function SpacingDialog() {
  const isOpen = useAppSelector((state) => state.screen.isSpacingOpen);
  return isOpen ? <OpenSpacing /> : null;
}

/** More marks than this are not listed: the rule is then walked along by the gap. */
const MOST_LISTED = 60;

/** The rule that the boat is not measured by. */
const otherRule = (notation: Notation): Notation => (isImperial(notation) ? 'mm' : 'in-16');

function OpenSpacing() {
  const dispatch = useAppDispatch();
  const notation = useAppSelector(selectNotation);
  const [run, setRun] = useState(usualIn(1200, notation));
  const [ends, setEnds] = useState(usualIn(25, notation));
  const [about, setAbout] = useState(usualIn(150, notation));
  const even = evenSpacing({ run, ends, about });
  const other = otherRule(notation);
  const close = () => dispatch(spacingTurned(false));
  return (
    <Dialog open onClose={close} fullWidth maxWidth="sm" aria-labelledby="spacing-title">
      <DialogTitle id="spacing-title">Equal spacing</DialogTitle>
      <DialogContent>
        <div className="field-grid" style={{ marginTop: 8 }}>
          <LengthField label="Length of the run" mm={run} onCommit={setRun} />
          <LengthField label="First and last from its ends" mm={ends} onCommit={setEnds} />
          <LengthField label="About how far apart" mm={about} onCommit={setAbout} />
        </div>
        {even ? (
          <>
            <Figure name="Gaps" value={String(even.gaps)} why={`${even.gaps + 1} marks`} />
            <Figure name="From mark to mark" value={formatWithUnit(even.spacing, notation)} />
            <Figure name="On the other rule" value={formatWithUnit(even.spacing, other)} />
            {even.at.length <= MOST_LISTED ? (
              <PlainTable
                label="Marks from the end"
                columns={[
                  { name: 'mark', isFigure: true },
                  { name: `from the end, ${unitLabel(notation)}`, isFigure: true },
                  { name: unitLabel(other), isFigure: true },
                ]}
                rows={even.at.map((mm, i) => ({
                  key: i,
                  cells: [i + 1, formatFine(mm, notation), formatFine(mm, other)],
                }))}
              />
            ) : (
              <Typography color="text.secondary">More marks than are worth a list: step them off.</Typography>
            )}
          </>
        ) : (
          <Typography color="error" role="alert" sx={{ mt: 1 }}>
            Nothing is left between the ends, or too many marks for a rule. Expected a run longer than twice the
            distance from its ends, and a gap that can be seen.
          </Typography>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={close}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}

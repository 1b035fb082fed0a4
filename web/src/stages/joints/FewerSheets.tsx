/** Looks for places of the joints that take fewer sheets, and says what each would cost in wishes. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { sentence } from '@kalotrope/core/project';
import type { JointPlan, JointPlans } from '@kalotrope/core/sheets';
import { formatFine } from '@kalotrope/core/measure';
import { Section } from '../../controls/Section';
import { plural } from '../../controls/words';
import { selectDerived, selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { useJointPlans } from './use-joint-plans';

export function FewerSheets() {
  const { plans, isLooking, isOld, look, stop, use } = useJointPlans();
  return (
    <Section
      title="Fewer sheets by other joints"
      aside={plans?.now ? plural(plans.now.sheetsUsed, 'sheet') : undefined}
    >
      <Typography variant="body2" color="text.secondary">
        Where a panel is joined decides how well its pieces fit. This slides the joints through the room that they have
        and lays out the sheets for each place.
      </Typography>
      <Box sx={{ display: 'flex', gap: 1, my: 1 }}>
        <Button variant="contained" disabled={isLooking} onClick={look}>
          Look for fewer sheets
        </Button>
        {isLooking && (
          <Button variant="outlined" onClick={stop}>
            Stop here
          </Button>
        )}
      </Box>
      {isLooking && <LinearProgress aria-label="Trying other places of the joints" />}
      {isOld && (
        <Typography variant="body2" role="status">
          The parts have changed since: look again.
        </Typography>
      )}
      {plans && <Found plans={plans} isLooking={isLooking} onUse={use} />}
    </Section>
  );
}

type FoundProps = {
  readonly plans: JointPlans;
  readonly isLooking: boolean;
  readonly onUse: (plan: JointPlan) => void;
};

function Found({ plans: { now, plans, tried, fewest }, isLooking, onUse }: FoundProps) {
  const better = plans.filter((plan) => plan !== now && !isSame(plan, now));
  return (
    <Box role="status">
      <Typography variant="body2">
        {plural(tried, 'place')} tried{now && `; as it is, ${sheetsWords(now)}`}. The area of the parts is that of{' '}
        {plural(fewest, 'sheet')}.
      </Typography>
      {better.length === 0 && !isLooking && (
        <Typography variant="body2">Nothing better was found. Looking again goes on from other places.</Typography>
      )}
      {better.map((plan) => (
        <OnePlan key={plan.own.map(({ id, at }) => `${id} ${at}`).join()} plan={plan} now={now} onUse={onUse} />
      ))}
    </Box>
  );
}

const isSame = (plan: JointPlan, now: JointPlan | undefined) =>
  now !== undefined && plan.sheetsUsed === now.sheetsUsed && plan.unmet.length >= now.unmet.length;

/** Where the stock does not reach it is said. */
const sheetsWords = ({ sheetsUsed, unplaced }: JointPlan): string =>
  unplaced > 0
    ? `${plural(sheetsUsed, 'sheet')}, and ${plural(unplaced, 'part')} on none`
    : plural(sheetsUsed, 'sheet');

type OnePlanProps = {
  readonly plan: JointPlan;
  readonly now: JointPlan | undefined;
  readonly onUse: (plan: JointPlan) => void;
};

function OnePlan({ plan, now, onUse }: OnePlanProps) {
  const notation = useAppSelector(selectNotation);
  const panels = useAppSelector((state) => selectDerived(state)?.joints.value) ?? [];
  const nameOf = (id: string) => panels.find(({ panel }) => panel === id)?.name ?? id;
  const saved = (now?.sheetsUsed ?? plan.sheetsUsed) - plan.sheetsUsed;
  return (
    <Box sx={{ borderTop: 1, borderColor: 'divider', py: 1 }}>
      <Typography sx={{ fontWeight: 600 }}>
        {sheetsWords(plan)}
        {saved > 0 && `, ${saved} fewer`}
        {plan.more > 0 && `; ${plural(plan.more, 'joint')} more`}
      </Typography>
      <Typography variant="body2">
        {plan.own.map(({ panel, at }) => `${nameOf(panel)} at ${formatFine(at, notation)}`).join('; ')}
      </Typography>
      {plan.unmet.length === 0 ? (
        <Typography variant="body2">All wishes met.</Typography>
      ) : (
        plan.unmet.map((finding, k) => (
          <Typography key={k} variant="body2">
            {sentence(finding, notation)}
          </Typography>
        ))
      )}
      <Button variant="outlined" size="small" sx={{ mt: 0.5 }} onClick={() => onUse(plan)}>
        Join them there
      </Button>
    </Box>
  );
}

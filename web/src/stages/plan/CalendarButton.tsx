/** The plan as a file for the calendar of a telephone. */
import { boatWord } from '@kalotrope/core/formats';
import { calendarFile, type PlanPart, type PlanValue } from '@kalotrope/core/plan';
import { Act } from '../../controls/Act';
import { saveFile } from '../../files/files';
import { selectProject } from '../../state/selectors';
import { useAppSelector } from '../../state/store';

type Props = { readonly value: PlanValue; readonly part: PlanPart };

export function CalendarButton({ value, part }: Props) {
  const id = useAppSelector((state) => selectProject(state)?.id ?? '');
  const boat = useAppSelector((state) => selectProject(state)?.name ?? '');
  if (value.planned.length === 0) return null;
  if (part.starts === '')
    return <p className="quiet">With a first day, under Your hours, it goes out as a calendar file.</p>;
  return (
    <Act
      label="Calendar file"
      onAct={() => {
        const content = calendarFile(value.planned, part, { boat, id });
        if (content !== undefined) saveFile({ name: `${boatWord(boat)}-plan.ics`, content });
      }}
    />
  );
}

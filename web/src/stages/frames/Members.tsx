/** Members that run along the hull: logs, stringers, clamps, keelson; for all frames at once. */
import { useState } from 'react';
import Button from '@mui/material/Button';
import type { EditValue } from '@kalotrope/core/findings';
import {
  MEMBERS_PATH,
  memberOfThing,
  plainMember,
  type FramesPart,
  type Member,
  type MemberRun,
} from '@kalotrope/core/frames';
import { formatLength, formatWithUnit, unitLabel } from '@kalotrope/core/measure';
import { Figure } from '../../controls/Figure';
import { LengthField } from '../../controls/LengthField';
import { NameField } from '../../controls/NameField';
import { PlainTable } from '../../controls/PlainTable';
import { OptionalLength } from '../../controls/OptionalLength';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { plural } from '../../controls/words';
import { edited } from '../../state/document-slice';
import { selectDerived, selectNotation, selectPicked } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { OneOfList } from './CutFields';
import { MEMBERS_SECTION, NOTCHED, PLACES, SIDES } from './frame-words';

const COLUMNS = [{ name: 'name' }, ...['how many', 'long', 'least radius'].map((name) => ({ name, isFigure: true }))];

/** The most that a project takes. */
const MOST = 40;

type Props = { readonly part: FramesPart; readonly runs: readonly MemberRun[] };

export function Members({ part, runs }: Props) {
  const dispatch = useAppDispatch();
  const notation = useAppSelector(selectNotation);
  const lines = useAppSelector((state) => selectDerived(state)?.lines.value.lines) ?? [];
  const [chosen, setChosen] = useState<string | null>(null);
  const { members } = part;
  const pickedId = memberOfThing(useAppSelector(selectPicked));
  const shown = members.find(({ id }) => id === (chosen ?? pickedId)) ?? members[0];
  const put = (label: string, value: readonly Member[]) =>
    dispatch(edited({ label, edits: [{ path: MEMBERS_PATH, value }] }));
  const add = () => {
    const chine = lines.find(({ isOnCentreline }) => !isOnCentreline);
    const member = plainMember(members, notation, chine ? { line: chine.id } : {});
    put(`${member.name} added`, [...members, member]);
    setChosen(member.id);
  };
  return (
    <Section title={MEMBERS_SECTION} aside={plural(members.length, 'member')}>
      {members.length === 0 && (
        <p className="quiet">Chine logs, stringers, clamps, a keelson: frames are notched for them, all at once.</p>
      )}
      {members.length > 0 && (
        <p className="quiet">
          Lengths along the bend, in {unitLabel(notation)}; one that begins on its line lies in the corner.
        </p>
      )}
      {members.length > 0 && (
        <PlainTable
          label="Members"
          columns={COLUMNS}
          rows={members.map(({ id, name }) => {
            const run = runs.find((one) => one.id === id);
            return {
              key: id,
              cells: [
                <button key={id} type="button" aria-pressed={id === shown?.id} onClick={() => setChosen(id)}>
                  {name}
                </button>,
                run ? (run.isPair ? 2 : 1) : '',
                run ? formatLength(run.lengthMm, notation) : 'nowhere',
                run?.bend ? formatLength(run.bend.radiusMm, notation) : '',
              ],
            };
          })}
        />
      )}
      {shown && (
        <OneMember
          key={shown.id}
          member={shown}
          run={runs.find(({ id }) => id === shown.id)}
          lines={Object.fromEntries(lines.map(({ id, name }) => [id, name]))}
          onRemove={() =>
            put(
              `${shown.name} taken out`,
              members.filter(({ id }) => id !== shown.id),
            )
          }
        />
      )}
      <Button className="no-print" disabled={members.length >= MOST} onClick={add}>
        Add a member
      </Button>
    </Section>
  );
}

type OneProps = {
  readonly member: Member;
  readonly run: MemberRun | undefined;
  readonly lines: Readonly<Record<string, string>>;
  readonly onRemove: () => void;
};

function OneMember({ member, run, lines, onRemove }: OneProps) {
  const dispatch = useAppDispatch();
  const notation = useAppSelector(selectNotation);
  const pathTo = (key: keyof Member) => [...MEMBERS_PATH, member.id, key];
  const set = (key: keyof Member) => (value: EditValue) =>
    void dispatch(edited({ label: `${member.name}: changed`, edits: [{ path: pathTo(key), value }] }));
  const field = (key: 'away' | 'width' | 'depth' | 'clearance', label: string) => (
    <LengthField label={label} mm={member[key]} onCommit={set(key)} path={pathTo(key)} />
  );
  return (
    <>
      <OneOfList title={member.name} onRemove={onRemove}>
        <NameField label="Name" value={member.name} most={60} onCommit={set('name')} />
        <SelectField label="It lies" value={member.on} names={PLACES} onChange={set('on')} />
        {member.on !== 'centre' && (
          <>
            <SelectField label="Along" value={member.line} names={lines} onChange={set('line')} />
            {field('away', 'From the line')}
          </>
        )}
        {field('width', 'Wide, along the skin')}
        {field('depth', 'Deep, off the skin')}
        <SelectField label="Of the skin" value={member.side} names={SIDES} onChange={set('side')} />
        <SelectField
          label="Frames are"
          value={member.isThrough ? 'yes' : 'no'}
          names={NOTCHED}
          onChange={(value) => set('isThrough')(value === 'yes')}
        />
        {member.isThrough && field('clearance', 'Room in the notch, a side')}
        <OptionalLength
          label="Begins, from the stem"
          mm={member.from}
          offer="Stop it short forward"
          remove="Let it reach the fore end"
          start={run ? Math.round(run.from + 300) : 300}
          onChange={set('from')}
          path={pathTo('from')}
        />
        <OptionalLength
          label="Ends, from the stem"
          mm={member.to}
          offer="Stop it short aft"
          remove="Let it reach the after end"
          start={run ? Math.round(run.to - 300) : 3000}
          onChange={set('to')}
          path={pathTo('to')}
        />
      </OneOfList>
      {run && (
        <Figure
          name="Hardest bend"
          value={run.bend ? `${formatWithUnit(run.bend.x, notation)} from the stem` : 'straight'}
          why="Where a circle through three places 150 mm apart along it has the least radius"
        />
      )}
    </>
  );
}

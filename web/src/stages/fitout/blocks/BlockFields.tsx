/** What a block is, where its straight face lies, and what comes of it. */
import { sawnFrom, type BlockPlan, type FittedBlock } from '@kalotrope/core/fitout';
import { formatDeg, formatFine, formatWithUnit } from '@kalotrope/core/measure';
import type { ReactNode } from 'react';
import { Figure } from '../../../controls/Figure';
import { LengthField } from '../../../controls/LengthField';
import { NameField } from '../../../controls/NameField';
import { SelectField } from '../../../controls/SelectField';
import { selectNotation } from '../../../state/selectors';
import { useAppSelector } from '../../../state/store';
import { YES_NO } from '../words';
import { useBlockEdit } from './use-block-edit';
import { BLOCK_HANDS, endWords, FILL_WORDS } from './words';

type Props = { readonly plan: BlockPlan; readonly block: FittedBlock | undefined };

/** The first labels stand over their fields’ edges, clear of the title. */
const UNDER_TITLE = { marginTop: 10 };

export function BlockFields({ plan, block }: Props) {
  const { set, pathTo } = useBlockEdit(plan);
  const length = (label: string, mm: number, ...path: readonly string[]) => (
    <LengthField label={label} mm={mm} onCommit={set(label.toLowerCase(), ...path)} path={pathTo(...path)} />
  );
  const words = endWords(plan);
  return (
    <>
      <div className="field-grid no-print" style={UNDER_TITLE}>
        <NameField label="Name" value={plan.name} most={60} onCommit={set('its name', 'name')} />
        <SelectField label="It fills" value={plan.fills} names={FILL_WORDS} onChange={set('what it fills', 'fills')} />
        <SelectField label="On which side" value={plan.hand} names={BLOCK_HANDS} onChange={set('its side', 'hand')} />
        <SelectField
          label="Run on to the skin"
          value={plan.isToSkin ? 'yes' : 'no'}
          names={YES_NO}
          onChange={(value) => set('its ends', 'isToSkin')(value === 'yes')}
        />
        {length('Width', plan.width, 'width')}
        {length('Clear of what it meets', plan.clear, 'clear')}
        {(['from', 'to'] as const).map((end) => (
          <End key={end} word={words[end]} place={plan[end]} field={(label, mm, key) => length(label, mm, end, key)} />
        ))}
      </div>
      {block && block.rows.length > 0 && <Figures block={block} />}
    </>
  );
}

type EndProps = {
  readonly word: string;
  readonly place: BlockPlan['from'];
  readonly field: (label: string, mm: number, key: keyof BlockPlan['from']) => ReactNode;
};

const End = ({ word, place, field }: EndProps) => (
  <>
    {field(`${word}, from the stem`, place.x, 'x')}
    {field(`${word}, out`, place.out, 'out')}
    {field(`${word}, height`, place.height, 'height')}
  </>
);

function Figures({ block }: { readonly block: FittedBlock }) {
  const notation = useAppSelector(selectNotation);
  const { lengthMm, thinnest, thickest, ends } = block;
  return (
    <>
      <Figure name="Length" value={formatWithUnit(lengthMm, notation)} why="At its longer edge" />
      <Figure
        name="Thickness"
        value={`${formatFine(thinnest, notation)} to ${formatWithUnit(thickest, notation)}`}
        why="What is kept clear is taken off"
      />
      <Figure name="Sawn from" value={sawnFrom(block, notation)} />
      {ends.some(({ faceDeg, throughDeg }) => Math.abs(faceDeg) + Math.abs(throughDeg) > 0) && (
        <Figure
          name="Ends cut"
          value={ends
            .map(({ faceDeg, throughDeg }) => `${formatDeg(faceDeg, 1)}, ${formatDeg(throughDeg, 1)}`)
            .join('; ')}
          why="Away from square: on the straight face, then through the thickness; the first end first"
        />
      )}
    </>
  );
}

/** Parts that come late: whether one passes an opening, how it is tilted, or in how many pieces it must be. */
import { useMemo, useState } from 'react';
import Typography from '@mui/material/Typography';
import { outlineOfOpening, girderPieces, type FramesPart, type FramesValue } from '@kalotrope/core/frames';
import { formatWithUnit } from '@kalotrope/core/measure';
import { hatch, passingOf, passingWords } from '@kalotrope/core/setup';
import { LengthField } from '../../controls/LengthField';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { PASS_SECTION } from './labels';

type Props = { readonly plans: FramesPart; readonly value: Pick<FramesValue, 'frames' | 'girders'> };

/** Of a size typed in, which is no opening of a part. */
const TYPED = 'typed';
const USUAL_MM = { width: 400, height: 300 } as const;

export function WillItGoIn({ plans, value: { frames, girders } }: Props) {
  const notation = useAppSelector(selectNotation);
  const parts = useMemo(
    () => [
      ...frames.map(({ id, name, cut, width }) => ({ id, name, outline: cut.outline, width })),
      ...girders.flatMap((girder) =>
        girderPieces(girder).map(({ id, name, region }) => ({
          id,
          name,
          outline: region.outline,
          width: girder.width,
        })),
      ),
    ],
    [frames, girders],
  );
  const openings = useMemo(
    () =>
      plans.frames.flatMap((frame) =>
        frame.openings.map((opening, k) => ({
          id: `${frame.id} ${opening.id}`,
          name: `${frame.name}, opening ${k + 1}`,
          outline: outlineOfOpening(opening),
        })),
      ),
    [plans.frames],
  );
  const [part, setPart] = useState('');
  const [through, setThrough] = useState('');
  const [size, setSize] = useState<{ readonly width: number; readonly height: number }>(USUAL_MM);
  const chosen = parts.find(({ id }) => id === part) ?? parts[0];
  const way = openings.find(({ id }) => id === through) ?? (through === TYPED ? undefined : openings[0]);
  const passing = useMemo(
    () => chosen && passingOf(chosen.outline, chosen.width, way?.outline ?? hatch(size.width, size.height)),
    [chosen, way, size],
  );
  if (!chosen || !passing) return null;
  const partNames = Object.fromEntries(parts.map(({ id, name }) => [id, name]));
  const wayNames = { ...Object.fromEntries(openings.map(({ id, name }) => [id, name])), [TYPED]: 'one of this size' };
  const side = (key: 'width' | 'height', label: string) => (
    <LengthField
      label={label}
      mm={size[key]}
      onCommit={(mm) => setSize((now) => ({ ...now, [key]: Math.max(1, mm) }))}
    />
  );
  return (
    <Section title={PASS_SECTION}>
      <div className="field-grid">
        <SelectField label="The part" value={chosen.id} names={partNames} onChange={setPart} />
        <SelectField label="Through" value={way?.id ?? TYPED} names={wayNames} onChange={setThrough} />
        {!way && side('width', 'Clear width')}
        {!way && side('height', 'Clear height')}
      </div>
      <Typography variant="body2">{passingWords(passing, (mm) => formatWithUnit(mm, notation))}</Typography>
    </Section>
  );
}

import { useTheme } from '@mui/material/styles';
import { useMemo, useState } from 'react';
import type { Station } from '@kalotrope/core/lines';
import { formatFine, formatWithUnit, unitLabel } from '@kalotrope/core/measure';
import { bowOf, sectionAt, type SectionPoint } from '@kalotrope/core/surface';
import { fieldReader, type Field, type Panel } from '@kalotrope/core/panels';
import { LengthField } from '../../controls/LengthField';
import { SelectField } from '../../controls/SelectField';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { colourOf } from '../../drawing/bands';
import { boxAround, pathOf } from '../../drawing/DrawingSurface';

type Props = {
  readonly panels: readonly Panel[];
  readonly picked: Panel;
  readonly stations: readonly Station[];
  /** Shown along the section in its colours. */
  readonly field: Field | undefined;
  readonly thickness: number;
};

const WIDE = 312;
const HIGH = 150;
const ELSEWHERE = 'elsewhere';

/** The section of the bent panels at a station or anywhere: not straight across, and where the rulings cross it. */
export function TrueSection({ panels, picked, stations, field, thickness }: Props) {
  const notation = useAppSelector(selectNotation);
  const [label, setLabel] = useState(stations[Math.floor(stations.length / 2)]?.label ?? ELSEWHERE);
  const [freeX, setFreeX] = useState(() => stations[0]?.x ?? 0);
  const station = stations.find((other) => other.label === label);
  const x = station?.x ?? freeX;
  const curves = panels.map((panel) => ({ panel, points: sectionAt(panel.rulings, x) }));
  const own = curves.find(({ panel }) => panel.id === picked.id)?.points ?? [];
  const names = useMemo(
    () =>
      Object.fromEntries([...stations.map((other) => [other.label, `station ${other.label}`]), [ELSEWHERE, ELSEWHERE]]),
    [stations],
  );
  return (
    <>
      <div className="field-grid no-print">
        <SelectField label="At" value={station ? label : ELSEWHERE} names={names} onChange={setLabel} />
        <LengthField
          label="From the stem"
          mm={x}
          onCommit={(mm) => {
            setFreeX(mm);
            setLabel(ELSEWHERE);
          }}
        />
      </div>
      <SectionPicture curves={curves} picked={picked.id} field={field} thickness={thickness} x={x} />
      {own.length > 1 && (
        <p className="quiet">
          {picked.name} here curves by {formatFine(bowOf(own), notation)} {unitLabel(notation)}; frames are cut to the
          curve. Dots: where rulings cross.
        </p>
      )}
    </>
  );
}

type PictureProps = {
  readonly curves: readonly { readonly panel: Panel; readonly points: ReturnType<typeof sectionAt> }[];
  readonly picked: string;
  readonly field: Field | undefined;
  readonly thickness: number;
  readonly x: number;
};

/** One dot in so many. */
const DOT_EVERY = 6;
const MARGIN = 12;

function SectionPicture({ curves, picked, field, thickness, x }: PictureProps) {
  const { palette } = useTheme();
  const notation = useAppSelector(selectNotation);
  const flat = curves.flatMap(({ points }) => points.map(({ space }) => [space[1], space[2]] as const));
  if (flat.length < 2) return <p>The hull does not reach {formatWithUnit(x, notation)} from the stem.</p>;
  const box = boxAround([[0, flat[0]?.[1] ?? 0], ...flat]);
  const scale = Math.min(
    (WIDE - 2 * MARGIN) / Math.max(box.maxX - box.minX, 1),
    (HIGH - 2 * MARGIN) / Math.max(box.maxY - box.minY, 1),
  );
  const place = ({ space: [, y, z] }: SectionPoint) =>
    [MARGIN + (y - box.minX) * scale, (z - box.minY) * scale + MARGIN - HIGH] as const;
  const own = curves.find(({ panel }) => panel.id === picked)?.points ?? [];
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      width="100%"
      role="img"
      aria-label={`Section at ${formatWithUnit(x, notation)}`}
    >
      <g fill="none" strokeWidth={1.6}>
        {curves.map(({ panel, points }) => (
          <path
            key={panel.id}
            d={pathOf(points.map(place))}
            stroke={panel.id === picked ? palette.secondary.main : palette.text.primary}
            strokeWidth={field ? 7 : undefined}
          />
        ))}
        {field &&
          curves.map(({ panel, points }) => {
            const read = fieldReader(panel, field, thickness);
            return points.slice(1).map((end, i) => {
              const from = points[i] ?? end; // there is one before each
              const colour = colourOf((read(from.ruling, from.across) + read(end.ruling, end.across)) / 2);
              const run = pathOf([from, end].map(place));
              return <path key={`${panel.id} ${i}`} d={run} stroke={colour} strokeWidth={4.4} />;
            });
          })}
        {own
          .filter((_, i) => i % DOT_EVERY === 0)
          .map((point, i) => {
            const [cx, cy] = place(point);
            return <circle key={i} cx={cx} cy={-cy} r={1.8} fill={palette.info.main} />;
          })}
      </g>
    </svg>
  );
}

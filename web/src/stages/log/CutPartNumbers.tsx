/** A part: how far it is; where it was cut from an older drawing, the two outlines on each other, and what to do. */
import { useTheme } from '@mui/material/styles';
import { useMemo } from 'react';
import { changeOf, livesOf, type LogRecords, type MovedPart } from '@kalotrope/core/log';
import { formatSmall, type Notation } from '@kalotrope/core/measure';
import type { CutPart } from '@kalotrope/core/sheets';
import { Figure } from '../../controls/Figure';
import { PartLife } from '../../controls/PartLife';
import { COLOURS } from '../../drawing/colours';
import { boxAround, pathOf } from '../../drawing/DrawingSurface';
import { VERDICT_WORDS } from './words';

type Props = { readonly part: CutPart; readonly records: LogRecords; readonly notation: Notation };

export function CutPartNumbers({ part, records, notation }: Props) {
  const cut = livesOf(records.parts).get(part.id)?.cut;
  const moved = records.moved.find((one) => one.part === part.id);
  return (
    <>
      <PartLife parts={[part]} />
      {moved && (
        <>
          <Figure name="What to do" value={VERDICT_WORDS[moved.verdict]} />
          {figures(moved, notation).map(([name, value]) => (
            <Figure key={name} name={name} value={value} why="Laid on the present drawing where it fits best" />
          ))}
          {cut && <Overlay cut={cut} now={part} />}
        </>
      )}
      {cut && !moved && <p className="quiet">It is as it is drawn now.</p>}
    </>
  );
}

const figures = ({ proud, short }: MovedPart, notation: Notation): readonly (readonly [string, string])[] => [
  ['To plane off, at most', formatSmall(proud.mm, notation)],
  ['Missing, at most', formatSmall(short.mm, notation)],
];

type OverlayProps = { readonly cut: Parameters<typeof changeOf>[0]; readonly now: CutPart };

const PAD_PX = 8;
const MOST_HIGH_PX = 220;

function Overlay({ cut, now }: OverlayProps) {
  const change = useMemo(() => changeOf(cut, now), [cut, now]);
  const { palette } = useTheme();
  const c = COLOURS[palette.mode];
  if (!change) return null;
  const { minX, minY, maxX, maxY } = boxAround(now.outline);
  const [long, high] = [maxX - minX, maxY - minY];
  const scale = Math.min((WIDE_PX - 2 * PAD_PX) / long, MOST_HIGH_PX / high);
  const path = (ring: readonly (readonly [number, number])[]) =>
    pathOf(
      ring.map(([x, y]) => [PAD_PX + (x - minX) * scale, (y - minY) * scale - PAD_PX - high * scale]),
      true,
    );
  const spot = ([x, y]: readonly [number, number]) => ({
    ...{ cx: PAD_PX + (x - minX) * scale, cy: PAD_PX + (maxY - y) * scale, r: 5 },
  });
  return (
    <svg
      width={WIDE_PX}
      height={high * scale + 2 * PAD_PX}
      role="img"
      aria-label="The part as it was cut, on the present drawing"
      style={{ maxWidth: '100%' }}
    >
      <path d={[now.outline, ...(now.holes ?? [])].map(path).join('')} fill={c.ply} fillRule="evenodd" stroke={c.ink} />
      <path
        d={[change.laid, ...change.laidHoles].map(path).join('')}
        fill="none"
        stroke={palette.secondary.main}
        strokeDasharray="5 3"
      />
      {[change.proud, change.short]
        .filter(({ mm }) => mm > SEEN_MM)
        .map(({ at }) => (
          <circle key={at.join()} {...spot(at)} fill="none" stroke={palette.error.main} strokeWidth={1.5} />
        ))}
    </svg>
  );
}

const WIDE_PX = 318;
/** Less is no place to look at. */
const SEEN_MM = 0.5;

import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import { memo, useDeferredValue, useMemo, useRef, useState } from 'react';
import { BOW, STERN, type Card, type CardBent } from '@kalotrope/core/bend';
import type { Vec2, Vec3 } from '@kalotrope/core/geometry';
import { tableOfCard } from '@kalotrope/core/lines';
import { pathOf } from '../../../drawing/DrawingSurface';
import { HullSketch } from '../../../drawing/HullSketch';
import { COLOURS } from '../../../drawing/colours';
import { useWidth } from '../../../drawing/use-size';
import { breadthAt, withBreadth } from './change-card';
import { useEdgeNames } from './edge-names';
import { Handle, REACH_PX } from './Handle';

type Props = {
  readonly card: Card;
  readonly made: Extract<CardBent, { readonly ok: true }>;
  /** It is of the card as it is now. */
  readonly isNow: boolean;
  /** While a handle is dragged the drawing keeps its scale: what the pointer is on must not move away under it. */
  readonly isDragged: boolean;
  readonly onChange: (card: Card, how: { readonly label: string; readonly isOver: boolean }) => void;
  readonly onCancel: () => void;
};

const ROOM = 26;
const LEAST_PX = 340;
const LEAST_REACH_PX = 7;
/** Between the two views, px. */
const BETWEEN = 34;

/** The boat that the card makes: from above, where its breadths are dragged, from the side, and as she stands there. */
export function CardHull({ card, made, isNow, isDragged, onChange, onCancel }: Props) {
  const c = COLOURS[useTheme().palette.mode];
  const box = useRef<HTMLDivElement>(null);
  const names = useEdgeNames(card);
  const width = Math.max(useWidth(box), LEAST_PX);
  const { lower, upper } = made.bent;
  const longitudinals = useMemo(() => tableOfCard({ lower, upper }, card), [lower, upper, card]);
  // as she stands there comes after the views that are dragged in
  const sketched = useDeferredValue(longitudinals);
  const own = useMemo(() => sizeOf(lower, upper), [lower, upper]);
  const [size, setSize] = useState(own);
  if (!isDragged && size !== own) setSize(own);
  const px = (size.to - size.from) / (width - 2 * ROOM);
  const [room, between] = [ROOM * px, BETWEEN * px];
  // from above in the middle, the other hand below it, from the side under both
  const keel = -size.out - between - size.up;
  const plan = (line: readonly Vec3[], hand: 1 | -1) => line.map(([x, y]): Vec2 => [x, hand * y]);
  const side = (line: readonly Vec3[]) => line.map(([x, , z]): Vec2 => [x, keel + z]);
  const text = { fontSize: 12 * px, fill: c.quiet };
  const box4 = [
    size.from - room,
    -size.out - room,
    size.to - size.from + 2 * room,
    2 * size.out + between + size.up + 2 * room,
  ];
  const frames = card.spreaders.map(({ id }) => id);
  const nameOf = (frame: string) =>
    frame === BOW ? 'the bow' : frame === STERN ? 'the transom' : `frame ${frames.indexOf(frame) + 1}`;
  const held = made.held.filter(({ frame }) => frame !== STERN || card.hasTransom);
  // two that stand close share the room between them
  const reachOf = ([x, y]: Vec3) => {
    const others = held.map(({ place }) => Math.hypot(place[0] - x, place[1] - y)).filter((far) => far > 0);
    return Math.max(LEAST_REACH_PX, Math.min(REACH_PX, ...others.map((far) => far / 2 / px)));
  };
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', lg: 'minmax(0, 1fr) minmax(240px, 36%)' },
        alignItems: 'center',
        opacity: isNow ? 1 : 0.85,
      }}
    >
      <div
        ref={box}
        className="card-scroll"
        role="region"
        aria-label="The boat from above and from the side"
        tabIndex={0}
      >
        <svg
          width={width}
          height={(box4[3] ?? 0) / px}
          viewBox={box4.map((n) => n.toFixed(1)).join(' ')}
          role="group"
          aria-label="The boat that it makes, from above and from the side"
          fill="none"
          overflow="visible"
        >
          <path
            d={pathOf([
              [size.from, 0],
              [size.to, 0],
            ])}
            stroke={c.line}
            strokeWidth={px}
          />
          {([1, -1] as const).map((hand) => (
            <g key={hand}>
              <path
                d={pathOf([...plan(lower, hand), ...plan(upper, hand).reverse()], true)}
                fill={c.ply}
                stroke={c.ink}
                strokeWidth={1.4 * px}
              />
            </g>
          ))}
          <path
            d={pathOf([...side(lower), ...side(upper).reverse()], true)}
            fill={c.ply}
            stroke={c.ink}
            strokeWidth={1.4 * px}
            strokeLinejoin="round"
          />
          <path
            d={pathOf([
              [size.from, keel],
              [size.to, keel],
            ])}
            stroke={c.line}
            strokeWidth={px}
          />
          <text x={size.from} y={-size.out - room * 0.3} {...text}>
            from above
          </text>
          <text x={size.from} y={-keel + room * 0.62} {...text}>
            from the side
          </text>
          {frames.map((id) => {
            const [low, high] = (['lower', 'upper'] as const).map((edge) =>
              held.find((one) => one.frame === id && one.edge === edge),
            );
            return low && high ? (
              <path
                key={id}
                d={pathOf([
                  [low.place[0], low.place[1]],
                  [high.place[0], high.place[1]],
                ])}
                stroke={c.note}
                strokeWidth={1.2 * px}
                strokeDasharray={`${6 * px} ${4 * px}`}
              />
            ) : null;
          })}
          {held.map(({ frame, edge, place }) => {
            const name = `Breadth of ${nameOf(frame)} at the ${names[edge]}`;
            return (
              <Handle
                key={`${frame} ${edge}`}
                name={name}
                place={[place[0], place[1]]}
                stands={[place[0], breadthAt(card, frame, edge) ?? place[1]]}
                px={px}
                look="point"
                reachPx={reachOf(place)}
                cursor="ns-resize"
                onMove={({ to, isOver }) => onChange(withBreadth(card, frame, edge, to[1]), { label: name, isOver })}
                onCancel={onCancel}
              />
            );
          })}
        </svg>
      </div>
      <Box sx={{ height: { xs: 170, lg: 260 }, p: 1 }}>
        <Sketch longitudinals={sketched} />
      </Box>
    </Box>
  );
}

const Sketch = memo(HullSketch);

function sizeOf(lower: readonly Vec3[], upper: readonly Vec3[]) {
  const all = [...lower, ...upper];
  return {
    from: Math.min(...all.map(([x]) => x)),
    to: Math.max(...all.map(([x]) => x)),
    out: Math.max(...all.map(([, y]) => y)),
    up: Math.max(...all.map(([, , z]) => z)),
  };
}

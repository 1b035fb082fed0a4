import { useTheme } from '@mui/material/styles';
import { useMemo, useRef } from 'react';
import { cardOutline, sheetLength, type Card, type CardBent } from '@kalotrope/core/bend';
import { pathOf } from '../../../drawing/DrawingSurface';
import { COLOURS } from '../../../drawing/colours';
import { useWidth } from '../../../drawing/use-size';
import { withFrameAt, withPointAt, type EdgeName } from './change-card';
import { useEdgeNames } from './edge-names';
import { Handle, type Moved } from './Handle';

type Props = {
  readonly card: Card;
  readonly bare: Extract<CardBent, { readonly ok: true }>['bare'];
  readonly onChange: (card: Card, how: { readonly label: string; readonly isOver: boolean }) => void;
  readonly onCancel: () => void;
};

/** Room around the sheet, px. */
const ROOM = 30;
/** A narrow screen shows it by scrolling: handles must not crowd. */
const LEAST_PX = 640;
const EDGES: readonly EdgeName[] = ['lower', 'upper'];

/** The sheet with the card drawn on it: its edges by their points, its frames by where they stand. */
export function CardFlat({ card, bare, onChange, onCancel }: Props) {
  const c = COLOURS[useTheme().palette.mode];
  const box = useRef<HTMLDivElement>(null);
  const width = Math.max(useWidth(box), LEAST_PX);
  const long = sheetLength(card);
  const px = long / (width - 2 * ROOM);
  const names = useEdgeNames(card);
  const outline = useMemo(() => cardOutline(card), [card]);
  const room = ROOM * px;
  const text = { fontSize: 12 * px, fill: c.quiet };
  const height = card.sheetWide / px + 2 * ROOM;
  const point = (edge: EdgeName, id: string, name: string) => (moved: Moved) =>
    onChange(withPointAt(card, edge, id, moved.to), { label: name, isOver: moved.isOver });
  return (
    <div ref={box} className="card-scroll" role="region" aria-label="The card flat on its sheet" tabIndex={0}>
      <svg
        width={width}
        height={height}
        viewBox={[-room, -card.sheetWide - room, long + 2 * room, card.sheetWide + 2 * room].join(' ')}
        role="group"
        aria-label="The card flat, its edges and frames to drag"
      >
        {Array.from({ length: card.sheetCount }, (_, k) => (
          <rect
            key={k}
            x={k * (card.sheetLong - card.joint)}
            y={-card.sheetWide}
            width={card.sheetLong}
            height={card.sheetWide}
            fill={c.sheet}
            fillOpacity={0.6}
            stroke={c.line}
            strokeWidth={1.2 * px}
          />
        ))}
        {outline && (
          <>
            <path
              d={pathOf([...outline.lower, ...[...outline.upper].reverse()], true)}
              fill={c.ply}
              stroke={c.ink}
              strokeWidth={1.6 * px}
              strokeLinejoin="round"
            />
            {bare.map(({ from, to }) => (
              <BareStretch key={from} share={[from, to]} lower={outline.lower} px={px} colour={c.check} />
            ))}
            {outline.frames.map(({ id, low, high }) => (
              <path
                key={id}
                d={pathOf([low, high])}
                stroke={c.note}
                strokeWidth={1.2 * px}
                strokeDasharray={`${6 * px} ${4 * px}`}
              />
            ))}
          </>
        )}
        <text x={0} y={room * 0.72} {...text}>
          bow
        </text>
        <text x={long} y={room * 0.72} textAnchor="end" {...text}>
          stern
        </text>
        {outline?.frames.map(({ id, low, high }, k) => (
          <Handle
            key={id}
            name={`Frame ${k + 1} along the card`}
            place={[low[0], (low[1] + high[1]) / 2]}
            px={px}
            look="frame"
            cursor="ew-resize"
            onMove={({ to, isOver }) =>
              onChange(withFrameAt(card, id, to[0]), { label: `Frame ${k + 1} moved`, isOver })
            }
            onCancel={onCancel}
          />
        ))}
        {EDGES.map((edge) =>
          card[edge].map(({ id, along, up }, k) => {
            const name = `Point ${k + 1} of the ${names[edge]}`;
            return (
              <Handle
                key={id}
                name={name}
                place={[along, up]}
                px={px}
                look="point"
                cursor="move"
                onMove={point(edge, id, name)}
                onCancel={onCancel}
              />
            );
          }),
        )}
      </svg>
    </div>
  );
}

type BareProps = {
  /** Lengths along the edge. */
  readonly share: readonly [number, number];
  readonly lower: readonly (readonly [number, number])[];
  readonly px: number;
  readonly colour: string;
};

/** Where nothing holds the card: a line of dots under its edge. */
function BareStretch({ share: [from, to], lower, px, colour }: BareProps) {
  const first = lower[0]?.[0] ?? 0;
  const line = lower.filter(([u]) => u - first >= from && u - first <= to).map(([u, v]) => [u, v - 9 * px] as const);
  return (
    <path
      d={pathOf(line)}
      fill="none"
      stroke={colour}
      strokeWidth={3 * px}
      strokeLinecap="round"
      strokeDasharray={`0 ${7 * px}`}
    />
  );
}

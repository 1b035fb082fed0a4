/** A template's photo, put true by the corners of a rectangle on it, and points along its edge. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { useEffect, useRef, useState, type MouseEvent } from 'react';
import { photoReader, type PhotoCorners } from '@kalotrope/core/frames';
import { LengthField } from '../../controls/LengthField';
import { PictureField } from '../../controls/PictureField';
import { takePicture } from '../../files/pictures';
import { said } from '../../state/screen-slice';
import { useAppDispatch } from '../../state/store';

type Pixel = readonly [number, number];
type Props = {
  /** How many more points the shape takes. */
  readonly room: number;
  /** With the places, out and up; none where it was given up. */
  readonly onDone: (places: readonly Pixel[]) => void;
};
type Shown = { readonly url: string; readonly widthPx: number; readonly heightPx: number };

const CORNERS = 4;
/** Of a sheet of paper, as a first guess at the rectangle. */
const RECTANGLE = { width: 297, height: 210 };
const ASKED = ['lower inner', 'lower outer', 'upper outer', 'upper inner'] as const;

export function TracePhoto({ room, onDone }: Props) {
  const dispatch = useAppDispatch();
  const file = useRef<HTMLInputElement>(null);
  const [shown, setShown] = useState<Shown | null>(null);
  const [clicks, setClicks] = useState<readonly Pixel[]>([]);
  const [size, setSize] = useState(RECTANGLE);
  const [from, setFrom] = useState({ out: 0, up: 0 });
  const url = shown?.url;
  useEffect(() => () => (url === undefined ? undefined : URL.revokeObjectURL(url)), [url]);
  const take = async (chosen: File | undefined) => {
    if (!chosen) return;
    const taken = await takePicture(chosen);
    if (!taken.ok) {
      dispatch(said(taken.reason));
      return;
    }
    const { bytes, type } = taken.picture;
    // bytes of the file that was chosen
    const made = URL.createObjectURL(new Blob([bytes as BlobPart], { type }));
    setShown({ url: made, widthPx: taken.widthPx, heightPx: taken.heightPx });
    setClicks([]);
  };
  const corners = clicks.length >= CORNERS ? (clicks.slice(0, CORNERS) as unknown as PhotoCorners) : undefined; // four
  const read = corners && photoReader(corners, size, [from.out, from.up]);
  const traced = clicks.slice(CORNERS);
  return (
    <Dialog open onClose={() => onDone([])} fullWidth maxWidth="lg" aria-labelledby="trace-title">
      <DialogTitle id="trace-title">Trace a photo</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 2, gridTemplateColumns: { xs: '1fr', md: '1fr 280px' } }}>
        {shown ? (
          <Picture
            shown={shown}
            clicks={clicks}
            onClick={(p) => setClicks([...clicks, p])}
            isFull={traced.length >= room}
          />
        ) : (
          <Box sx={{ minHeight: 240, display: 'grid', placeItems: 'center' }}>
            <Button variant="outlined" onClick={() => file.current?.click()}>
              Choose a photo
            </Button>
          </Box>
        )}
        <PictureField label="A photo of the template" field={file} onFile={(chosen) => void take(chosen)} />
        <Box sx={{ display: 'grid', gap: 1.25, alignContent: 'start' }}>
          <Typography variant="body2" color="text.secondary">
            The template lies flat with a rectangle on it whose sides you know: a sheet of paper, a board, four nails.
            Its sides level and upright in the boat.
          </Typography>
          <LengthField label="Rectangle, athwart" mm={size.width} onCommit={(mm) => setSize({ ...size, width: mm })} />
          <LengthField label="Rectangle, up" mm={size.height} onCommit={(mm) => setSize({ ...size, height: mm })} />
          <LengthField
            label="Its lower inner corner, out"
            mm={from.out}
            onCommit={(out) => setFrom({ ...from, out })}
          />
          <LengthField label="Its lower inner corner, up" mm={from.up} onCommit={(up) => setFrom({ ...from, up })} />
          <Typography role="status">{whatNext(clicks.length, read !== undefined, room)}</Typography>
          <Box>
            <Button disabled={clicks.length === 0} onClick={() => setClicks(clicks.slice(0, -1))}>
              Take back the last
            </Button>
            {shown && <Button onClick={() => file.current?.click()}>Another photo</Button>}
          </Box>
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={() => onDone([])}>Leave it</Button>
        <Button
          variant="contained"
          disabled={!read || traced.length === 0}
          onClick={() => read && onDone(traced.map((p) => read(p)))}
        >
          Use these points
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function whatNext(clicks: number, isTrue: boolean, room: number): string {
  const corner = ASKED[clicks];
  if (corner) return `Click the ${corner} corner of the rectangle.`;
  if (!isTrue) return 'Three of the corners lie on a line. Take them back and click them again.';
  const points = clicks - CORNERS;
  if (points >= room) return `That is all the points that it takes: ${points}.`;
  return `Now points along the edge, from the centreline out and up: ${points} so far.`;
}

type PictureProps = {
  readonly shown: Shown;
  readonly clicks: readonly Pixel[];
  readonly isFull: boolean;
  readonly onClick: (place: Pixel) => void;
};

function Picture({ shown: { url, widthPx, heightPx }, clicks, isFull, onClick }: PictureProps) {
  const { palette } = useTheme();
  const px = Math.max(widthPx, heightPx) / 700;
  const rectangle = clicks.slice(0, CORNERS);
  const click = (event: MouseEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const place: Pixel = [
      ((event.clientX - box.left) / box.width) * widthPx,
      ((event.clientY - box.top) / box.height) * heightPx,
    ];
    if (!isFull) onClick(place);
  };
  return (
    <svg
      viewBox={`0 0 ${widthPx} ${heightPx}`}
      style={{ width: '100%', cursor: 'crosshair', alignSelf: 'start' }}
      role="img"
      aria-label="The photo"
      onClick={click}
    >
      <image href={url} width={widthPx} height={heightPx} />
      <polygon
        points={rectangle.map((p) => p.join(',')).join(' ')}
        fill="none"
        stroke={palette.secondary.main}
        strokeWidth={1.5 * px}
      />
      {clicks.map(([x, y], i) => (
        <circle
          key={i}
          cx={x}
          cy={y}
          r={4 * px}
          fill={i < CORNERS ? palette.secondary.main : palette.primary.main}
          stroke={palette.background.paper}
          strokeWidth={px}
        />
      ))}
    </svg>
  );
}

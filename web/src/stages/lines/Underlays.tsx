import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Slider from '@mui/material/Slider';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { memo, useRef, useState } from 'react';
import {
  pointOf,
  lineOf,
  levelled,
  moved,
  pencilAtFullSize,
  scaled,
  traced,
  type Adjusted,
  type Underlay,
} from '@kalotrope/core/lines';
import { formatWithUnit, parseScale } from '@kalotrope/core/measure';
import { edited } from '../../state/document-slice';
import { LengthField } from '../../controls/LengthField';
import { PictureField } from '../../controls/PictureField';
import { NumberField } from '../../controls/NumberField';
import { Section } from '../../controls/Section';
import { plural } from '../../controls/words';
import { takePicture } from '../../files/pictures';
import { said } from '../../state/screen-slice';
import { selectLiveHull, selectNotation, selectPicked, selectProject } from '../../state/selectors';
import { useAppDispatch, useAppSelector, useAppStore } from '../../state/store';
import { addPictures } from '../../storage/pictures';

type Place = readonly [number, number];
type Kind = 'scale' | 'level' | 'place' | 'points';
/** What the next clicks on the drawing are for. */
export type Tool = { readonly underlay: string; readonly kind: Kind; readonly places: readonly Place[] };

const VIEW_NAMES: Readonly<Record<Underlay['view'], string>> = { profile: 'profile', plan: 'plan', body: 'body plan' };

/** How many clicks the tool wants before there is something to do. */
const WANTED: Readonly<Record<Kind, number>> = { scale: 2, level: 2, place: 1, points: 1 };
const TELLS: Readonly<Record<Kind, readonly string[]>> = {
  scale: [
    'Click the first of two places whose distance you know.',
    'Click the second, as far away as the picture allows.',
    'Now give the distance.',
  ],
  level: ['Click a place on a line that should be level: the base line, say.', 'Click another place on it, far away.'],
  place: ['Click a place that you know: the forward end of the base line, say.', 'Now say where it lies on the boat.'],
  points: ['Click along the picked line, point by point. Near a station the point is put on it.'],
};

type Props = {
  readonly tool: Tool | null;
  readonly onTool: (tool: Tool | null) => void;
};

/** A drawing to take the lines from: its scale and pencil, and pictures of it under the views. */
export const Underlays = memo(function Underlays({ tool, onTool }: Props) {
  const notation = useAppSelector(selectNotation);
  const drawing = useAppSelector((state) => selectProject(state)?.lines.drawing);
  const underlays = useAppSelector((state) => selectProject(state)?.lines.underlays);
  const boat = useAppSelector((state) => selectProject(state)?.id);
  const store = useAppStore();
  const dispatch = useAppDispatch();
  const file = useRef<HTMLInputElement>(null);
  const [view, setView] = useState<Underlay['view']>('profile');
  const take = async (chosen: File | undefined) => {
    if (!chosen) return;
    const taken = await takePicture(chosen);
    if (!taken.ok) {
      dispatch(said(taken.reason));
      return;
    }
    await addPictures([taken.picture]);
    // reading a picture takes its time: what was done meanwhile stands
    const now = selectProject(store.getState());
    if (!now || now.id !== boat) {
      dispatch(said('The picture was left: another boat was opened while it was read.'));
      return;
    }
    const { widthPx, heightPx } = taken;
    const { fromX, toX } = selectLiveHull(store.getState()) ?? { fromX: 0, toX: 0 };
    const mmPerPx = Math.max(100, toX - fromX) / widthPx;
    const left = view === 'body' ? (-widthPx * mmPerPx) / 2 : fromX;
    const underlay: Underlay = {
      id: taken.picture.id,
      name: chosen.name.slice(0, 200),
      view,
      widthPx,
      heightPx,
      left,
      top: heightPx * mmPerPx,
      mmPerPx,
      turnDeg: 0,
      opacity: 0.6,
    };
    dispatch(
      edited({
        label: `Picture under the ${VIEW_NAMES[view]}`,
        edits: [{ path: ['lines', 'underlays'], value: [...now.lines.underlays, underlay] }],
      }),
    );
    onTool({ underlay: underlay.id, kind: 'scale', places: [] });
  };
  if (!drawing || !underlays) return null;
  const set = (key: 'scale' | 'pencil', label: string) => (value: number) =>
    dispatch(edited({ label, edits: [{ path: ['lines', 'drawing', key], value }] }));
  const count = underlays.length > 0 ? plural(underlays.length, 'picture') : undefined;
  return (
    <Section title="A drawing to work from" aside={count}>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
        <NumberField
          label="Scale 1:"
          value={drawing.scale}
          read={parseScale}
          onCommit={set('scale', 'Scale of the drawing')}
        />
        <LengthField label="Pencil width" mm={drawing.pencil} onCommit={set('pencil', 'Width of the pencil')} />
      </Box>
      <Typography variant="body2" color="text.secondary">
        One pencil width is {formatWithUnit(pencilAtFullSize(drawing), notation)} at full size; points taken from it are
        known to that.
      </Typography>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <TextField
          select
          label="View"
          value={view}
          onChange={({ target }) => setView(target.value as Underlay['view'])} // one of the items below
          sx={{ flex: 1 }}
        >
          {(Object.keys(VIEW_NAMES) as Underlay['view'][]).map((key) => (
            <MenuItem key={key} value={key}>
              {VIEW_NAMES[key]}
            </MenuItem>
          ))}
        </TextField>
        <Button variant="outlined" onClick={() => file.current?.click()} disabled={underlays.length >= 6}>
          Put a picture under it
        </Button>
        <PictureField label="A picture of the drawing" field={file} onFile={(chosen) => void take(chosen)} />
      </Box>
      {underlays.map((underlay) => (
        <OnePicture key={underlay.id} underlay={underlay} underlays={underlays} tool={tool} onTool={onTool} />
      ))}
    </Section>
  );
});

const BUTTONS: readonly (readonly [Kind, string])[] = [
  ['scale', 'Set its scale'],
  ['level', 'Level it'],
  ['place', 'Place it'],
  ['points', 'Take points'],
];

type OneProps = Props & { readonly underlay: Underlay; readonly underlays: readonly Underlay[] };

function OnePicture({ underlay, underlays, tool, onTool }: OneProps) {
  const dispatch = useAppDispatch();
  const [known, setKnown] = useState(0);
  const [to, setTo] = useState<Place>([0, 0]);
  const own = tool?.underlay === underlay.id ? tool : null;
  const put = (label: string, next: Underlay) => {
    const value = underlays.map((other) => (other.id === next.id ? next : other));
    dispatch(edited({ label, edits: [{ path: ['lines', 'underlays'], value }] }));
    onTool(null);
  };
  const [first, second] = own?.places ?? [];
  const tell = own && (TELLS[own.kind][own.places.length] ?? '');
  const opacity = (value: number) =>
    dispatch(
      edited({
        label: 'Picture, how dark',
        gesture: `opacity ${underlay.id}`,
        edits: [{ path: ['lines', 'underlays', underlay.id, 'opacity'], value }],
      }),
    );
  return (
    <Box
      sx={{ display: 'grid', gap: 1, borderTop: 1, borderColor: 'divider', pt: 1 }}
      role="group"
      aria-label={underlay.name}
    >
      <Typography variant="body2">
        {underlay.name}, under the {VIEW_NAMES[underlay.view]}
      </Typography>
      <Slider
        size="small"
        min={0.1}
        max={1}
        step={0.05}
        value={underlay.opacity}
        aria-label="How dark the picture is"
        onChange={(_event, value) => opacity(value)}
      />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {BUTTONS.map(([kind, name]) => (
          <Button
            key={kind}
            variant={own?.kind === kind ? 'contained' : 'outlined'}
            aria-pressed={own?.kind === kind}
            onClick={() => onTool(own?.kind === kind ? null : { underlay: underlay.id, kind, places: [] })}
          >
            {name}
          </Button>
        ))}
        <Button
          variant="outlined"
          color="error"
          onClick={() => {
            const value = underlays.filter((other) => other.id !== underlay.id);
            dispatch(edited({ label: 'Picture taken away', edits: [{ path: ['lines', 'underlays'], value }] }));
            onTool(null);
          }}
        >
          Take it away
        </Button>
      </Box>
      {tell !== null && tell !== '' && (
        <Typography variant="body2" role="status" sx={{ color: 'secondary.main' }}>
          {tell}
        </Typography>
      )}
      {own?.kind === 'scale' && first && second && (
        <>
          <LengthField label="They are apart by" mm={known} onCommit={setKnown} />
          <Button
            variant="contained"
            disabled={known <= 0}
            onClick={() => settle(scaled(underlay, first, second, known), 'Scale of the picture')}
          >
            Bring it to size
          </Button>
        </>
      )}
      {own?.kind === 'place' && first && (
        <>
          <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
            <LengthField
              label={underlay.view === 'body' ? 'From the centreline' : 'From the stem'}
              mm={to[0]}
              onCommit={(mm) => setTo([mm, to[1]])}
            />
            <LengthField
              label={underlay.view === 'plan' ? 'Half-breadth' : 'Height'}
              mm={to[1]}
              onCommit={(mm) => setTo([to[0], mm])}
            />
          </Box>
          <Button variant="contained" onClick={() => put('Picture placed', moved(underlay, first, to))}>
            Put it there
          </Button>
        </>
      )}
      {own?.kind === 'level' && first && second && (
        <Button variant="contained" onClick={() => settle(levelled(underlay, first, second), 'Picture levelled')}>
          Turn it level
        </Button>
      )}
    </Box>
  );
  function settle(adjusted: Adjusted, label: string) {
    if (adjusted.ok) return put(label, adjusted.underlay);
    dispatch(said(adjusted.reason));
    onTool(own && { ...own, places: [] });
  }
}

/** What a click on the drawing does while a tool is taken up; null while none is. */
export function useClicked(tool: Tool | null, onTool: (tool: Tool | null) => void) {
  const underlay = useAppSelector((state) =>
    selectProject(state)?.lines.underlays.find(({ id }) => id === tool?.underlay),
  );
  const store = useAppStore();
  const dispatch = useAppDispatch();
  if (!tool || !underlay) return undefined;
  const onPlace = (place: Place) => {
    if (tool.kind !== 'points') {
      if (tool.places.length < WANTED[tool.kind]) onTool({ ...tool, places: [...tool.places, place] });
      return;
    }
    const state = store.getState();
    const [part, hull, choice] = [selectProject(state)?.lines, selectLiveHull(state), selectPicked(state)];
    if (!part || !hull) return;
    const lineId = lineOf(choice);
    const line = part.longitudinals.find(({ id }) => id === lineId);
    if (!line) {
      dispatch(said('Pick the line that the points belong to first: in the table, or with [ and ]'));
      return;
    }
    const label = line.points[pointOf(choice) ?? -1]?.station;
    const next = traced(line, {
      view: underlay.view,
      place,
      stations: hull.stations,
      station: hull.stations.find((station) => station.label === label),
      uncertainty: pencilAtFullSize(part.drawing),
    });
    if (!next) {
      dispatch(said('Pick a point of the station that this section belongs to first'));
      return;
    }
    dispatch(
      edited({
        label: `${line.name}: a point off the drawing`,
        edits: [{ path: ['lines', 'longitudinals', line.id], value: next }],
      }),
    );
  };
  return { view: underlay.view, onPlace, places: tool.places };
}

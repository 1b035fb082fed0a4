/** The hull in the round: picking in step with the drawing, the tape's mark as a bead. Grows on demand. */
import OpenInFull from '@mui/icons-material/OpenInFull';
import CloseFullscreen from '@mui/icons-material/CloseFullscreen';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Slider from '@mui/material/Slider';
import Typography from '@mui/material/Typography';
import { createSelector } from '@reduxjs/toolkit';
import { useTheme } from '@mui/material/styles';
import { useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Tick } from '../../controls/ViewTabs';
import { selectDerived } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { HullCanvas } from './HullCanvas';
import type { SceneProps } from './HullScene';
import { ALL_LAYERS, LAYER_WORDS, type Layer } from './layers';
import { moves } from './quality';
import { nextView, VIEW_NAMES, type View } from './views';

/** Of which there is anything in this boat. */
const selectLayers = createSelector([selectDerived], (derived): Layer[] => {
  if (!derived) return [];
  const { frames, girders, members } = derived.frames.value;
  const { parts, walls, blocks, stems, knees } = derived.fitout.value;
  const counts: Readonly<Record<Layer, number>> = {
    standing: frames.length + girders.length + members.length,
    within: parts.filter(({ fit }) => fit === 'inside').length + blocks.length + knees.length,
    above: parts.filter(({ fit }) => fit === 'over').length + walls.length + stems.length,
  };
  return (['standing', 'within', 'above'] as const).filter((layer) => counts[layer] > 0);
});

type Props = Pick<SceneProps, 'field' | 'folded' | 'marks'> & {
  /** Fills the place of the drawing rather than its corner. */
  readonly isFilling?: boolean;
};

export default function HullView({ field, folded, marks, isFilling = false }: Props) {
  const [isGrown, setIsGrown] = useState(false);
  const [view, setView] = useState<View>('three-quarter');
  const [isSeenThrough, setSeenThrough] = useState(false);
  const [layers, setLayers] = useState(ALL_LAYERS);
  const [apart, setApart] = useState(0);
  const isLarge = isFilling || isGrown;
  const count = useAppSelector((state) => selectDerived(state)?.panels.value.panels.length ?? 0);
  const there = useAppSelector(selectLayers);
  const theme = useTheme();
  useHotkeys('v', () => setView(nextView), {
    enableOnFormTags: true,
    ignoreEventWhen: ({ target }) => isTyped(target),
  });
  // made once: an edit draws the scene again, not what is round it
  const canvas = useMemo(
    () => (
      <HullCanvas key={String(isLarge)} {...{ field, folded, marks, isLarge, isSeenThrough, layers, apart, view }} />
    ),
    [field, folded, marks, isLarge, isSeenThrough, layers, apart, view],
  );
  if (count === 0) return null;
  const size = isLarge
    ? { inset: 12, width: 'auto', height: 'auto' }
    : {
        left: 'var(--corner-left)',
        top: 'var(--corner-top)',
        width: 'var(--corner-width)',
        height: 'var(--corner-height)',
      };
  return (
    <Box
      role="group"
      aria-label={`The hull in the round, ${count} panels`}
      className="no-print"
      sx={{ position: 'absolute', ...size, border: 1, borderColor: 'divider', bgcolor: 'background.paper' }}
    >
      {canvas}
      {isLarge && (
        <Controls view={view} onView={setView}>
          {folded === undefined && (
            <>
              <Tick
                label="See through"
                hint="The skin clear, to see what stands in it"
                isTicked={isSeenThrough}
                onTick={setSeenThrough}
              />
              {there.map((layer) => (
                <Tick
                  key={layer}
                  {...LAYER_WORDS[layer]}
                  isTicked={layers[layer]}
                  onTick={(isShown) => setLayers({ ...layers, [layer]: isShown })}
                />
              ))}
              <ApartSlider share={apart} onShare={setApart} />
            </>
          )}
        </Controls>
      )}
      {!isFilling && (
        <IconButton
          size="small"
          aria-label={isLarge ? 'Make the hull small' : 'Make the hull large'}
          onClick={() => {
            setApart(0);
            setIsGrown(!isGrown);
          }}
          sx={{ position: 'absolute', top: 2, right: 2, color: theme.palette.text.secondary }}
        >
          {isLarge ? <CloseFullscreen fontSize="small" /> : <OpenInFull fontSize="small" />}
        </IconButton>
      )}
    </Box>
  );
}

/** Whether letters are typed into it; a tick box takes none. */
const isTyped = (target: EventTarget | null): boolean =>
  target instanceof HTMLTextAreaElement ||
  (target instanceof HTMLInputElement && !/^(checkbox|range|radio)$/.test(target.type));

type ControlsProps = {
  readonly view: View;
  readonly onView: (view: View) => void;
  readonly children: React.ReactNode;
};

/** Along the foot of the picture. */
const Controls = ({ view, onView, children }: ControlsProps) => (
  <Box
    sx={{
      ...{ position: 'absolute', left: 8, right: 8, bottom: 4, display: 'flex', flexWrap: 'wrap' },
      ...{ alignItems: 'center', columnGap: 1.5 },
    }}
  >
    <Box role="group" aria-label="Seen from" sx={{ display: 'flex' }}>
      {VIEW_NAMES.map((name) => (
        <Button
          key={name}
          size="small"
          aria-pressed={name === view}
          onClick={() => onView(name)}
          sx={{ fontWeight: name === view ? 700 : 400 }}
        >
          {name}
        </Button>
      ))}
    </Box>
    {children}
  </Box>
);

type ApartProps = { readonly share: number; readonly onShare: (share: number) => void };

const ApartSlider = ({ share, onShare }: ApartProps) => (
  <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, flex: 1, minWidth: 180, pr: 1.5 }}>
    <Typography variant="body2" sx={{ whiteSpace: 'nowrap' }}>
      Take apart
    </Typography>
    <Slider
      size="small"
      aria-label="Taken apart"
      value={share}
      min={0}
      max={1}
      step={0.01}
      shiftStep={0.1}
      onChange={(_event, value) => {
        moves();
        onShare(Number(value));
      }}
      getAriaValueText={(value) => `${Math.round(value * 100)} %`}
    />
  </Box>
);

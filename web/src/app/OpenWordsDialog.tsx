import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import List from '@mui/material/List';
import ListItemButton from '@mui/material/ListItemButton';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { PICTURES, WORDS, type PicturePath, type Word } from '@kalotrope/core/words';
import { COLOURS } from '../drawing/colours';
import { wordAsked } from '../state/screen-slice';
import { useAppDispatch } from '../state/store';

export default function OpenWordsDialog({ id }: { readonly id: string }) {
  const dispatch = useAppDispatch();
  const word = WORDS.find((other) => other.id === id) ?? WORDS[0];
  const close = () => dispatch(wordAsked(null));
  if (!word) return null;
  return (
    <Dialog open onClose={close} fullWidth maxWidth="md" aria-labelledby="words-title">
      <DialogTitle id="words-title">The words</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 3, gridTemplateColumns: { xs: '1fr', md: '200px 1fr' } }}>
        <List
          dense
          aria-label="All words"
          sx={{ maxHeight: { xs: 160, md: 420 }, overflow: 'auto', order: { xs: 1, md: 0 }, py: 0 }}
        >
          {WORDS.map((other) => (
            <li key={other.id}>
              <ListItemButton
                selected={other === word}
                aria-current={other === word}
                autoFocus={other === word}
                onClick={() => dispatch(wordAsked(other.id))}
              >
                {other.word}
              </ListItemButton>
            </li>
          ))}
        </List>
        <Box aria-live="polite">
          <Typography variant="h1" component="h3">
            {word.word}
          </Typography>
          <Typography sx={{ my: 1.5 }}>{word.meaning}</Typography>
          {word.picture && <WordPicture word={word} name={word.picture} />}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={close}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}

type PictureProps = { readonly word: Word; readonly name: keyof typeof PICTURES };

/** The drawing, with the word that is asked for standing out. */
function WordPicture({ word, name }: PictureProps) {
  const { palette } = useTheme();
  const c = COLOURS[palette.mode];
  const { title, width, height, paths, labels } = PICTURES[name];
  const look: Readonly<Record<PicturePath['kind'], object>> = {
    edge: { fill: 'none', stroke: c.ink, strokeWidth: 1.8 },
    thin: { fill: 'none', stroke: c.quiet, strokeWidth: 0.9 },
    dashed: { fill: 'none', stroke: c.quiet, strokeWidth: 0.9, strokeDasharray: '5 3' },
    part: { fill: c.ply, stroke: c.ink, strokeWidth: 1.4 },
    glue: { fill: c.note, fillOpacity: 0.45, stroke: c.main, strokeWidth: 1.2 },
    glass: { fill: 'none', stroke: c.main, strokeWidth: 3 },
  };
  return (
    <svg viewBox={`0 0 ${width} ${height}`} width="100%" role="img" aria-label={title}>
      {paths.map(({ kind, points, isClosed }, i) => {
        const Shape = isClosed ? 'polygon' : 'polyline';
        const figures = points.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' ');
        return <Shape key={i} points={figures} strokeLinejoin="round" {...look[kind]} />;
      })}
      {labels.map(({ text, at: [x, y], align, of }) => {
        const isAsked = of.includes(word.id);
        return (
          <text
            key={`${text} ${x}`}
            x={x}
            y={y}
            textAnchor={align}
            fontSize={13}
            fontWeight={isAsked ? 700 : 400}
            fill={isAsked ? palette.secondary.main : c.ink}
            stroke={c.sheet}
            strokeWidth={3}
            paintOrder="stroke"
          >
            {text}
          </text>
        );
      })}
    </svg>
  );
}

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { useEffect, useState } from 'react';
import type { CardModel, CardOptions } from '@kalotrope/core/exchange';
import { fileNames, pageOnItsSide, SHEET_PAPERS, type Drawing, type SheetPaper } from '@kalotrope/core/formats';
import { usualPaper, type Project } from '@kalotrope/core/project';
import { saveFile } from '../../files/files';
import { selectProject } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { engine } from '../../engine/client';
import { pathOf } from '../../drawing/DrawingSurface';

const SCALES = [5, 6, 8, 10, 12, 15, 20] as const;

type Made = { readonly of: CardOptions; readonly project: Project; readonly model: CardModel };

/** The model to cut from card: its pages, and how it goes together. */
export function CardPages() {
  const project = useAppSelector(selectProject);
  return project && <CardModelOf project={project} />;
}

function CardModelOf({ project }: { readonly project: Project }) {
  const [options, setOptions] = useState<CardOptions>({
    ...{ scale: 10, edges: 'tabs' },
    paper: usualPaper(project.notation),
  });
  const [made, setMade] = useState<Made | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  useEffect(() => {
    const stopping = new AbortController();
    void engine.run('card', { project, options }, { signal: stopping.signal }).then((answer) => {
      if (stopping.signal.aborted) return;
      setFailed(answer.kind === 'failed' ? answer.message : null);
      if (answer.kind === 'ok') setMade({ of: options, project, model: answer.value });
    });
    return () => stopping.abort();
  }, [project, options]);
  const isReady = made?.of === options && made.project === project;
  const size = pageOnItsSide(options.paper);
  const save = async () => {
    if (!made) return;
    const title = `${project.name} card model`;
    const [file = 'card-model'] = fileNames(project.name, ['card model']);
    const answer = await engine.run('cardPdf', { title, file, pages: made.model.pages, size });
    if (answer.kind === 'ok') saveFile(answer.value);
    if (answer.kind === 'failed') setFailed(answer.message);
  };
  return (
    <Box
      sx={{ flex: 1, minHeight: 0, overflow: 'auto', borderTop: 1, borderColor: 'divider', p: 2 }}
      tabIndex={0}
      role="group"
      aria-label="Card model"
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }} className="no-print">
        <TextField
          select
          label="Scale"
          value={options.scale}
          onChange={({ target }) => setOptions({ ...options, scale: Number(target.value) })}
          sx={{ width: 110 }}
        >
          {SCALES.map((scale) => (
            <MenuItem key={scale} value={scale}>
              1:{scale}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label="Card"
          value={options.paper}
          // one of the items below
          onChange={({ target }) => setOptions({ ...options, paper: target.value as SheetPaper })}
          sx={{ width: 120 }}
        >
          {SHEET_PAPERS.map((paper) => (
            <MenuItem key={paper} value={paper}>
              {paper}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label="Edges"
          value={options.edges}
          onChange={({ target }) => setOptions({ ...options, edges: target.value as CardOptions['edges'] })} // as above
          sx={{ width: 190 }}
        >
          <MenuItem value="tabs">with tabs to glue</MenuItem>
          <MenuItem value="tape">plain, to be taped</MenuItem>
        </TextField>
        <Button variant="outlined" disabled={!isReady} onClick={() => void save()}>
          Save the pages as PDF
        </Button>
        <Typography variant="body2" role="status" color="text.secondary">
          {failed ?? (isReady ? summary(made.model) : 'Laying out the pages…')}
        </Typography>
      </Box>
      <Typography component="ol" variant="body2" color="text.secondary" sx={{ pl: 2.5, my: 1.5, columns: { md: 2 } }}>
        <li>Print at 100 % on thin card and lay a rule on the bar of each page.</li>
        <li>Cut along the black lines; score the blue ones along the tabs with the back of a knife.</li>
        <li>Glue pieces of one panel on their strips, then panels to transom and bulkheads.</li>
        <li>Edges with the same letter meet: from amidships to the ends, port and starboard by turns.</li>
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(300px, 1fr))', gap: 2 }}>
        {made?.model.pages.map((page) => (
          <CardPage key={page.name} page={page} size={size} />
        ))}
      </Box>
    </Box>
  );
}

function summary({ pages, parts, unplaced }: CardModel): string {
  const made = `${parts.length} parts on ${pages.length === 1 ? 'one page' : `${pages.length} pages`}`;
  return unplaced.length > 0 ? `${made}; too large for a page: ${unplaced.join(', ')}. Take a smaller scale` : made;
}

function CardPage({ page, size }: { readonly page: Drawing; readonly size: { width: number; height: number } }) {
  const { palette } = useTheme();
  const paths = (layer: 'cut' | 'mark') =>
    page.paths
      .filter((path) => path.layer === layer)
      .map(({ points, isClosed }) => pathOf(points, isClosed))
      .join('');
  return (
    <Box sx={{ border: 1, borderColor: 'divider', bgcolor: '#FFFFFF' }}>
      <svg
        viewBox={`0 ${-size.height} ${size.width} ${size.height}`}
        role="img"
        aria-label={page.name}
        style={{ display: 'block' }}
      >
        <path d={paths('cut')} fill="#F3E9D2" stroke="#1D2C36" strokeWidth={0.35} />
        <path d={paths('mark')} fill="none" stroke={palette.info.main} strokeWidth={0.3} />
        {page.texts.map(({ at: [x, y], heightMm, text }, i) => (
          <text key={i} x={x} y={-y} fontSize={heightMm} fill="#1D2C36">
            {text}
          </text>
        ))}
      </svg>
    </Box>
  );
}

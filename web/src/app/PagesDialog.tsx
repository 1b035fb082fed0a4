/** A drawing at full size on pages to join: on which paper, all of it or its edges alone, and how many that is. */
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { PAPER_NAMES, type Paper, type TileLayout } from '@kalotrope/core/formats';
import { engine } from '../engine/client';
import type { ExportFrom, PageCount } from '../engine/exports';
import { useMake } from './use-make';

type Props = {
  readonly from: ExportFrom & { readonly printing: { readonly paper: Paper } };
  readonly file: string;
  readonly title: string;
  readonly onClose: () => void;
};

export function PagesDialog({ from, file, title, onClose }: Props) {
  const [layout, setLayout] = useState<TileLayout>({ paper: from.printing.paper, isEdgesOnly: false });
  const count = usePageCount(from, file, layout);
  const make = useMake(from);
  const save = () => {
    onClose();
    void make({ what: 'pages', file, layout });
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="pages-title" fullWidth maxWidth="xs">
      <DialogTitle id="pages-title">{title}, full size on pages to join</DialogTitle>
      <DialogContent>
        <TextField
          select
          fullWidth
          label="Paper"
          value={layout.paper}
          onChange={({ target }) => setLayout({ ...layout, paper: target.value as Paper })} // one of the items below
          sx={{ mt: 1 }}
        >
          {PAPER_NAMES.map((paper) => (
            <MenuItem key={paper} value={paper}>
              {paper}
            </MenuItem>
          ))}
        </TextField>
        <FormControlLabel
          control={
            <Checkbox
              checked={layout.isEdgesOnly}
              onChange={(_, isEdgesOnly) => setLayout({ ...layout, isEdgesOnly })}
            />
          }
          label="Edges only, to save paper"
          sx={{ mt: 1 }}
        />
        <Typography role="status" sx={{ mt: 1, minHeight: '3em' }}>
          {count === null ? 'Counting the pages…' : wordsOf(count)}
        </Typography>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
        <Button variant="contained" onClick={save}>
          Save the PDF
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function wordsOf({ pages, leftOut }: PageCount): string {
  const more = leftOut === 0 ? '' : `; ${leftOut} that would be empty ${leftOut === 1 ? 'is' : 'are'} left out`;
  return `${pages} ${pages === 1 ? 'page' : 'pages'} and a map of them${more}.`;
}

/** Null until they are counted. */
function usePageCount(from: ExportFrom, file: string, layout: TileLayout): PageCount | null {
  const [counted, setCounted] = useState<{ readonly of: TileLayout; readonly count: PageCount } | null>(null);
  useEffect(() => {
    const stopping = new AbortController();
    void engine.run('exportPages', { from, file, layout }, { signal: stopping.signal }).then((answer) => {
      if (answer.kind === 'ok' && answer.value && !stopping.signal.aborted)
        setCounted({ of: layout, count: answer.value });
    });
    return () => stopping.abort();
  }, [from, file, layout]);
  return counted?.of === layout ? counted.count : null;
}

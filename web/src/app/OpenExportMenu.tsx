/** The export menu itself: what there is comes from the engine, which also makes the files. */
import Box from '@mui/material/Box';
import Divider from '@mui/material/Divider';
import ListSubheader from '@mui/material/ListSubheader';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useEffect, useMemo, useState } from 'react';
import { SHEET_PAPERS, type SheetPaper } from '@kalotrope/core/formats';
import { usualPaper, type StageName } from '@kalotrope/core/project';
import { engine } from '../engine/client';
import type { DrawingKind, ExportFrom, ExportList } from '../engine/exports';
import { saveProjectFile, saveWholeProject, wholeProjectFile } from '../files/save-project';
import { useBench } from '../state/bench';
import { selectFound, selectProject } from '../state/selectors';
import { useAppSelector } from '../state/store';
import { PagesDialog } from './PagesDialog';
import { today } from './today';
import { useMake } from './use-make';

/** `pages`: at full size on pages to join, of which more is asked. */
const KINDS: readonly { readonly name: string; readonly kind: DrawingKind | 'pages' }[] = [
  { name: 'DXF', kind: 'dxf' },
  { name: 'SVG', kind: 'svg' },
  { name: 'PDF, one page', kind: 'pdf' },
  { name: 'PDF, pages to join', kind: 'pages' },
];

type OpenProps = { readonly stage: StageName; readonly anchor: HTMLElement; readonly onClose: () => void };

export default function OpenExportMenu({ stage, anchor, onClose }: OpenProps) {
  const project = useAppSelector(selectProject);
  const found = useAppSelector(selectFound);
  const [paper, setPaper] = useState<SheetPaper | null>(null);
  const from = useMemo(() => {
    if (!project) return null;
    const printing = { paper: paper ?? usualPaper(project.notation), date: today(), home: location.origin };
    return { project, found, printing };
  }, [project, found, paper]);
  if (!from) return null;
  return <MenuOf from={from} stage={stage} anchor={anchor} onClose={onClose} onPaper={setPaper} />;
}

type MenuProps = OpenProps & {
  readonly from: ExportFrom & { readonly printing: { readonly paper: SheetPaper } };
  readonly onPaper: (paper: SheetPaper) => void;
};

function MenuOf({ from, stage, anchor, onClose, onPaper }: MenuProps) {
  const { entries } = useBench();
  const list = useExportList(from);
  const make = useMake(from);
  const [chosen, setChosen] = useState(0); // of KINDS
  const [joined, setJoined] = useState<{ readonly file: string; readonly title: string } | null>(null);
  const isHere = (name: StageName) => name === stage || entries.some((e) => e.stage === name && e.isEverywhere);
  const offered = entries.find((entry) => entry.stage === stage)?.drawingsOf ?? [];
  const { name: kindName, kind } = KINDS[chosen]!; // set from the list below
  const act = (run: () => Promise<void>) => () => {
    onClose();
    void run();
  };
  const everything = async () => make({ what: 'everything', projectFile: await wholeProjectFile(from.project) });
  const sheets = list?.sheets.filter((sheet) => isHere(sheet.stage)) ?? [];
  if (joined) return <PagesDialog from={from} {...joined} onClose={onClose} />;
  return (
    <Menu
      open
      anchorEl={anchor}
      onClose={onClose}
      slotProps={{ root: { role: 'region', 'aria-label': 'What can be taken away' } }}
    >
      <MenuItem onClick={act(everything)}>Everything, as one zip</MenuItem>
      <MenuItem onClick={act(() => saveProjectFile(from.project))}>The project, to keep or share</MenuItem>
      <MenuItem onClick={act(() => saveWholeProject(from.project))}>
        The project with its log, photographs and revisions
      </MenuItem>
      {list?.tables
        .filter((table) => isHere(table.stage))
        .map(({ file, title }) => (
          <MenuItem key={file} onClick={act(() => make({ what: 'table', file }))}>
            {title}, CSV
          </MenuItem>
        ))}
      <Divider />
      <ListSubheader role="presentation" aria-hidden sx={{ lineHeight: 2 }}>
        To take to the shop, on
      </ListSubheader>
      <Choices
        label="Paper of what is taken to the shop"
        names={SHEET_PAPERS}
        chosen={SHEET_PAPERS.indexOf(from.printing.paper)}
        onChoose={(i) => onPaper(SHEET_PAPERS[i]!)} // one of the names
      />
      <MenuItem onClick={act(() => make({ what: 'book' }))}>The whole book of this boat, PDF</MenuItem>
      <MenuItem onClick={act(() => make({ what: 'html-book' }))}>The book for a phone, HTML</MenuItem>
      {sheets.map(({ file, title }) => (
        <MenuItem key={file} onClick={act(() => make({ what: 'sheet', file }))}>
          {title}, PDF
        </MenuItem>
      ))}
      <Divider />
      <ListSubheader role="presentation" aria-hidden sx={{ lineHeight: 2 }}>
        Full size, millimetres, as
      </ListSubheader>
      <Choices
        label="Kind of file, at full size in millimetres"
        names={KINDS.map(({ name }) => name)}
        chosen={chosen}
        onChoose={setChosen}
      />
      {list === null && <MenuItem disabled>Listing what there is to cut</MenuItem>}
      {list?.drawings
        .filter((drawing) => offered.includes(drawing.stage))
        .map(({ file, title }) => (
          <MenuItem
            key={file}
            onClick={
              kind === 'pages' ? () => setJoined({ file, title }) : act(() => make({ what: 'drawing', file, kind }))
            }
          >
            {title}, {kindName}
          </MenuItem>
        ))}
    </Menu>
  );
}

type ChoicesProps = {
  readonly label: string;
  readonly names: readonly string[];
  readonly chosen: number;
  readonly onChoose: (index: number) => void;
};

/** One of a few, in a row of the menu. */
const Choices = ({ label, names, chosen, onChoose }: ChoicesProps) => (
  <Box role="group" aria-label={label} sx={{ display: 'flex', flexWrap: 'wrap', px: 1 }}>
    {names.map((name, i) => (
      <MenuItem
        key={name}
        role="menuitemradio"
        aria-checked={i === chosen}
        selected={i === chosen}
        onClick={() => onChoose(i)}
        sx={{ px: 1.25 }}
      >
        {name}
      </MenuItem>
    ))}
  </Box>
);

/** What can go out; null until the engine has listed it. */
function useExportList(from: ExportFrom): ExportList | null {
  const [list, setList] = useState<ExportList | null>(null);
  useEffect(() => {
    const stopping = new AbortController();
    void engine.run('exportList', from, { signal: stopping.signal }).then((answer) => {
      if (answer.kind === 'ok' && !stopping.signal.aborted) setList(answer.value);
    });
    return () => stopping.abort();
  }, [from]);
  return list;
}

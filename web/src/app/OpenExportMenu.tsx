/** The export menu itself: what there is comes from the engine, which also makes the files. */
import Box from '@mui/material/Box';
import Divider from '@mui/material/Divider';
import ListSubheader from '@mui/material/ListSubheader';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useEffect, useState } from 'react';
import type { StageName } from '@kalotrope/core/project';
import { engine } from '../engine/client';
import type { DrawingKind, ExportAsk, ExportFrom, ExportList } from '../engine/exports';
import { saveFile } from '../files/files';
import { projectFileWithPictures } from '../files/pictures';
import { saveProjectFile } from '../files/save-project';
import { useBench } from '../state/bench';
import { said } from '../state/screen-slice';
import { selectFound, selectProject } from '../state/selectors';
import { useAppDispatch, useAppSelector } from '../state/store';

const KINDS: readonly { readonly name: string; readonly kind: DrawingKind }[] = [
  { name: 'DXF', kind: 'dxf' },
  { name: 'SVG', kind: 'svg' },
  { name: 'PDF', kind: 'pdf' },
  { name: 'PDF on A4', kind: 'pdf-a4' },
  { name: 'PDF on Letter', kind: 'pdf-letter' },
];

type OpenProps = { readonly stage: StageName; readonly anchor: HTMLElement; readonly onClose: () => void };

export default function OpenExportMenu({ stage, anchor, onClose }: OpenProps) {
  const project = useAppSelector(selectProject);
  const found = useAppSelector(selectFound);
  if (!project) return null;
  return <MenuOf from={{ project, found }} stage={stage} anchor={anchor} onClose={onClose} />;
}

function MenuOf({ from, stage, anchor, onClose }: OpenProps & { readonly from: ExportFrom }) {
  const { entries } = useBench();
  const list = useExportList(from);
  const make = useMake(from);
  const [chosen, setChosen] = useState(0); // of KINDS
  const isHere = (name: StageName) => name === stage || entries.some((e) => e.stage === name && e.isEverywhere);
  const offered = entries.find((entry) => entry.stage === stage)?.drawingsOf ?? [];
  const { name: kindName, kind } = KINDS[chosen]!; // set from the list below
  const act = (run: () => Promise<void>) => () => {
    onClose();
    void run();
  };
  const everything = async () => make({ what: 'everything', projectFile: await projectFileWithPictures(from.project) });
  return (
    <Menu open anchorEl={anchor} onClose={onClose}>
      <MenuItem onClick={act(everything)}>Everything, as one zip</MenuItem>
      <MenuItem onClick={act(() => saveProjectFile(from.project))}>The project, to keep or share</MenuItem>
      {list?.sheets
        .filter((sheet) => isHere(sheet.stage))
        .map(({ file, title }) => (
          <MenuItem key={file} onClick={act(() => make({ what: 'sheet', file }))}>
            {title}, PDF
          </MenuItem>
        ))}
      {list?.tables
        .filter((table) => isHere(table.stage))
        .map(({ file, title }) => (
          <MenuItem key={file} onClick={act(() => make({ what: 'table', file }))}>
            {title}, CSV
          </MenuItem>
        ))}
      <Divider />
      <ListSubheader sx={{ lineHeight: 2 }}>Full size, millimetres, as</ListSubheader>
      <Box role="group" aria-label="Kind of file" sx={{ display: 'flex', px: 1 }}>
        {KINDS.map(({ name }, i) => (
          <MenuItem
            key={name}
            role="menuitemradio"
            aria-checked={i === chosen}
            selected={i === chosen}
            onClick={() => setChosen(i)}
            sx={{ px: 1.25 }}
          >
            {name}
          </MenuItem>
        ))}
      </Box>
      {list === null && <MenuItem disabled>Listing what there is to cut</MenuItem>}
      {list?.drawings
        .filter((drawing) => offered.includes(drawing.stage))
        .map(({ file, title }) => (
          <MenuItem key={file} onClick={act(() => make({ what: 'drawing', file, kind }))}>
            {title}, {kindName}
          </MenuItem>
        ))}
    </Menu>
  );
}

/** What can go out; null until the engine has listed it. */
function useExportList({ project, found }: ExportFrom): ExportList | null {
  const [list, setList] = useState<ExportList | null>(null);
  useEffect(() => {
    const stopping = new AbortController();
    void engine.run('exportList', { project, found }, { signal: stopping.signal }).then((answer) => {
      if (answer.kind === 'ok' && !stopping.signal.aborted) setList(answer.value);
    });
    return () => stopping.abort();
  }, [project, found]);
  return list;
}

/** Makes a file and saves it, or says why it could not be made. */
function useMake(from: ExportFrom): (ask: ExportAsk) => Promise<void> {
  const dispatch = useAppDispatch();
  return async (ask) => {
    const answer = await engine.run('exportFile', { from, ask });
    if (answer.kind === 'ok' && answer.value) saveFile(answer.value);
    else dispatch(said(`The file could not be made${answer.kind === 'failed' ? `: ${answer.message}` : ''}`));
  };
}

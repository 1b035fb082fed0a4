/** The export menu itself, fetched when it is first opened: the writers of files are large. */
import Box from '@mui/material/Box';
import Divider from '@mui/material/Divider';
import ListSubheader from '@mui/material/ListSubheader';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import {
  EXPORT_KINDS,
  exportFiles,
  outgoingDrawings,
  outgoingTables,
  type Outgoing,
  type Work,
} from '@kalotrope/core/exchange';
import type { Drawing, ExportFile } from '@kalotrope/core/formats';
import { writeDxf, writePdf, writeSvg, type PdfLayout } from '@kalotrope/core/formats/writers';
import type { StageName } from '@kalotrope/core/project';
import { saveFile, saveZip } from '../files/files';
import { saveProjectFile } from '../files/save-project';
import { projectFileWithPictures } from '../files/pictures';
import { useBench } from '../state/bench';
import { selectDerived, selectFound, selectProject } from '../state/selectors';
import { useAppSelector } from '../state/store';

type Kind = { readonly name: string; readonly write: (drawing: Outgoing<Drawing>) => ExportFile };

const pdf = (name: string, ending: string, layout: PdfLayout): Kind => ({
  name,
  write: ({ file, item }) => ({ name: `${file}${ending}.pdf`, content: writePdf(item, layout) }),
});

const KINDS: readonly Kind[] = [
  { name: 'DXF', write: ({ file, item }) => ({ name: `${file}.dxf`, content: writeDxf(item) }) },
  { name: 'SVG', write: ({ file, item }) => ({ name: `${file}.svg`, content: writeSvg(item) }) },
  pdf('PDF', '', { kind: 'whole' }),
  pdf('PDF on A4', '-a4', { kind: 'tiles', paper: 'A4' }),
  pdf('PDF on Letter', '-letter', { kind: 'tiles', paper: 'Letter' }),
];

async function everything(work: Work): Promise<void> {
  const whole = await projectFileWithPictures(work.project);
  const files = exportFiles(work, EXPORT_KINDS);
  saveZip(
    work.project.name,
    files.map((file) => (file.isProject ? { ...file, content: whole } : file)),
  );
}

type OpenProps = { readonly stage: StageName; readonly anchor: HTMLElement; readonly onClose: () => void };

export default function OpenExportMenu({ stage, anchor, onClose }: OpenProps) {
  const project = useAppSelector(selectProject);
  const derived = useAppSelector(selectDerived);
  const found = useAppSelector(selectFound);
  const { entries } = useBench();
  const [kind, setKind] = useState(0); // of KINDS
  if (!project || !derived) return null;
  const work: Work = { project, derived, found };
  const isHere = (name: StageName) => name === stage || entries.some((e) => e.stage === name && e.isEverywhere);
  const tables = outgoingTables(work).filter((table) => isHere(table.stage));
  const offered = entries.find((entry) => entry.stage === stage)?.drawingsOf ?? [];
  const drawings = outgoingDrawings(work).filter((drawing) => offered.includes(drawing.stage));
  const act = (run: () => void) => () => {
    onClose();
    run();
  };
  return (
    <Menu open anchorEl={anchor} onClose={onClose}>
      <MenuItem onClick={act(() => void everything(work))}>Everything, as one zip</MenuItem>
      <MenuItem onClick={act(() => void saveProjectFile(project))}>The project, to keep or share</MenuItem>
      {tables.map(({ file, item }) => (
        <MenuItem key={file} onClick={act(() => saveFile({ name: `${file}.csv`, content: item.csv }))}>
          {item.title}, CSV
        </MenuItem>
      ))}
      <Divider />
      <ListSubheader sx={{ lineHeight: 2 }}>Full size, millimetres, as</ListSubheader>
      <Box role="group" aria-label="Kind of file" sx={{ display: 'flex', px: 1 }}>
        {KINDS.map(({ name }, i) => (
          <MenuItem
            key={name}
            role="menuitemradio"
            aria-checked={i === kind}
            selected={i === kind}
            onClick={() => setKind(i)}
            sx={{ px: 1.25 }}
          >
            {name}
          </MenuItem>
        ))}
      </Box>
      {drawings.map((drawing) => (
        <MenuItem key={drawing.file} onClick={act(() => saveFile(KINDS[kind]!.write(drawing)))}>
          {drawing.item.title ?? drawing.item.name}, {KINDS[kind]!.name}
        </MenuItem>
      ))}
    </Menu>
  );
}

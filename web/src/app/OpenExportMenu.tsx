/** The export menu itself, fetched when it is first opened: the writers of files are large. */
import Box from '@mui/material/Box';
import Divider from '@mui/material/Divider';
import ListSubheader from '@mui/material/ListSubheader';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { drawingsOf, EXPORT_KINDS, exportFiles, tablesOf, type Work } from '@kalotrope/core/exchange';
import { fileName, type Drawing, type ExportFile } from '@kalotrope/core/formats';
import { writeDxf, writePdf, writeSvg, type PdfLayout } from '@kalotrope/core/formats/writers';
import type { Project, StageName } from '@kalotrope/core/project';
import { projectFileName, saveFile, saveZip } from '../files/files';
import { projectFileWithPictures } from '../files/pictures';
import { useBench } from '../state/bench';
import { selectDerived, selectFound, selectProject } from '../state/selectors';
import { useAppSelector } from '../state/store';

type Kind = { readonly name: string; readonly write: (drawing: Drawing) => ExportFile };

const pdf = (name: string, ending: string, layout: PdfLayout): Kind => ({
  name,
  write: (drawing) => ({ name: `${fileName(drawing.name)}${ending}.pdf`, content: writePdf(drawing, layout) }),
});

const KINDS: readonly Kind[] = [
  { name: 'DXF', write: (drawing) => ({ name: `${fileName(drawing.name)}.dxf`, content: writeDxf(drawing) }) },
  { name: 'SVG', write: (drawing) => ({ name: `${fileName(drawing.name)}.svg`, content: writeSvg(drawing) }) },
  pdf('PDF', '', { kind: 'whole' }),
  pdf('PDF on A4', '-a4', { kind: 'tiles', paper: 'A4' }),
  pdf('PDF on Letter', '-letter', { kind: 'tiles', paper: 'Letter' }),
];

async function saveProjectFile(project: Project): Promise<void> {
  saveFile({ name: projectFileName(project), content: await projectFileWithPictures(project) });
}

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
  const tables = entries
    .filter((entry) => entry.isEverywhere || entry.stage === stage)
    .flatMap((entry) => tablesOf(entry.stage, work));
  const drawings = (entries.find((entry) => entry.stage === stage)?.drawingsOf ?? []).flatMap((name) =>
    drawingsOf(name, work),
  );
  const act = (run: () => void) => () => {
    onClose();
    run();
  };
  return (
    <Menu open anchorEl={anchor} onClose={onClose}>
      <MenuItem onClick={act(() => void everything(work))}>Everything, as one zip</MenuItem>
      <MenuItem onClick={act(() => void saveProjectFile(project))}>The project, to keep or share</MenuItem>
      {tables.map(({ name, title, csv }) => (
        <MenuItem
          key={name}
          onClick={act(() => saveFile({ name: `${fileName(project.name)}-${name}.csv`, content: csv }))}
        >
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
        <MenuItem key={drawing.name} onClick={act(() => saveFile(KINDS[kind]!.write(drawing)))}>
          {drawing.title ?? drawing.name}, {KINDS[kind]!.name}
        </MenuItem>
      ))}
    </Menu>
  );
}

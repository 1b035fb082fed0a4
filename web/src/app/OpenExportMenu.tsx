/** The export menu itself, fetched when it is first opened: the writers of files are large. */
import Box from '@mui/material/Box';
import Divider from '@mui/material/Divider';
import ListSubheader from '@mui/material/ListSubheader';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import type { Stage } from '@kalotrope/core/findings';
import {
  allDrawings,
  EXPORT_KINDS,
  exportFiles,
  fileName,
  markingCsv,
  writeDxf,
  writeOffsets,
  writePdf,
  writeOffsetsTable,
  fitsTableForm,
  PROJECT_FILE_ENDING,
  writeSvg,
  type Drawing,
  type ExportFile,
  type PdfLayout,
} from '@kalotrope/core/exchange';
import type { Derived, Project } from '@kalotrope/core/project';
import { projectFileName, saveFile, saveZip } from './files';
import { projectFileWithPictures } from './pictures';
import { currentLayouts } from './selectors';
import { useAppSelector } from './store';

const isOfStage = (stage: Stage, drawing: Drawing): boolean => {
  if (drawing.name.startsWith('sheet-')) return stage === 'sheets';
  if (drawing.name.startsWith('frame')) return stage === 'frames';
  if (/^(lines|body-plan|section-.*)$/.test(drawing.name)) return stage === 'lines';
  return stage === 'panels' || stage === 'joints';
};

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

async function everything(
  project: Project,
  derived: Derived,
  layouts: ReturnType<typeof currentLayouts>,
): Promise<void> {
  const whole = await projectFileWithPictures(project);
  const files = exportFiles(project, derived, { kinds: EXPORT_KINDS, layouts });
  saveZip(
    project.name,
    files.map((file) => (file.name.endsWith(PROJECT_FILE_ENDING) ? { ...file, content: whole } : file)),
  );
}

/** Drawings of the lines stage by their names in words; parts go by their ids. */
const wordsOf = (name: string): string => {
  if (name === 'lines') return 'The lines';
  if (name === 'body-plan') return 'The body plan';
  return name.replace(/^section-/, 'Section ');
};

type OpenProps = { readonly stage: Stage; readonly anchor: HTMLElement; readonly onClose: () => void };

export default function OpenExportMenu({ stage, anchor, onClose }: OpenProps) {
  const project = useAppSelector((state) => state.document.project);
  const state = useAppSelector((all) => all.derived);
  const [kind, setKind] = useState(0); // of KINDS
  const { derived } = state;
  if (!project || !derived) return null;
  const drawings = allDrawings(project, derived, currentLayouts(state));
  const act = (run: () => void) => () => {
    onClose();
    run();
  };
  const saveTable = (name: string, content: string) =>
    saveFile({ name: `${fileName(project.name)}-${name}.csv`, content });
  return (
    <Menu open anchorEl={anchor} onClose={onClose}>
      <MenuItem onClick={act(() => void everything(project, derived, currentLayouts(state)))}>
        Everything, as one zip
      </MenuItem>
      <MenuItem onClick={act(() => void saveProjectFile(project))}>The project, to keep or share</MenuItem>
      <MenuItem onClick={act(() => saveTable('offsets', writeOffsets(project.lines, project.notation)))}>
        The offsets, CSV
      </MenuItem>
      {fitsTableForm(project.lines) && (
        <MenuItem onClick={act(() => saveTable('offsets-table', writeOffsetsTable(project.lines, project.notation)))}>
          The offsets as plans print them, CSV
        </MenuItem>
      )}
      {stage === 'panels' &&
        derived.panels.value.panels.map((panel) => (
          <MenuItem
            key={panel.id}
            onClick={act(() => saveTable(`${fileName(panel.id)}-marking`, markingCsv(panel, project.panels)))}
          >
            {panel.name}, offsets to mark out, CSV
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
      {drawings
        .filter((drawing) => isOfStage(stage, drawing))
        .map((drawing) => (
          <MenuItem key={drawing.name} onClick={act(() => saveFile(KINDS[kind]!.write(drawing)))}>
            {wordsOf(drawing.name)}, {KINDS[kind]!.name}
          </MenuItem>
        ))}
    </Menu>
  );
}

import Button from '@mui/material/Button';
import Divider from '@mui/material/Divider';
import ListSubheader from '@mui/material/ListSubheader';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState, type ReactNode } from 'react';
import type { Stage } from '@kalotrope/core/findings';
import {
  allDrawings,
  EXPORT_KINDS,
  exportFiles,
  fileName,
  writeDxf,
  writeOffsets,
  writeProjectFile,
  writeSvg,
  type Drawing,
} from '@kalotrope/core/exchange';
import type { NestResult } from '@kalotrope/core/sheets';
import { projectFileName, saveFile, saveZip } from './files';
import type { DerivedState } from './derived-slice';
import { useAppSelector } from './store';

/** The layouts that still belong to the batches, in their order. */
export const currentLayouts = ({ derived, layouts }: DerivedState): (NestResult | undefined)[] =>
  (derived?.sheets.value.batches ?? []).map(({ thickness, job }) => {
    const layout = layouts[thickness];
    return layout?.key === JSON.stringify(job) ? layout.result : undefined;
  });

const isOfStage = (stage: Stage, drawing: Drawing): boolean => {
  if (drawing.name.startsWith('sheet-')) return stage === 'sheets';
  if (drawing.name.startsWith('frame')) return stage === 'frames';
  return stage === 'panels' || stage === 'joints' || stage === 'lines';
};

export function ExportMenu({ stage, icon }: { readonly stage: Stage; readonly icon: ReactNode }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const project = useAppSelector((state) => state.document.project);
  const state = useAppSelector((all) => all.derived);
  const { derived } = state;
  if (!project || !derived) return null;
  const drawings = anchor ? allDrawings(project, derived, currentLayouts(state)) : [];
  const act = (run: () => void) => () => {
    setAnchor(null);
    run();
  };
  return (
    <>
      <Button
        variant="contained"
        startIcon={icon}
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        Export
      </Button>
      <Menu open={anchor !== null} anchorEl={anchor} onClose={() => setAnchor(null)}>
        <MenuItem
          onClick={act(() =>
            saveZip(
              project.name,
              exportFiles(project, derived, { kinds: EXPORT_KINDS, layouts: currentLayouts(state) }),
            ),
          )}
        >
          Everything, as one zip
        </MenuItem>
        <MenuItem onClick={act(() => saveFile({ name: projectFileName(project), text: writeProjectFile(project) }))}>
          The project, to keep or share
        </MenuItem>
        <MenuItem
          onClick={act(() =>
            saveFile({
              name: `${fileName(project.name)}-offsets.csv`,
              text: writeOffsets(project.lines, project.notation),
            }),
          )}
        >
          The offsets, CSV
        </MenuItem>
        <Divider />
        <ListSubheader sx={{ lineHeight: 2 }}>Full size, millimetres</ListSubheader>
        {drawings
          .filter((drawing) => isOfStage(stage, drawing))
          .flatMap((drawing) => [
            <MenuItem
              key={`${drawing.name}-dxf`}
              onClick={act(() => saveFile({ name: `${fileName(drawing.name)}.dxf`, text: writeDxf(drawing) }))}
            >
              {drawing.name}, DXF
            </MenuItem>,
            <MenuItem
              key={`${drawing.name}-svg`}
              onClick={act(() => saveFile({ name: `${fileName(drawing.name)}.svg`, text: writeSvg(drawing) }))}
            >
              {drawing.name}, SVG
            </MenuItem>,
          ])}
      </Menu>
    </>
  );
}

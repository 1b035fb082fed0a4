/** For those who have the sheets cut: what the machine is, and a cutter run over them before it runs on the bed. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useRef } from 'react';
import type { Project } from '@kalotrope/core/project';
import { cutFaultWords, jobPartName, timeWords, type CutPart, type CutRun } from '@kalotrope/core/sheets';
import { edited } from '../../state/document-slice';
import { LengthField } from '../../controls/LengthField';
import { NumberField } from '../../controls/NumberField';
import { Section } from '../../controls/Section';
import { plural } from '../../controls/words';
import { useAppDispatch } from '../../state/store';
import type { CutterRuns } from './use-cutter';

type Props = {
  readonly project: Project;
  readonly parts: readonly CutPart[];
  readonly runs: CutterRuns;
  /** The layout is still looked for: what it is run over would be gone in a moment. */
  readonly isSearching: boolean;
};

export function MachineCutting({ project, parts, runs, isSearching }: Props) {
  const dispatch = useAppDispatch();
  const input = useRef<HTMLInputElement>(null);
  const { sheets, file, isRunning, start, startFile } = runs;
  const { machine } = project.sheets;
  const set = (key: keyof typeof machine, label: string) => (value: number) =>
    dispatch(edited({ label, edits: [{ path: ['sheets', 'machine', key], value }] }));
  const seconds = sheets?.reduce((sum, { run }) => sum + run.seconds, 0) ?? 0;
  return (
    <Section title="Machine cutting" aside={sheets ? timeWords(seconds) : undefined}>
      <Typography variant="body2" color="text.secondary">
        Export has a file for each sheet with a layer for every kind of cut. Here a cutter runs over them first.
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.25, mt: 1 }}>
        <LengthField
          label="Machine’s cutter, radius"
          mm={machine.radius}
          onCommit={set('radius', 'Machine’s cutter, radius')}
          path={['sheets', 'machine', 'radius']}
        />
        <NumberField
          label="Feed, mm/min"
          value={machine.feed}
          onCommit={set('feed', 'Feed')}
          path={['sheets', 'machine', 'feed']}
        />
        <NumberField
          label="Tabs on a part"
          value={machine.tabs}
          onCommit={set('tabs', 'Tabs')}
          path={['sheets', 'machine', 'tabs']}
        />
      </Box>
      <Box sx={{ display: 'flex', gap: 1, my: 1 }}>
        <Button variant="contained" disabled={isRunning || isSearching} onClick={start}>
          Run the cutter
        </Button>
        <Button variant="outlined" disabled={isRunning} onClick={() => input.current?.click()}>
          Over a DXF file
        </Button>
        <input
          ref={input}
          type="file"
          accept=".dxf"
          hidden
          aria-label="A DXF file to run the cutter over"
          onChange={({ target }) => {
            const [chosen] = target.files ?? [];
            if (chosen) startFile(chosen);
            target.value = '';
          }}
        />
      </Box>
      {isRunning && <LinearProgress aria-label="Running the cutter over the sheets" />}
      <Box role="status">
        {sheets?.map(({ run, parts: ids }, k) => (
          <OneRun
            key={k}
            name={`Sheet ${k + 1}`}
            run={run}
            nameOf={(c) => jobPartName(ids[c] ?? '', parts)}
            of={project}
          />
        ))}
        {file?.ok && <OneRun name={file.name} run={file.run} nameOf={(c) => `Line ${c + 1}`} of={project} />}
        {file && !file.ok && (
          <Typography variant="body2">
            {file.name}: {file.problem}
          </Typography>
        )}
      </Box>
    </Section>
  );
}

type OneRunProps = {
  readonly name: string;
  readonly run: CutRun;
  /** What a contour of the file is of. */
  readonly nameOf: (contour: number) => string;
  readonly of: Project;
};

function OneRun({ name, run, nameOf, of }: OneRunProps) {
  return (
    <>
      <Typography variant="body2" sx={{ fontWeight: 600 }}>
        {name}: {timeWords(run.seconds)},{' '}
        {run.faults.length === 0 ? 'nothing wrong' : plural(run.faults.length, 'fault')}
      </Typography>
      {run.faults.slice(0, MOST_SHOWN).map((fault, i) => (
        <Typography key={i} variant="body2">
          {cutFaultWords(fault, nameOf(fault.contour), of.notation)}
        </Typography>
      ))}
      {run.faults.length > MOST_SHOWN && (
        <Typography variant="body2">And {run.faults.length - MOST_SHOWN} more.</Typography>
      )}
    </>
  );
}

const MOST_SHOWN = 6;

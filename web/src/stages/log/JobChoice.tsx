/** One job of the plan, found by typing some of its name. */
import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import type { WorkJob } from '@kalotrope/core/plan';

type Props = {
  readonly label: string;
  readonly jobs: readonly WorkJob[];
  /** Its id; empty: none. */
  readonly job: string;
  readonly onJob: (id: string) => void;
};

export function JobChoice({ label, jobs, job, onJob }: Props) {
  return (
    <Autocomplete
      options={jobs}
      value={jobs.find(({ id }) => id === job) ?? null}
      getOptionLabel={({ name }) => name}
      getOptionKey={({ id }) => id}
      groupBy={({ group }) => group}
      onChange={(_event, chosen) => onJob(chosen?.id ?? '')}
      noOptionsText="No job of that name"
      renderInput={(params) => <TextField {...params} label={label} placeholder="no job" />}
      sx={{ mt: 1 }}
    />
  );
}

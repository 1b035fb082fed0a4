import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { memo } from 'react';
import { Link } from 'react-router';
import { formatWithUnit } from '@kalotrope/core/measure';
import { readProject } from '@kalotrope/core/project';
import { HullSketch } from '../drawing/HullSketch';
import type { ProjectRecord } from '../storage/projects';
import { projectPath } from './paths';

type Props = {
  readonly records: readonly ProjectRecord[];
  readonly onCopy: (record: ProjectRecord) => void;
  readonly onRemove: (id: string) => void;
};

/** The boats, each with its hull drawn from its lines. */
export function BoatCards({ records, onCopy, onRemove }: Props) {
  return (
    <Box
      component="ul"
      aria-label="Boats"
      sx={{
        ...{ display: 'grid', gap: 2, p: 0, m: 0, listStyle: 'none' },
        gridTemplateColumns: 'repeat(auto-fill, minmax(min(100%, 300px), 1fr))',
      }}
    >
      {records.map((record) => (
        <BoatCard key={record.id} record={record} onCopy={onCopy} onRemove={onRemove} />
      ))}
    </Box>
  );
}

type CardProps = Omit<Props, 'records'> & { readonly record: ProjectRecord };

const BoatCard = memo(function BoatCard({ record, onCopy, onRemove }: CardProps) {
  const { id, name, updatedAt, open } = record;
  // one of an older version is brought up for its picture, and left as it is
  const read = readProject(record.doc);
  return (
    <Box
      component="li"
      sx={{ bgcolor: 'background.paper', border: 1, borderColor: 'divider', borderRadius: 1, p: 1.5 }}
    >
      <Box
        component={Link}
        to={projectPath(id)}
        tabIndex={-1}
        aria-hidden="true"
        sx={{ display: 'block', height: 120 }}
      >
        <HullSketch longitudinals={read.ok ? read.project.lines.longitudinals : []} />
      </Box>
      <Typography variant="h2" sx={{ mt: 1, overflowWrap: 'anywhere' }}>
        <Link to={projectPath(id)} style={{ color: 'inherit' }}>
          {name}
        </Link>
      </Typography>
      <Typography variant="body2">{read.ok ? sizeOf(read.project) : 'cannot be read by this version'}</Typography>
      <Typography variant="body2" color="text.secondary">
        {open === undefined ? '' : open === 0 ? 'nothing to check; ' : `${open} to check; `}
        {WHEN.format(updatedAt)}
      </Typography>
      <Box sx={{ display: 'flex', gap: 1, mt: 0.5, ml: -0.5 }}>
        <Button aria-label={`Duplicate ${name}`} onClick={() => onCopy(record)}>
          Duplicate
        </Button>
        <Button aria-label={`Delete ${name}`} color="error" onClick={() => onRemove(id)}>
          Delete
        </Button>
      </Box>
    </Box>
  );
});

const WHEN = new Intl.DateTimeFormat(undefined, { dateStyle: 'medium', timeStyle: 'short' });

/** Length over its lines and greatest beam, in the boat's own unit. */
function sizeOf({ lines, notation }: Extract<ReturnType<typeof readProject>, { ok: true }>['project']): string {
  const points = lines.longitudinals.flatMap((line) => line.points);
  if (points.length < 2) return 'its table is still empty';
  const xs = points.map(({ x }) => x);
  const length = Math.max(...xs) - Math.min(...xs);
  const beam = 2 * Math.max(...points.map(({ halfBreadth }) => halfBreadth));
  return `${formatWithUnit(length, notation)} long, ${formatWithUnit(beam, notation)} wide`;
}

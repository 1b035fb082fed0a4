/** Where the glass goes, in one of three pictures: the boat from the side, its flat panels, or in the round. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { Takeoff } from '@kalotrope/core/epoxy';
import type { Project } from '@kalotrope/core/project';
import { InTheRound } from '../../drawing/hull/InTheRound';
import { RollDrawing } from './RollDrawing';
import { SeamsDrawing } from './SeamsDrawing';
import type { Cloth } from './use-cloth';
import { ZonesDrawing } from './ZonesDrawing';

const PICTURES = {
  side: 'Side and top',
  flat: 'On the flat panels',
  round: 'In the round',
  roll: 'On the roll',
} as const;
type Picture = keyof typeof PICTURES;

type Props = {
  readonly takeoff: Takeoff;
  readonly project: Project;
  readonly cloth: Cloth;
};

export function GlassPictures({ takeoff, project, cloth }: Props) {
  const [picture, setPicture] = useState<Picture>('side');
  return (
    <Box sx={{ bgcolor: 'background.paper', mb: 2, maxWidth: 860 }}>
      <Box
        role="group"
        aria-label="Which picture of the glass"
        className="no-print"
        sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, p: 1 }}
      >
        {(Object.keys(PICTURES) as Picture[]).map((name) => (
          <Button
            key={name}
            size="small"
            variant={name === picture ? 'contained' : 'text'}
            aria-pressed={name === picture}
            onClick={() => setPicture(name)}
          >
            {PICTURES[name]}
          </Button>
        ))}
      </Box>
      {picture === 'side' && <SeamsDrawing takeoff={takeoff} epoxy={project.epoxy} />}
      {picture === 'flat' && <ZonesDrawing takeoff={takeoff} project={project} />}
      {picture === 'roll' && <RollDrawing cloth={cloth} project={project} />}
      {picture === 'round' && (
        <Box sx={{ position: 'relative', height: 420 }}>
          <InTheRound marks="tapes" isFilling />
        </Box>
      )}
    </Box>
  );
}

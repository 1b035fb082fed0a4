/** Photographs of an entry, small; one opens large. */
import Dialog from '@mui/material/Dialog';
import IconButton from '@mui/material/IconButton';
import Close from '@mui/icons-material/Close';
import { useState } from 'react';
import { usePicture } from '../../drawing/use-picture';

type Props = {
  readonly ids: readonly string[];
  /** Where one may be taken out again. */
  readonly onIds?: (ids: readonly string[]) => void;
};

export function Photos({ ids, onIds }: Props) {
  const [large, setLarge] = useState<string | null>(null);
  if (ids.length === 0) return null;
  return (
    <div className="log-photos">
      {ids.map((id, i) => (
        <span key={id}>
          <button type="button" aria-label={`Photograph ${i + 1}, larger`} onClick={() => setLarge(id)}>
            <Photo id={id} name={`Photograph ${i + 1}`} />
          </button>
          {onIds && (
            <IconButton
              size="small"
              aria-label={`Take photograph ${i + 1} out`}
              onClick={() => onIds(ids.filter((other) => other !== id))}
            >
              <Close fontSize="small" />
            </IconButton>
          )}
        </span>
      ))}
      <Dialog open={large !== null} onClose={() => setLarge(null)} maxWidth="lg" aria-label="A photograph">
        {large !== null && <Photo id={large} name="The photograph" />}
      </Dialog>
    </div>
  );
}

function Photo({ id, name }: { readonly id: string; readonly name: string }) {
  const url = usePicture(id);
  return url === null ? <span className="quiet">no picture</span> : <img src={url} alt={name} />;
}

/** A kept picture as an address that can be shown; null until it is there, or where it is gone. */
import { useEffect, useState } from 'react';
import { loadPicture } from '../storage/pictures';

export function usePicture(id: string): string | null {
  const [url, setUrl] = useState<string | null>(null);
  useEffect(() => {
    let made: string | undefined;
    let isGone = false;
    loadPicture(id).then(
      (picture) => {
        if (isGone || !picture) return;
        // bytes of our own store
        made = URL.createObjectURL(new Blob([picture.bytes as BlobPart], { type: picture.type }));
        setUrl(made);
      },
      () => setUrl(null),
    );
    return () => {
      isGone = true;
      if (made !== undefined) URL.revokeObjectURL(made);
    };
  }, [id]);
  return url;
}

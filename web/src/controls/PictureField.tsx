/** A hidden field for a picture’s file, opened by a button elsewhere; the same file can be chosen twice. */
import type { Ref } from 'react';

type Props = {
  readonly label: string;
  readonly field: Ref<HTMLInputElement>;
  readonly onFile: (file: File | undefined) => void;
};

export function PictureField({ label, field, onFile }: Props) {
  return (
    <input
      ref={field}
      type="file"
      accept="image/png,image/jpeg"
      hidden
      aria-label={label}
      onChange={(event) => {
        onFile(event.target.files?.[0]);
        event.target.value = '';
      }}
    />
  );
}

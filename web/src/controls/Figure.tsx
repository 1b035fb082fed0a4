import { memo } from 'react';
import { Terms } from './Terms';

type Props = { readonly name: string; readonly value: string; readonly why?: string | undefined };

/** A value of no more letters stands in one line. */
const WHOLE_LETTERS = 12;

/** A figure with its name, and how it was come by on hover. Bare elements, styled in the theme. */
export const Figure = memo(function Figure({ name, value, why }: Props) {
  return (
    <div className="figure-line" title={why}>
      <p>
        <Terms text={name} />
      </p>
      <span className={value.length <= WHOLE_LETTERS ? 'figure whole' : 'figure'}>{value}</span>
    </div>
  );
});

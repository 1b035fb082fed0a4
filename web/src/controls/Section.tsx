import type { ReactNode } from 'react';

type Props = {
  readonly title: ReactNode;
  /** Its name for a screen reader, where the heading is not enough. */
  readonly label?: string;
  readonly isOffPaper?: boolean;
  readonly children: ReactNode;
};

/** A part of the slip under its heading. Bare elements, styled in the theme: these are drawn again with every edit. */
export function Section({ title, label, isOffPaper = false, children }: Props) {
  return (
    <section className={isOffPaper ? 'slip-part no-print' : 'slip-part'} aria-label={label}>
      <h2>{title}</h2>
      {children}
    </section>
  );
}

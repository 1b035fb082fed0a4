import { useId, type ReactNode } from 'react';
import { sectionTurned } from '../state/screen-slice';
import { useAppDispatch, useAppSelector } from '../state/store';

type Props = {
  /** Also the name by which it is remembered whether it is open. */
  readonly title: string;
  /** Said beside the title, open or folded. */
  readonly aside?: ReactNode;
  readonly children: ReactNode;
};

/**
 * A part of the slip under its head, folded until it is opened; it stays so on every boat. Bare elements, styled in the
 * theme: these are drawn again with every edit, and what is folded is not drawn at all.
 */
export function Section({ title, aside, children }: Props) {
  const isOpen = useAppSelector((state) => state.screen.slip.open.includes(title));
  const dispatch = useAppDispatch();
  const id = useId();
  return (
    <section className="slip-part" aria-label={title}>
      <h2>
        <button
          type="button"
          aria-expanded={isOpen}
          aria-controls={id}
          onClick={() => dispatch(sectionTurned({ title, isOpen: !isOpen }))}
        >
          <svg width={10} height={10} viewBox="0 0 10 10" aria-hidden="true">
            <path d={isOpen ? 'M0 2H10L5 8Z' : 'M2 0V10L8 5Z'} fill="currentColor" />
          </svg>
          {title}
        </button>
        {aside !== undefined && <span className="quiet">{aside}</span>}
      </h2>
      <div id={id} className="slip-body">
        {isOpen && children}
      </div>
    </section>
  );
}

/** The log's photographs on paper, after its sheets: each with the day and the words of its entry. */
import { memo } from 'react';
import { createPortal } from 'react-dom';
import type { StandingEntry } from '@kalotrope/core/log';
import { dayInWords } from '@kalotrope/core/plan';
import { usePicture } from '../../drawing/use-picture';

type Props = { readonly boat: string; readonly entries: readonly StandingEntry[] };
type Taken = { readonly id: string; readonly of: StandingEntry };

/** Three across and two down, on a page that lies as the log’s own. */
const ON_A_PAGE = 6;

export const PrintedPhotos = memo(function PrintedPhotos({ boat, entries }: Props) {
  const taken = entries.flatMap((of) => of.pictures.map((id): Taken => ({ id, of })));
  if (taken.length === 0) return null;
  const pages = Array.from({ length: Math.ceil(taken.length / ON_A_PAGE) }, (_, k) =>
    taken.slice(k * ON_A_PAGE, (k + 1) * ON_A_PAGE),
  );
  return createPortal(
    <div className="printed-photos">
      {pages.map((own, k) => (
        <section key={k}>
          <h2>
            {boat}: photographs of the log, {k + 1} of {pages.length}
          </h2>
          {own.map(({ id, of }, i) => (
            <figure key={`${id} ${i}`}>
              <OnPaper id={id} />
              <figcaption>
                {dayInWords(of.day)}. {of.words}
              </figcaption>
            </figure>
          ))}
        </section>
      ))}
    </div>,
    document.body,
  );
});

function OnPaper({ id }: { readonly id: string }) {
  const url = usePicture(id);
  return url === null ? <p>no picture</p> : <img src={url} alt="" />;
}

/**
 * What the browser prints of a stage: its sheets made for paper, the same that leave as PDF, in place of the screen.
 *
 * They are made when printing begins, whichever way it is begun, and are gone when it ends. A stage without sheets
 * prints as it stands on the screen. Begun from the browser's menu while the boat is being worked out, where it cannot
 * wait, it prints a page that says so: never the boat as it was before the last change.
 */
import { useEffect, useLayoutEffect, useState } from 'react';
import { createPortal, flushSync } from 'react-dom';
import { latin, type Drawing, type PaperSheets } from '@kalotrope/core/formats';
import { sheetsOfStage, usualPaper, wholeOf, type StageName } from '@kalotrope/core/project';
import { pathOf } from '../drawing/DrawingSurface';
import { printTurned } from '../state/screen-slice';
import { selectDerived, selectFound, selectProject, selectStillLooking } from '../state/selectors';
import { useAppDispatch, useAppSelector, useAppStore, type RootState } from '../state/store';
import { today } from './today';

type Printed = { readonly sheets: readonly PaperSheets[]; readonly wait: string | null };
const NOTHING: Printed = { sheets: [], wait: null };

export function PrintedSheets({ stage }: { readonly stage: StageName }) {
  const [{ sheets, wait }, setSheets] = useState<Printed>(NOTHING);
  const store = useAppStore();
  const dispatch = useAppDispatch();
  const isDue = useAppSelector((state) => state.screen.isPrintAsked && selectStillLooking(state) === null);
  useEffect(() => {
    if (!isDue) return;
    dispatch(printTurned(false));
    window.print();
  }, [isDue, dispatch]);
  // at once: one may print as soon as something is seen
  useLayoutEffect(() => {
    const begin = () => flushSync(() => setSheets(sheetsNow(store.getState(), stage)));
    const end = () => setSheets(NOTHING);
    window.addEventListener('beforeprint', begin);
    window.addEventListener('afterprint', end);
    return () => {
      window.removeEventListener('beforeprint', begin);
      window.removeEventListener('afterprint', end);
    };
  }, [stage, store]);
  const [first] = sheets;
  if (wait !== null) return createPortal(<p className="printed-sheets">{wait}</p>, document.body);
  if (!first) return null;
  const { width, height } = first.size;
  return createPortal(
    <div className="printed-sheets">
      <style>{`@page { size: ${width}mm ${height}mm; margin: 0 }`}</style>
      {sheets.flatMap(({ name, pages }) =>
        pages.map((page, i) => <PageOf key={`${name} ${i}`} page={page} width={width} height={height} />),
      )}
    </div>,
    document.body,
  );
}

function sheetsNow(state: RootState, stage: StageName): Printed {
  const [project, derived, looking] = [selectProject(state), selectDerived(state), selectStillLooking(state)];
  if (!project) return NOTHING;
  if (!derived || looking !== null) {
    const wait = `${project.name}, rev ${project.revision}: nothing is printed. ${looking ?? ''} Print it again then.`;
    return { sheets: [], wait };
  }
  const printing = { paper: usualPaper(project.notation), date: today() };
  return { sheets: sheetsOfStage(stage, wholeOf(project, derived, selectFound(state), printing)), wait: null };
}

const ANCHORS = { left: 'start', center: 'middle', right: 'end' } as const;

type PageProps = { readonly page: Drawing; readonly width: number; readonly height: number };

/** One sheet at its true size; y runs downwards here. */
function PageOf({ page: { paths, texts }, width, height }: PageProps) {
  return (
    // a hair lower than the page, or some printers add an empty one
    <svg width={`${width}mm`} height={`${height - 0.2}mm`} viewBox={`0 0 ${width} ${height - 0.2}`}>
      {paths.map(({ points, isClosed, widthMm }, i) => (
        <path
          key={i}
          d={pathOf(
            points.map(([x, y]) => [x, y - height]),
            isClosed,
          )}
          fill="none"
          stroke="#000"
          strokeWidth={widthMm}
        />
      ))}
      {texts.map(({ at, text, heightMm, align = 'left' }, i) => (
        <text
          key={i}
          x={at[0]}
          y={height - at[1]}
          fontSize={heightMm}
          fontFamily="Helvetica, Arial, sans-serif"
          textAnchor={ANCHORS[align]}
        >
          {latin(text)}
        </text>
      ))}
    </svg>
  );
}

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { formatSmall } from '@kalotrope/core/measure';
import { GAP_SOURCES, hintWords, mostOf, SOURCE_NAMES, withHint, type Gaps } from '@kalotrope/core/panels';
import { Figure } from '../../../controls/Figure';
import { PlainTable } from '../../../controls/PlainTable';
import { Section } from '../../../controls/Section';
import { SelectField } from '../../../controls/SelectField';
import { edited } from '../../../state/document-slice';
import { selectDerived, selectNotation, selectProject, selectStations } from '../../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../../state/store';
import { useNames } from '../SheetSettings';
import { HowTrue } from './HowTrue';
import { MeasuredHere } from './MeasuredHere';
import type { MeasuredGap } from './measured';
import type { ToldGaps } from './use-gaps';

type Props = {
  readonly told: ToldGaps;
  readonly seam: number;
  readonly onSeam: (seam: number) => void;
  readonly measured: readonly MeasuredGap[];
};

const SEAMS = [
  { name: 'seam' },
  { name: 'half the time', isFigure: true },
  { name: '19 of 20', isFigure: true },
  { name: 'widest of all', isFigure: true },
];
const SOURCES = [{ name: 'alone' }, { name: '19 of 20', isFigure: true }];

/** The seams with their figures, what they come of, what would halve them, and what was measured. */
export function GapsSlip({ told, seam, onSeam, measured }: Props) {
  const gaps = told.kind === 'told' ? told.gaps : undefined;
  if (told.kind === 'failed') return null;
  return (
    <>
      {gaps ? (
        <Told gaps={gaps} seam={seam} onSeam={onSeam} />
      ) : (
        <section className="slip-part" aria-label="How well they meet">
          <h2>How well they meet</h2>
          <p className="quiet">Being worked out.</p>
        </section>
      )}
      <HowTrue />
      {gaps && <MeasuredHere gaps={gaps} measured={measured} />}
    </>
  );
}

type ToldProps = Pick<Props, 'seam' | 'onSeam'> & { readonly gaps: Gaps };

function Told({ gaps, seam, onSeam }: ToldProps) {
  const notation = useAppSelector(selectNotation);
  const nameOf = useNames();
  const small = (mm: number) => formatSmall(mm, notation);
  const one = gaps.seams[seam];
  if (!one)
    return (
      <section className="slip-part" aria-label="How well they meet">
        <h2>How well they meet</h2>
        <p>No two edges meet that are not made to fit: those left on are trimmed in place.</p>
      </section>
    );
  const names = Object.fromEntries(gaps.seams.map(({ line, above }, k) => [String(k), `${nameOf(line)} (${above})`]));
  const short = Object.fromEntries(gaps.seams.map(({ line }, k) => [String(k), nameOf(line)]));
  const isPlain = new Set(Object.values(short)).size === gaps.seams.length;
  const worst = one.places[one.worst];
  return (
    <>
      <section className="slip-part" aria-label="How well they meet">
        <h2>How well they meet</h2>
        <Box className="field-grid" sx={{ mt: 1.5 }}>
          <SelectField
            label="Seam"
            value={String(seam)}
            names={isPlain ? short : names}
            onChange={(key) => onSeam(Number(key))}
          />
        </Box>
        {worst && (
          <>
            <Figure name="At its worst place, half the time" value={small(worst.half)} />
            <Figure
              name="Nineteen times of twenty"
              value={small(mostOf(one))}
              why="Every error by itself, what it does to the seam once the sheets are pushed to where they fit best"
            />
          </>
        )}
        <PlainTable
          label="What it comes of"
          columns={SOURCES}
          rows={GAP_SOURCES.map((source) => ({
            key: source,
            cells: [SOURCE_NAMES[source], small(one.alone[source])],
          })).sort((a, b) => one.alone[b.key] - one.alone[a.key])}
        />
      </section>
      {gaps.hint && <Halving gaps={gaps} hint={gaps.hint} />}
      <Section title="All seams">
        <PlainTable
          label="Gaps of all seams"
          columns={SEAMS}
          rows={gaps.seams.map((other, k) => ({
            key: k,
            cells: [
              nameOf(other.line),
              small(other.places[other.worst]?.half ?? 0),
              small(mostOf(other)),
              small(other.widest.nineteen),
            ],
          }))}
        />
        <p className="quiet">
          The widest of all is anywhere along a seam, nineteen boats of twenty, of {gaps.builds} built by chance, both
          hands alike. Those and what is foretold differ by {(100 * gaps.disagreement).toFixed(1)} %.
        </p>
      </Section>
    </>
  );
}

function Halving({ gaps, hint }: { readonly gaps: Gaps; readonly hint: NonNullable<Gaps['hint']> }) {
  const dispatch = useAppDispatch();
  const project = useAppSelector(selectProject);
  const panels = useAppSelector((state) => selectDerived(state)?.panels.value.panels);
  const stations = useAppSelector(selectStations);
  if (!project || !panels) return null;
  const { panels: part, notation } = project;
  const take = () => {
    const { markingStray, accuracy } = withHint(part, hint.changes);
    const edits = [
      { path: ['panels', 'markingStray'], value: markingStray },
      { path: ['panels', 'accuracy'], value: { ...accuracy } },
    ];
    dispatch(edited({ label: 'Work truer', edits }));
  };
  const worst = gaps.worst === undefined ? undefined : gaps.seams[gaps.worst];
  return (
    <section className="slip-part" aria-label="What would halve it">
      <h2>What would halve it</h2>
      <p>{hintWords(hint, { panels, part, stations, notation })}</p>
      {worst && (
        <p className="quiet">The worst place of all keeps within {formatSmall(mostOf(worst), notation)} now.</p>
      )}
      <Button variant="outlined" onClick={take}>
        Plan to work so
      </Button>
    </section>
  );
}

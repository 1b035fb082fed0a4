import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { memo, useState } from 'react';
import { BOW, CARD_LIMITS, cardProblemWords, flareAt, sheetLength, STERN, upperAtFlare } from '@kalotrope/core/bend';
import type { Card, Spreader } from '@kalotrope/core/bend';
import type { Edit } from '@kalotrope/core/findings';
import { linesStage, tableOfCard } from '@kalotrope/core/lines';
import { formatLength, formatSmall, unitLabel } from '@kalotrope/core/measure';
import { cardTaken, ownCardTaken, type Project } from '@kalotrope/core/project';
import { Act } from '../../../controls/Act';
import { Figure } from '../../../controls/Figure';
import { LengthField } from '../../../controls/LengthField';
import { numberBetween, NumberField } from '../../../controls/NumberField';
import { OptionalLength } from '../../../controls/OptionalLength';
import { Section } from '../../../controls/Section';
import { Tick } from '../../../controls/ViewTabs';
import { engine } from '../../../engine/client';
import { edited } from '../../../state/document-slice';
import { said } from '../../../state/screen-slice';
import { selectNotation } from '../../../state/selectors';
import { useAppDispatch, useAppSelector, useAppStore } from '../../../state/store';
import { straightened, withFrame, withFrameMore, withPoint, withPointMore, type EdgeName } from './change-card';
import { capital, useEdgeNames, type EdgeNames } from './edge-names';
import type { CardTold } from './use-bending';

type Props = {
  readonly card: Card;
  readonly told: CardTold;
  /** What is made of the card as it is by then: what is shown here may be a moment old. */
  readonly onChange: (make: (card: Card) => Card, label: string) => void;
};

const FIELDS = {
  ...{ display: 'grid', gap: 1.25, pt: 1 },
  ...{ '& .MuiButton-root': { justifySelf: 'start' }, '& .MuiTextField-root': { width: '100%' } },
};
const NEW_BOAT =
  'Chine and sheer, at stations; the bottom is laid across the chines. ' +
  'It takes the place of the lines that are there.';
const SHEETS = numberBetween(1, 8, true);
/** From upright, across the sheet: more and it would lie flat. */
const FLARES = numberBetween(-60, 75);
const CARD = [linesStage.name, 'card'];
const EDGES = ['lower', 'upper'] as const;

/** What the card makes, the way into the table, and the card’s own figures. */
export const CardSlip = memo(function CardSlip({ card, told, onChange }: Props) {
  const names = useEdgeNames(card);
  const notation = useAppSelector(selectNotation);
  const length = (mm: number) => `${formatLength(mm, notation)} ${unitLabel(notation)}`;
  const field = (key: 'sheetLong' | 'sheetWide' | 'joint' | 'thickness' | 'stem' | 'rise', label: string) => (
    <LengthField
      label={label}
      mm={card[key]}
      path={[...CARD, key]}
      onCommit={(mm) => onChange((now) => ({ ...now, [key]: mm }), label)}
    />
  );
  return (
    <>
      <IntoTable card={card} told={told} />
      <Makes card={card} told={told} length={length} names={names} />
      <Section title="Frames on the card" aside={card.spreaders.length === 0 ? 'none' : String(card.spreaders.length)}>
        {card.spreaders.map((frame, k) => (
          <FrameFields
            key={frame.id}
            names={names}
            card={card}
            frame={frame}
            name={`Frame ${k + 1}`}
            onFrame={(change, what) =>
              onChange((now) => withFrame(now, frame.id, change(now)), `Frame ${k + 1}: ${what}`)
            }
            onRemove={() =>
              onChange(
                (now) => ({ ...now, spreaders: now.spreaders.filter(({ id }) => id !== frame.id) }),
                `Frame ${k + 1} taken out`,
              )
            }
          />
        ))}
        <Box sx={FIELDS}>
          {card.spreaders.length < CARD_LIMITS.spreaders && (
            <Act
              label="Put a frame in"
              onAct={() =>
                onChange((now) => withFrameMore(now, told.bent?.lowerLongMm ?? sheetLength(now)), 'A frame put in')
              }
            />
          )}
        </Box>
      </Section>
      <Section title="Her ends">
        <Box sx={FIELDS}>
          <Tick
            label="Bow is a transom"
            hint="Without one the fore ends come together on the stem"
            isTicked={card.hasBowTransom}
            onTick={(hasBowTransom) => onChange((now) => ({ ...now, hasBowTransom }), 'Bow is a transom')}
          />
          {card.hasBowTransom && <EndFields {...{ card, names, onChange }} end={BOW} name="Bow" />}
          {!(card.hasBowTransom && card.hasTransom) && field('stem', 'Stem between the sides')}
          <Tick
            label="Transom"
            hint="Without one the after ends come together on the stem’s thickness"
            isTicked={card.hasTransom}
            onTick={(hasTransom) => onChange((now) => ({ ...now, hasTransom }), 'Transom')}
          />
          {card.hasTransom && <EndFields {...{ card, names, onChange }} end="transom" name="Transom" />}
          {field('rise', 'After foot higher by')}
          <p className="quiet">Breadths are from the centreline.</p>
        </Box>
      </Section>
      <Section title="The sheet" aside={length(sheetLength(card))}>
        <Box sx={FIELDS}>
          <NumberField
            label="Sheets end to end"
            value={card.sheetCount}
            read={SHEETS}
            path={[...CARD, 'sheetCount']}
            onCommit={(sheetCount) => onChange((now) => ({ ...now, sheetCount }), 'Sheets end to end')}
          />
          {field('sheetLong', 'A sheet is long')}
          {field('sheetWide', 'A sheet is wide')}
          {field('joint', 'Each joint takes')}
          {field('thickness', 'The card is thick')}
        </Box>
      </Section>
      <Section title="Its edges">
        {(['upper', 'lower'] as const).map((edge) => (
          <EdgeFields key={edge} card={card} edge={edge} onChange={onChange} />
        ))}
        <p className="quiet">Along the sheet from its fore end, and up from its lower border.</p>
      </Section>
      <TakeAway />
    </>
  );
});

type EndProps = Pick<Props, 'card' | 'onChange'> & {
  readonly names: EdgeNames;
  readonly end: 'bow' | 'transom';
  readonly name: string;
};

/** How broad she is at an end that is a transom. */
function EndFields({ card, names, onChange, end, name }: EndProps) {
  return EDGES.map((edge) => (
    <LengthField
      key={edge}
      label={`${name}, ${names[edge]}`}
      mm={card[end][edge]}
      path={[...CARD, end, edge]}
      onCommit={(mm) => onChange((now) => ({ ...now, [end]: { ...now[end], [edge]: mm } }), name)}
    />
  ));
}

type EdgeProps = Pick<Props, 'card' | 'onChange'> & { readonly edge: EdgeName };

/** The points of an edge by their figures. */
function EdgeFields({ card, edge, onChange }: EdgeProps) {
  const name = useEdgeNames(card)[edge];
  const line = capital(name);
  return (
    <>
      <Box sx={{ ...FIELDS, gridTemplateColumns: '1fr 1fr' }}>
        {card[edge].map((point, k) =>
          (['along', 'up'] as const).map((key) => (
            <LengthField
              key={`${point.id} ${key}`}
              label={`${line} ${k + 1} ${key}`}
              mm={point[key]}
              path={[...CARD, edge, point.id, key]}
              onCommit={(mm) =>
                onChange((now) => withPoint(now, edge, point.id, { [key]: mm }), `Point ${k + 1} of the ${name}`)
              }
            />
          )),
        )}
      </Box>
      {card[edge].length < CARD_LIMITS.points && (
        <Act
          label={`A point more on the ${name}`}
          onAct={() => onChange((now) => withPointMore(now, edge), `A point more on the ${name}`)}
        />
      )}
      {card[edge].length > 2 && (
        <Act
          label={`Straighten the ${name}`}
          onAct={() => onChange((now) => straightened(now, edge), `The ${name} straight`)}
        />
      )}
    </>
  );
}

type FrameProps = {
  readonly card: Card;
  readonly names: EdgeNames;
  readonly frame: Spreader;
  readonly name: string;
  readonly onFrame: (change: (card: Card) => Partial<Spreader>, what: string) => void;
  readonly onRemove: () => void;
};

function FrameFields({ card, names, frame, name, onFrame, onRemove }: FrameProps) {
  const path = (key: keyof Spreader) => [...CARD, 'spreaders', frame.id, key];
  const flare = flareAt(card, frame);
  return (
    <Box role="group" aria-label={name} sx={FIELDS}>
      <b>{name}</b>
      <LengthField
        label={`Along the ${names.lower}`}
        mm={frame.along}
        path={path('along')}
        onCommit={(along) => onFrame(() => ({ along }), `along the ${names.lower}`)}
      />
      {(['lower', 'upper'] as const).map((edge) => {
        const line = names[edge];
        // one of the two holds it
        const mayGo = frame[edge === 'lower' ? 'upper' : 'lower'] !== null;
        return frame[edge] !== null && !mayGo ? (
          <LengthField
            key={edge}
            label={`Out at the ${line}`}
            mm={frame[edge]}
            path={path(edge)}
            onCommit={(mm) => onFrame(() => ({ [edge]: mm }), `out at the ${line}`)}
          />
        ) : (
          <OptionalLength
            key={edge}
            label={`Out at the ${line}`}
            offer={`Hold it at the ${line}`}
            remove={`Leave the ${line} free`}
            mm={frame[edge]}
            start={frame.upper ?? frame.lower ?? 0}
            path={path(edge)}
            onChange={(mm) => onFrame(() => ({ [edge]: mm }), mm === null ? `${line} free` : `out at the ${line}`)}
          />
        );
      })}
      {flare !== undefined && (
        <NumberField
          label="Flare, degrees"
          value={Number(flare.toFixed(1))}
          read={FLARES}
          onCommit={(deg) => {
            if (upperAtFlare(card, frame, deg) !== undefined) onFrame((now) => atFlare(now, frame.id, deg), 'flare');
          }}
        />
      )}
      <Act label={`Take ${name.toLowerCase()} out`} onAct={onRemove} />
    </Box>
  );
}

/** The breadth at the upper edge that leans the side out so far from where its lower edge is held by then. */
function atFlare(card: Card, id: string, deg: number): Partial<Spreader> {
  const frame = card.spreaders.find((one) => one.id === id);
  const upper = frame && upperAtFlare(card, frame, deg);
  return upper === undefined ? {} : { upper };
}

type MakesProps = Pick<Props, 'card' | 'told'> & {
  readonly length: (mm: number) => string;
  readonly names: EdgeNames;
};

const FEELS = { hand: 'a hand', clamp: 'a clamp', 'two people': 'two people', 'more than two people': 'more than two' };
const STRAINS = {
  ordinary: 'it bends without stretching',
  clamped: 'it has to stretch a little: clamps draw it in',
  stretched: 'it would have to stretch: plywood will not',
};

function Makes({ card, told: { bent: made }, length, names }: MakesProps) {
  const notation = useAppSelector(selectNotation);
  if (!made) return null;
  const { bent, held, bare } = made;
  const small = (mm: number) => formatSmall(Math.max(0, mm), notation);
  const bareWords = bare.map(({ from, to }) => `from ${length(from)} to ${length(to)}`).join(' and ');
  const nameOf = (frame: string) => {
    const k = card.spreaders.findIndex(({ id }) => id === frame);
    return frame === BOW ? 'Bow' : frame === STERN ? 'Transom' : `Frame ${k + 1}`;
  };
  return (
    <section className="slip-part" aria-label="What it makes">
      <h2>What it makes</h2>
      <Figure name="Length over all" value={length(bent.lengthMm)} />
      <Figure
        name="Rocker, bow"
        value={length(bent.rocker.fore)}
        why={`How far the foot of the bow stands over the lowest of the ${names.lower}`}
      />
      <Figure
        name="Rocker, stern"
        value={length(bent.rocker.aft)}
        why={`How far the after foot stands over the lowest of the ${names.lower}`}
      />
      <Figure
        name={`Hollow of the ${names.upper}`}
        value={length(Math.max(0, -bent.sheerMm))}
        why="Under a straight line from bow to stern, seen from the side"
      />
      <Figure
        name="Flare at most"
        value={`${bent.flareDeg.toFixed(1)}°`}
        why="From upright, where the side leans out most"
      />
      <Figure
        name="Tightest bend"
        value={length(bent.tightest.radiusMm)}
        why="The least radius to which the sheet is bent"
      />
      {held.map((one) => (
        <Figure
          key={`${one.frame} ${one.edge}`}
          name={`${nameOf(one.frame)}, ${names[one.edge]}`}
          value={FEELS[one.feel]}
          why={pullWords(one.pullN)}
        />
      ))}
      <p className={bent.strain.is === 'stretched' ? undefined : 'quiet'}>
        {`As for stretching: ${STRAINS[bent.strain.is]}. Bent, the ${names.lower} comes out ` +
          `${small(bent.longer.lower)} longer than it was cut, the ${names.upper} ${small(bent.longer.upper)}.`}
      </p>
      {bare.length > 0 && (
        <Box component="p" className="quiet" sx={{ mt: 1 }}>
          {`Nothing holds it ${bareWords} along the ${names.lower}: there it runs as it likes. `}
          Another frame would settle it.
        </Box>
      )}
    </section>
  );
}

const pullWords = (pullN: number): string =>
  `${pullN > 0 ? 'Presses the sheet out' : 'Draws the sheet in'} with about ` +
  `${Math.round(Math.abs(pullN) / 10) * 10} N; as bent by hand, of common plywood`;

/** Without the card the table is as it is, and another can be begun. */
function TakeAway() {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const takeAway = () => {
    const { project } = store.getState().document;
    if (project) dispatch(edited({ label: 'The card taken away', edits: [withoutCard(project)] }));
  };
  return <Act label="Take the card away" onAct={takeAway} />;
}

function withoutCard({ lines: { card: _card, ...lines } }: Project): Edit {
  return { path: [linesStage.name], value: lines };
}

/** The card’s lines put into the table, as one edit. */
function IntoTable({ card, told }: Pick<Props, 'card' | 'told'>) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const notation = useAppSelector(selectNotation);
  const [isBusy, setIsBusy] = useState(false);
  const canBe = told.isNow && told.bent !== null && told.bent.bent.problem === undefined;
  const put = async () => {
    // what is shown here may be a moment old
    const card = store.getState().document.project?.lines.card;
    if (!card) return;
    setIsBusy(true);
    const answer = await engine.run('cardEdges', card);
    setIsBusy(false);
    const { project } = store.getState().document;
    if (!project) return;
    if (project.lines.card !== card) dispatch(said('The card was changed while it was bent: put its lines in again.'));
    else if (answer.kind === 'ok' && answer.value.ok)
      dispatch(
        edited({
          label: 'The card’s lines put into the table',
          edits: card.lines
            ? ownCardTaken(project, card, answer.value.edges)
            : cardTaken(project, tableOfCard(answer.value.edges, card)),
        }),
      );
    else if (answer.kind === 'ok' && !answer.value.ok)
      dispatch(
        said(cardProblemWords(answer.value.problem, (mm) => `${formatLength(mm, notation)} ${unitLabel(notation)}`)),
      );
    else if (answer.kind === 'failed') dispatch(said(`The card could not be bent: ${answer.message}`));
  };
  return (
    <section className="slip-part" aria-label="Into the table">
      <Button variant="contained" fullWidth disabled={!canBe || isBusy} onClick={() => void put()}>
        {isBusy ? 'Bending it…' : 'Put its lines into the table'}
      </Button>
      <p className="quiet">
        {card.lines ? 'Her own two lines take the shape of the card; the others, and her frames, stay.' : NEW_BOAT}
      </p>
    </section>
  );
}

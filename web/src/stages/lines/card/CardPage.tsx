import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useDeferredValue, useState, type ReactNode } from 'react';
import { cardProblemWords, emptyCard, type Card } from '@kalotrope/core/bend';
import { linesStage } from '@kalotrope/core/lines';
import { formatLength, unitLabel, type Notation } from '@kalotrope/core/measure';
import type { EditValue } from '@kalotrope/core/findings';
import type { Panel } from '@kalotrope/core/panels';
import { mayBeCard } from '@kalotrope/core/project';
import { Slip } from '../../../controls/Slip';
import { useStable } from '../../../controls/use-stable';
import { engine } from '../../../engine/client';
import { edited } from '../../../state/document-slice';
import { said } from '../../../state/screen-slice';
import { selectDerived, selectNotation, selectProject } from '../../../state/selectors';
import { useAppDispatch, useAppSelector, useAppStore } from '../../../state/store';
import { CardFlat } from './CardFlat';
import { CardHull } from './CardHull';
import { CardSlip } from './CardSlip';
import { useEdgeNames, type EdgeNames } from './edge-names';
import { useBending, type CardTold } from './use-bending';

const CARD_PATH = [linesStage.name, 'card'];

/** A sheet cut and bent: the view, and its slip. A boat that has no card is offered one. */
export function CardPage({ head }: { readonly head: ReactNode }) {
  const card = useAppSelector((state) => selectProject(state)?.lines.card);
  return card ? <WithCard head={head} card={card} /> : <NoCard head={head} />;
}

const NO_PANELS: readonly Panel[] = [];
const WHY: Readonly<Record<'several lines' | 'shape', string>> = {
  'several lines': 'It cannot be a card: its edges run along more than one line.',
  shape: 'It cannot be a card: it does not bend from flat between her frames.',
};

function NoCard({ head }: { readonly head: ReactNode }) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const panels = useAppSelector((state) => selectDerived(state)?.panels.value.panels) ?? NO_PANELS;
  const [isBusy, setIsBusy] = useState(false);
  const begin = (card: Card) =>
    // a card is plain data
    dispatch(edited({ label: 'A card begun', edits: [{ path: CARD_PATH, value: card as EditValue }] }));
  const take = async (panel: string) => {
    const { project } = store.getState().document;
    if (!project || isBusy) return;
    setIsBusy(true);
    const answer = await engine.run('cardOf', { project, panel });
    setIsBusy(false);
    if (store.getState().document.project !== project) return;
    if (answer.kind === 'ok' && answer.value.ok) begin(answer.value.card);
    else if (answer.kind === 'ok' && !answer.value.ok) dispatch(said(WHY[answer.value.why]));
    else if (answer.kind === 'failed') dispatch(said(`No card could be made of it: ${answer.message}`));
  };
  return (
    <>
      <Box sx={{ flex: { md: 1 }, minWidth: 0, display: 'flex', flexDirection: 'column' }}>
        {head}
        <Box sx={{ p: 3, maxWidth: '62ch', display: 'grid', gap: 2, justifyItems: 'start' }}>
          <Typography>
            Cut a sheet, bend it round a frame, bring its ends together, and see the boat that it makes. The table stays
            as it is until you put the card’s lines into it.
          </Typography>
          <Button variant="contained" onClick={() => begin(emptyCard())}>
            Begin with a card
          </Button>
          {panels.some(mayBeCard) && (
            <>
              <Typography>
                Or take a panel of hers as she is, held where her frames stand, and drag its edges: she bends to follow.
              </Typography>
              {panels.filter(mayBeCard).map(({ id, name, only }) => (
                <Button key={id} variant="outlined" disabled={isBusy} onClick={() => void take(id)}>
                  {`Take the ${name.toLowerCase()}${only ? ` to ${only}` : ''}`}
                </Button>
              ))}
            </>
          )}
        </Box>
      </Box>
      <Slip stage={linesStage.name} title="Bend a card" numbers={null} />
    </>
  );
}

type WithCardProps = { readonly head: ReactNode; readonly card: Card };

function WithCard({ head, card: kept }: WithCardProps) {
  const dispatch = useAppDispatch();
  const notation = useAppSelector(selectNotation);
  const [draft, setDraft] = useState<Card | null>(null);
  const card = draft ?? kept;
  const names = useEdgeNames(card);
  const told = useBending(card, draft !== null);
  const change = (next: Card, { label, isOver }: { readonly label: string; readonly isOver: boolean }) => {
    setDraft(isOver ? null : next);
    // a card is plain data
    if (isOver) dispatch(edited({ label, edits: [{ path: CARD_PATH, value: next as EditValue }] }));
  };
  const cancel = () => setDraft(null);
  // while a handle is dragged the drawing goes before the figures
  const [slipCard, slipTold] = [useDeferredValue(card), useDeferredValue(told)];
  const put = useStable((make: (card: Card) => Card, label: string) => change(make(card), { label, isOver: true }));
  return (
    <>
      <Box
        sx={{
          flex: { md: 1 },
          minWidth: 0,
          minHeight: { md: 0 },
          display: 'flex',
          flexDirection: 'column',
          overflow: { md: 'auto' },
        }}
      >
        {head}
        <Said told={told} names={names} notation={notation} />
        <CardFlat card={card} bare={told.bent?.bare ?? []} onChange={change} onCancel={cancel} />
        {told.bent && (
          <CardHull
            card={card}
            made={told.bent}
            isNow={told.isNow}
            isDragged={draft !== null}
            onChange={change}
            onCancel={cancel}
          />
        )}
      </Box>
      <Slip stage={linesStage.name} title="Bend a card" numbers={null}>
        <CardSlip card={slipCard} told={slipTold} onChange={put} />
      </Slip>
    </>
  );
}

type SaidProps = { readonly told: CardTold; readonly names: EdgeNames; readonly notation: Notation };

/** What the card makes in a line, or why it makes nothing. */
function Said({ told, names, notation }: SaidProps) {
  const length = (mm: number) => `${formatLength(mm, notation)} ${unitLabel(notation)}`;
  const { bent, wrong, failed } = told;
  const problem = wrong ? cardProblemWords(wrong, length) : failed ? `Not bent: ${failed}.` : undefined;
  const doubt = bent?.bent.problem;
  return (
    <Box sx={{ px: 2, pt: 1, minHeight: 34, fontSize: 14 }}>
      {problem ? (
        <span role="alert">{problem}</span>
      ) : doubt !== undefined ? (
        <span role="alert">{`Not to be trusted: ${doubt}.`}</span>
      ) : bent ? (
        <span role="status">
          {`Her ${names.upper} is ${length(bent.sheerLongMm)} long on the card`}
          {` and makes a boat of ${length(bent.bent.lengthMm)}.`}
        </span>
      ) : (
        <span role="status">Bending it…</span>
      )}
    </Box>
  );
}

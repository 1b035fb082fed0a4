import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState, type ReactNode } from 'react';
import { cardProblemWords, emptyCard, type Card } from '@kalotrope/core/bend';
import { linesStage } from '@kalotrope/core/lines';
import { formatLength, unitLabel, type Notation } from '@kalotrope/core/measure';
import type { EditValue } from '@kalotrope/core/findings';
import { Slip } from '../../../controls/Slip';
import { edited } from '../../../state/document-slice';
import { selectNotation, selectProject } from '../../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../../state/store';
import { CardFlat } from './CardFlat';
import { CardHull } from './CardHull';
import { CardSlip } from './CardSlip';
import { useBending, type CardTold } from './use-bending';

const CARD_PATH = [linesStage.name, 'card'];

/** A sheet cut and bent: the view, and its slip. A boat that has no card is offered one. */
export function CardPage({ head }: { readonly head: ReactNode }) {
  const card = useAppSelector((state) => selectProject(state)?.lines.card);
  const dispatch = useAppDispatch();
  if (card) return <WithCard head={head} card={card} />;
  const begin = () =>
    dispatch(edited({ label: 'A card begun', edits: [{ path: CARD_PATH, value: emptyCard() as EditValue }] }));
  return (
    <>
      <Box sx={{ flex: { md: 1 }, minWidth: 0, display: 'flex', flexDirection: 'column' }}>
        {head}
        <Box sx={{ p: 3, maxWidth: '60ch' }}>
          <Typography>
            Cut a sheet, bend it round a frame, bring its ends together, and see the boat that it makes. The table stays
            as it is until you put the card’s lines into it.
          </Typography>
          <Button variant="contained" onClick={begin} sx={{ mt: 2 }}>
            Begin with a card
          </Button>
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
  const told = useBending(card, draft !== null);
  const change = (next: Card, { label, isOver }: { readonly label: string; readonly isOver: boolean }) => {
    setDraft(isOver ? null : next);
    // a card is plain data
    if (isOver) dispatch(edited({ label, edits: [{ path: CARD_PATH, value: next as EditValue }] }));
  };
  const cancel = () => setDraft(null);
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
        <Said told={told} notation={notation} />
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
        <CardSlip card={card} told={told} onChange={(next, label) => change(next, { label, isOver: true })} />
      </Slip>
    </>
  );
}

/** What the card makes in a line, or why it makes nothing. */
function Said({ told, notation }: { readonly told: CardTold; readonly notation: Notation }) {
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
        <span role="status">{`Her sheer is ${length(bent.sheerLongMm)} long on the card and makes a boat of ${length(bent.bent.lengthMm)}.`}</span>
      ) : (
        <span role="status">Bending it…</span>
      )}
    </Box>
  );
}

/** The drawing: the boat from above, cut along or across, or what is picked as it is cut. */
import {
  seenFromAbove,
  type FittedBlock,
  type FittedKnee,
  type FittedStem,
  type InBoat,
  type InsideValue,
  type Seated,
} from '@kalotrope/core/fitout';
import { useState } from 'react';
import { LengthField } from '../../controls/LengthField';
import { ViewTabs } from '../../controls/ViewTabs';
import { InTheRound } from '../../drawing/hull/InTheRound';
import { selectDerived } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { AlongDrawing } from './AlongDrawing';
import { BlockDrawing } from './blocks/BlockDrawing';
import { FlatDrawing } from './FlatDrawing';
import { KneeDrawing } from './knees/KneeDrawing';
import { PlanDrawing } from './PlanDrawing';
import { StemDrawing } from './stems/StemDrawing';
import { SectionDrawing } from './SectionDrawing';

const VIEWS = { above: 'From above', along: 'Along', section: 'Across', flat: 'As it is cut' } as const;
const HULL = <InTheRound />;

/** What of what is picked was made. */
export type PickedInside = {
  readonly id: string;
  readonly name: string;
  readonly parts: readonly InBoat[];
  readonly block: FittedBlock | undefined;
  readonly stem: FittedStem | undefined;
  readonly knee: FittedKnee | undefined;
  readonly person: Seated | undefined;
  /** Its middle along the boat as it is decided. */
  readonly x: number;
};

type Props = { readonly value: InsideValue; readonly own: PickedInside | undefined };

export function InsideViews({ value, own }: Props) {
  const derived = useAppSelector(selectDerived);
  const [view, setView] = useState<keyof typeof VIEWS>('above');
  const [asked, setAsked] = useState<number | null>(null);
  const [askedOut, setAskedOut] = useState<number | null>(null);
  if (!derived) return null;
  const hull = derived.lines.value;
  const { panels } = derived.panels.value;
  const { frames } = derived.frames.value;
  // in its middle, until another place is asked for
  const x = asked ?? own?.person?.crown[0] ?? middleOf(own?.parts ?? []) ?? own?.x ?? (hull.fromX + hull.toX) / 2;
  const out = askedOut ?? Math.abs(own?.person?.out ?? 0);
  const common = { picked: own?.id, corner: HULL };
  return (
    <>
      <ViewTabs label="Views of the part" names={VIEWS} view={view} onView={setView}>
        {view === 'section' && <LengthField label="Across at, from the stem" mm={x} onCommit={setAsked} />}
        {view === 'along' && (
          <LengthField label="Along, out from the middle" mm={out} onCommit={(mm) => setAskedOut(Math.abs(mm))} />
        )}
      </ViewTabs>
      {view === 'along' ? (
        <AlongDrawing hull={hull} panels={panels} frames={frames} value={value} out={out} {...common} />
      ) : view === 'section' ? (
        <SectionDrawing panels={panels} value={value} x={x} {...common} />
      ) : view === 'flat' && own?.block && own.block.rows.length > 0 ? (
        <BlockDrawing block={own.block} corner={HULL} />
      ) : view === 'flat' && own?.stem && own.stem.rows.length > 0 ? (
        <StemDrawing stem={own.stem} corner={HULL} />
      ) : view === 'flat' && own?.knee && own.knee.rows.length > 0 ? (
        <KneeDrawing knee={own.knee} corner={HULL} />
      ) : view === 'flat' && own?.parts.some(({ pieces }) => pieces.length > 0) ? (
        <FlatDrawing parts={own.parts} screws={value.screws} name={own.name} corner={HULL} />
      ) : (
        <PlanDrawing hull={hull} value={value} {...common} />
      )}
    </>
  );
}

/** Along the boat, of what is seen from above; undefined of nothing. */
function middleOf(parts: readonly InBoat[]): number | undefined {
  const xs = parts.flatMap(seenFromAbove).flatMap(({ outline }) => outline.map(([x]) => x));
  return xs.length > 0 ? (Math.min(...xs) + Math.max(...xs)) / 2 : undefined;
}

import Box from '@mui/material/Box';
import { useState } from 'react';
import { jobOfThing, planPots, seamOfThing, type Seam, type Takeoff } from '@kalotrope/core/epoxy';
import { formatDeg, formatMass, formatShare, formatWithUnit, type Notation } from '@kalotrope/core/measure';
import { shopSensor } from '../../devices/streams';
import { useShop } from '../../devices/use-shop';
import type { Derived, Project } from '@kalotrope/core/project';
import { selectDerived, selectNotation, selectPicked, selectProject } from '../../state/selectors';
import { Figure } from '../../controls/Figure';
import { Slip } from '../../controls/Slip';
import { useStable } from '../../controls/use-stable';
import { ViewTabs } from '../../controls/ViewTabs';
import { useAppSelector } from '../../state/store';
import { BuyTable } from './BuyTable';
import { EpoxySettings, Paces } from './EpoxySettings';
import { Fillers, Finishes } from './Finishes';
import { GlassPictures } from './GlassPictures';
import { GlassedFlat } from './GlassedFlat';
import { GlassSettings } from './GlassSettings';
import { HoursView } from './HoursView';
import { JobNumbers } from './JobNumbers';
import { MixView } from './MixView';
import { OtherGlues } from './OtherGlues';
import { OthersTable } from './OthersTable';
import { OwnSeams } from './OwnSeams';
import { Packs } from './Packs';
import { PotLog } from './PotLog';
import { ResinSettings } from './ResinSettings';
import { Shop } from './Shop';
import { ShoppingView } from './ShoppingView';
import { StandIns } from './StandIns';
import { TakeoffTables } from './TakeoffTables';
import { useCloth } from './use-cloth';
import { usePots } from './use-pots';

const VIEWS = {
  buy: 'To buy',
  mix: 'To mix',
  hours: 'When',
  shopping: 'Shopping list',
} as const;
type View = keyof typeof VIEWS;

export default function EpoxyPage() {
  const derived = useAppSelector(selectDerived);
  const project = useAppSelector(selectProject);
  const choice = useAppSelector(selectPicked);
  const notation = useAppSelector(selectNotation);
  const [chosen, setChosen] = useState<View | null>(null);
  const [isSensed, setIsSensed] = useState(false);
  const shop = useShop(isSensed ? shopSensor : null);
  const { records, add } = usePots(project?.id);
  const pick = useStable((view: View) => setChosen(view));
  if (!derived || !project) return null;
  const takeoff = derived.epoxy.value;
  const seam = takeoff.seams.find((other) => other.id === seamOfThing(choice));
  const job = takeoff.jobs.find(({ name }) => name === jobOfThing(choice));
  // a job that was picked, in what there is to look at or anywhere else, is to be mixed
  const view = chosen ?? (job ? 'mix' : 'buy');
  const { tempC, humidity } = shop.reading ?? project.epoxy.shop;
  const plan = shop.reading ? planPots(takeoff.jobs, project.epoxy, tempC) : takeoff.plan;
  return (
    <>
      <Box sx={{ flex: 1, minWidth: 0, minHeight: 0, display: 'flex', flexDirection: 'column' }}>
        <ViewTabs label="What to buy, what to mix, and when" names={VIEWS} view={view} onView={pick} />
        <Box
          sx={{ flex: 1, minHeight: 0, overflow: 'auto', p: { xs: 1, md: 2 }, borderTop: 1, borderColor: 'divider' }}
          tabIndex={0}
          role="region"
          aria-label={VIEWS[view]}
        >
          {view === 'buy' && (
            <>
              <GlassToBuy project={project} derived={derived} />
              <TakeoffTables takeoff={takeoff} />
              <OthersTable takeoff={takeoff} project={project} />
            </>
          )}
          {view === 'mix' && (
            <MixView {...{ takeoff, plan, records, add, project, shopC: tempC, job: job ?? takeoff.jobs[0] }} />
          )}
          {view === 'shopping' && <ShoppingView project={project} />}
          {view === 'hours' && <HoursView {...{ project, records, tempC, humidity }} />}
        </Box>
      </Box>
      <Slip
        stage="epoxy"
        title={seam?.name ?? job?.name ?? 'To buy'}
        numbers={
          seam ? (
            <SeamNumbers seam={seam} />
          ) : job ? (
            <JobNumbers job={job} plan={plan} records={records} />
          ) : (
            <BoatNumbers takeoff={takeoff} waste={project.epoxy.waste} notation={notation} />
          )
        }
      >
        <Shop project={project} shop={shop} isSensed={isSensed} onSense={setIsSensed} />
        <OwnSeams project={project} takeoff={takeoff} />
        <EpoxySettings project={project} />
        <GlassSettings project={project} />
        <GlassedFlat project={project} derived={derived} />
        <Paces project={project} />
        <ResinSettings project={project} />
        <Packs project={project} />
        <Fillers project={project} />
        <OtherGlues project={project} />
        <Finishes project={project} />
        <PotLog records={records} />
        <StandIns />
      </Slip>
    </>
  );
}

function GlassToBuy({ project, derived }: { readonly project: Project; readonly derived: Derived }) {
  const cloth = useCloth(project, derived);
  const takeoff = derived.epoxy.value;
  return (
    <>
      <GlassPictures takeoff={takeoff} project={project} cloth={cloth} />
      <BuyTable takeoff={takeoff} project={project} cloth={cloth.laid} />
    </>
  );
}

function SeamNumbers({ seam }: { readonly seam: Seam }) {
  const notation = useAppSelector(selectNotation);
  return (
    <>
      <Figure name="Length, both sides" value={formatWithUnit(seam.length, notation)} />
      <Figure
        name="Angle inside"
        value={formatDeg(seam.angleDeg, 0)}
        why="Between the two faces, averaged along the seam"
      />
    </>
  );
}

type BoatProps = { readonly takeoff: Takeoff; readonly waste: number; readonly notation: Notation };

function BoatNumbers({ takeoff, waste, notation }: BoatProps) {
  const used = takeoff.resin + takeoff.filler;
  return (
    <>
      <Figure
        name="Epoxy, mixed"
        value={formatMass(takeoff.resinWithWaste, notation)}
        why={`${formatMass(takeoff.resin, notation)} used, and ${formatShare(waste)} of what is mixed lost`}
      />
      <Figure
        name="Filler"
        value={formatMass(takeoff.plan.totals.filler, notation)}
        why={`${formatMass(takeoff.filler, notation)} in place, and what is lost`}
      />
      <Figure name="Pots to mix" value={String(takeoff.plan.pots.length)} />
      <Figure
        name="Adds to the boat"
        value={formatMass(takeoff.weight, notation)}
        why={`${formatMass(used, notation)} of epoxy and filler, and the glass in it`}
      />
    </>
  );
}

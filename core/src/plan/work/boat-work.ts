/**
 * What there is to do on this boat, in working order: from its panels, frames, timbers, parts inside, its set-up and
 * its wet work, each with what has to be before it.
 *
 * Order: sheets joined before what is cut from the blanks; parts sealed before they are glued or stood; frames stood
 * before the skin goes on; the inside of the seams before the boat is turned; the outside before she is turned back;
 * what lies inside fitted then, and painted last. What is cut from sheets that need no joint may be cut at any time.
 */
import type { Job as EpoxyJob } from '../../epoxy';
import type { PanelsValue } from '../../panels';
import {
  FAIR_M2,
  FIT_MEMBER_M,
  HANG_M,
  HANG_PANEL,
  ROUND_SEAM_M,
  SET_FRAME,
  SMALL_PART,
  STRONGBACK,
  TURN_OVER,
} from '../constants';
import { dry, lower, MM_PER_M, type BoatToBuild } from './boat';
import { after, coatAfter, coatJobs, hardAfter, wetJob } from './epoxy-work';
import { insideFitted } from './fitting-out';
import type { Need, WorkJob } from './job';
import { makingOf } from './making';

/** Everything, each after what it needs. */
export function workOf(boat: BoatToBuild): WorkJob[] {
  const made = makingOf(boat);
  const ids = made.map(({ id }) => id);
  const wet = (id: string) => boat.takeoff.jobs.find((job) => job.id === id);
  const jobs: WorkJob[] = [...made];
  const { hours } = boat;
  const put = (job: WorkJob | undefined): void => {
    if (job) jobs.push(job);
  };
  // what is cut and made; timber is sawn when it comes to be wanted
  const cutAll = made
    .filter(({ id, group, isWet }) => !isWet && group !== 'inside' && id !== 'saw')
    .map(({ id }) => id);
  // glassed and sealed flat
  const flat = wet('flat');
  // pieces that are cut before they are joined are sealed in one
  let before: Need[] = [...cutAll.map(after), ...(wet('join') ? [hardAfter('join', hours)] : [])];
  if (flat) {
    put(wetJob(flat, before));
    before = chained(boat, jobs, 'flat.fill', [coatAfter('flat', hours, 0)]);
  }
  if (isSealedFlat(boat)) before = chained(boat, jobs, 'seal', before);
  before = before.map((need) => (isWetIn(jobs, need.job) ? hardAfter(need.job, hours) : need));
  const glue = wet('glue');
  const sawn = ids.filter((id) => id === 'saw').map(after);
  if (glue) {
    put(wetJob(glue, [...before, ...sawn]));
    before = [hardAfter('glue', hours)];
  }
  // set up, the timbers let in, the skin on
  const stood = settingUp(boat, before);
  jobs.push(...stood);
  const standing: Need[] = stood.length > 0 ? [after(stood[stood.length - 1]!.id)] : before; // one at least
  if (boat.frames.members.length > 0) {
    put(membersIn(boat, [...standing, ...sawn]));
    standing.push(after('members'));
  }
  const hung = boat.panels.panels.map((panel) => hanging(boat, panel, standing));
  jobs.push(...hung);
  before = hung.map(({ id }) => after(id));
  // on frames a layer goes over the last one at once
  const lay = wet('lay');
  if (lay && boat.school !== 'filleted') {
    put(wetJob(lay, before));
    before = [hardAfter('lay', hours)];
  }
  const ties = [wet('tack'), wet('tabs')].flatMap((job) => (job ? [job] : []));
  for (const job of ties) {
    put(wetJob(job, before));
    before = [hardAfter(job.id, hours)];
  }
  for (const id of ['fillets', 'tape.inside']) {
    const job = wet(id);
    if (!job) continue;
    put(wetJob(job, before));
    // tape goes over a fillet that is still soft as well as over a hard one
    before = [{ ...coatAfter(id, hours, 0), leastH: id === 'fillets' ? 0 : hours.tacky }];
  }
  if (boat.way === 'no-jig') {
    const fitted = fittingFrames(boat, before);
    put(fitted);
    if (fitted) before = [...before, after(fitted.id)];
  }
  if (!isSealedFlat(boat)) before = chained(boat, jobs, 'seal', before);
  const hull = before.map((need) => (isWetIn(jobs, need.job) ? hardAfter(need.job, hours) : need));
  put(
    dry({
      id: 'turn',
      does: 'turn',
      name: 'Turn her over',
      group: 'outside',
      minutes: TURN_OVER.value,
      hands: 2,
      isOneGo: true,
      needs: hull,
    }),
  );
  const out = outside(boat, jobs);
  put(
    dry({
      id: 'turn.back',
      does: 'turn',
      name: 'Turn her back',
      group: 'inside',
      minutes: TURN_OVER.value,
      hands: 2,
      isOneGo: true,
      needs: out,
    }),
  );
  const fitted = insideFitted(boat, jobs);
  const cleared = fitted.length > 0 ? fitted.map(after) : [after('turn.back')];
  const painted = coatJobs(boat.takeoff.coats, {
    ...{ pace: boat.paintPace, needs: cleared, areaM2: hullArea(boat), where: WITHIN },
  });
  jobs.push(...painted.jobs);
  return jobs;
}

const OUTER = ['outside'] as const;
/** Seams between panels, and of panels with a transom: what is seen from outside. */
const OUTER_SEAMS: readonly string[] = ['keel', 'chine', 'end', 'transom'];
const WITHIN = ['inside', 'all'] as const;

const isWetIn = (jobs: readonly WorkJob[], id: string): boolean => jobs.find((job) => job.id === id)?.isWet ?? false;
const isSealedFlat = ({ takeoff: { jobs } }: BoatToBuild): boolean => {
  const [seal, tack] = ['seal.1', 'tack'].map((id) => jobs.findIndex((job) => job.id === id));
  return seal !== undefined && seal >= 0 && (tack === undefined || tack < 0 || seal < tack);
};
const hullArea = ({ panels: { panels } }: BoatToBuild): number =>
  panels.reduce((sum, { areaM2, spansCentreline, only }) => sum + areaM2 * (spansCentreline || only ? 1 : 2), 0);

/** Coats one over another; what the next after them needs. */
function chained(
  { takeoff, hours }: BoatToBuild,
  jobs: WorkJob[],
  id: EpoxyJob['coatOf'],
  first: readonly Need[],
): Need[] {
  const own = takeoff.jobs.filter((job) => job.coatOf === id);
  let before = [...first];
  for (const job of own) {
    const area = job.grams / GRAMS_PER_M2;
    jobs.push(wetJob(job, before));
    before = [coatAfter(job.id, hours, area)];
  }
  return before;
}
/** Of a coat, for how much there is to sand. */
const GRAMS_PER_M2 = 110;

function settingUp({ setup, way, frames }: BoatToBuild, needs: readonly Need[]): WorkJob[] {
  if (way === 'no-jig' || setup.frames.length === 0) return [];
  const made = frames.frames.map(({ id }) => after(`cut.frame.${id}`));
  const pieces = setup.jig.pieces.reduce((sum, { qty }) => sum + qty, 0);
  return [
    dry({
      id: 'strongback',
      does: 'strongback',
      name: 'Build the strongback',
      group: 'setting up',
      minutes: STRONGBACK.value + (SMALL_PART.value * pieces) / 2,
    }),
    dry({
      ...{
        id: 'stand',
        does: 'stand',
        name: 'Stand the frames',
        group: 'setting up',
        minutes: SET_FRAME.value * setup.frames.length,
      },
      ...{ parts: setup.frames.map(({ name }) => name), needs: [...needs, ...made, after('strongback')] },
    }),
  ];
}

/** Where there is no jig frames are let in when the hull is tied. */
function fittingFrames({ frames }: BoatToBuild, needs: readonly Need[]): WorkJob | undefined {
  const own = frames.frames.filter(({ kind }) => kind !== 'mould');
  if (own.length === 0) return undefined;
  return dry({
    ...{
      id: 'stand',
      does: 'stand',
      name: 'Let in the frames',
      group: 'setting up',
      minutes: SET_FRAME.value * own.length,
    },
    ...{ parts: own.map(({ name }) => name), needs: [...needs, ...own.map(({ id }) => after(`cut.frame.${id}`))] },
  });
}

const membersIn = ({ frames: { members } }: BoatToBuild, needs: readonly Need[]): WorkJob =>
  dry({
    ...{
      id: 'members',
      does: 'members',
      name: 'Let in the timbers along her',
      group: 'setting up',
      needs,
      parts: members.map(({ name }) => name),
    },
    minutes:
      FIT_MEMBER_M.value *
      members.reduce((sum, { lengthMm, isPair }) => sum + (lengthMm * (isPair ? 2 : 1)) / MM_PER_M, 0),
  });

function hanging(boat: BoatToBuild, panel: PanelsValue['panels'][number], needs: readonly Need[]): WorkJob {
  const { school, hours, takeoff } = boat;
  const isJoined = takeoff.jobs.some(({ id }) => id === 'join');
  const hands = panel.spansCentreline || panel.only ? 1 : 2;
  const seams = panel.edges.reduce((sum, { length }) => sum + length, 0) / MM_PER_M;
  const how = school === 'filleted' ? 'Tie on' : 'Bend on and fasten';
  return dry({
    ...{
      does: 'hang',
      id: `hang.${panel.id}`,
      name: `${how} ${lower(panel.name)}`,
      group: 'hull',
      parts: [panel.name],
    },
    // of layers each is hung
    minutes: (HANG_PANEL.value + HANG_M.value * seams) * hands * (panel.layers?.length ?? 1),
    needs: [...needs, after(`cut.panel.${panel.id}`), ...(isJoined ? [hardAfter('join', hours)] : [])],
  });
}

/** The seams rounded and taped, sheathed, filled, faired, painted; what turning her back needs. */
function outside(boat: BoatToBuild, jobs: WorkJob[]): Need[] {
  const { takeoff, hours, paintPace } = boat;
  const wet = (id: string) => takeoff.jobs.find((job) => job.id === id);
  const seamM =
    takeoff.seams.filter(({ kind }) => OUTER_SEAMS.includes(kind)).reduce((sum, { length }) => sum + length, 0) /
    MM_PER_M;
  const area = hullArea(boat);
  let before: Need[] = [after('turn')];
  // what was tied together has its outer layers when its seams hold
  const lay = wet('lay');
  if (lay && boat.school === 'filleted') {
    jobs.push({ ...wetJob(lay, before), group: 'outside' });
    before = [hardAfter('lay', hours)];
  }
  if (seamM > 0) {
    jobs.push(
      dry({
        id: 'round',
        does: 'round',
        name: 'Plane the outside seams round',
        group: 'outside',
        minutes: ROUND_SEAM_M.value * seamM,
        needs: before,
      }),
    );
    before = [after('round')];
  }
  for (const id of ['tape.outside', 'sheathe']) {
    const job = wet(id);
    if (!job) continue;
    jobs.push(wetJob(job, before));
    before = [coatAfter(id, hours, job.grams / GRAMS_PER_M2 / 4)];
  }
  before = chained(boat, jobs, 'fill', before);
  const hard = before.map((need) => (isWetIn(jobs, need.job) ? hardAfter(need.job, hours) : need));
  jobs.push(
    dry({
      id: 'fair',
      does: 'fair',
      name: 'Fair the outside',
      group: 'outside',
      minutes: FAIR_M2.value * area,
      needs: hard,
    }),
  );
  const painted = coatJobs(takeoff.coats, { pace: paintPace, needs: [after('fair')], areaM2: area, where: OUTER });
  jobs.push(...painted.jobs);
  return painted.last.map(({ job, leastH }) => ({ job, leastH: isWetIn(jobs, job) ? 2 * leastH : 0 }));
}

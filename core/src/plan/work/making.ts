/** What is made on the bench: sheets joined, panels, transoms, frames, timber, what lies inside. */
import { girderPieces } from '../../frames';
import { polylineLength, type Outline } from '../../geometry';
import type { JointedPanel } from '../../joints';
import type { CutPart } from '../../sheets';
import { JOINT_M, MARK_CUT_M, SAW_STICK, SMALL_PART, TIMBER_FRAME } from '../constants';
import { dry, lower, MM_PER_M, type BoatToBuild } from './boat';
import { after, hardAfter, wetJob } from './epoxy-work';
import type { WorkGroup, WorkJob } from './job';

const roundM = (outline: Outline): number => polylineLength([...outline, ...outline.slice(0, 1)]) / MM_PER_M;
const handsOf = ({ isPair }: Pick<CutPart, 'isPair'>): number => (isPair ? 2 : 1);
const edgeM = (parts: readonly CutPart[]): number =>
  parts.reduce((sum, { outline, holes = [], ...part }) => {
    const one = [outline, ...holes].reduce((all, ring) => all + roundM(ring), 0);
    return sum + one * handsOf(part);
  }, 0);

/** The panel that it is, or is a layer of. */
const panelOf = ({ panel, layer }: JointedPanel): string => layer?.of ?? panel;

export function makingOf(boat: BoatToBuild): WorkJob[] {
  const { jointed, cut, frames, inside, runs, takeoff, hours, panels } = boat;
  const pieceIds = (id: string) =>
    jointed.filter((one) => panelOf(one) === id).flatMap(({ pieces }) => pieces.map((p) => p.id));
  // butts of layers are made as these are laid
  const joined = jointed
    .map((one) => ({ ...one, joints: one.joints.filter(({ kind }) => kind !== 'butt') }))
    .filter(({ joints }) => joints.length > 0);
  const isBlank = joined.some(({ isBlank: own }) => own === true);
  const joinM =
    joined.reduce(
      (sum, { joints, isPair }) => sum + joints.reduce((all, { depth }) => all + depth, 0) * (isPair ? 2 : 1),
      0,
    ) / MM_PER_M;
  const join = takeoff.jobs.find(({ id }) => id === 'join');
  const cutPanels = panels.panels.map((panel): WorkJob => {
    const own = cut.filter(({ id }) => pieceIds(panel.id).includes(id));
    const isJoined = joined.some((one) => panelOf(one) === panel.id);
    return dry({
      ...{ does: 'cut', id: `cut.panel.${panel.id}`, name: `Mark out and cut ${lower(panel.name)}`, group: 'plywood' },
      ...{ parts: own.map(({ name }) => name), minutes: MARK_CUT_M.value * edgeM(own) },
      needs: isBlank && isJoined && join ? [hardAfter('join', hours)] : [],
    });
  });
  const prepared =
    joinM > 0
      ? [
          dry({
            ...{
              id: 'joining',
              does: 'sheet joints',
              name: 'Cut the joints of sheets',
              group: 'plywood',
              minutes: JOINT_M.value * joinM,
            },
            // pieces are cut to shape before they are joined, blanks after
            needs: isBlank ? [] : [...new Set(joined.map(panelOf))].map((id) => after(`cut.panel.${id}`)),
          }),
        ]
      : [];
  const glued = join
    ? [
        wetJob(
          join,
          prepared.map(({ id }) => after(id)),
        ),
      ]
    : [];
  const oneCut = (part: CutPart, group: WorkGroup, id: string): WorkJob =>
    dry({
      ...{
        id,
        does: 'cut',
        name: `Mark out and cut ${lower(part.name)}`,
        group,
        parts: [part.name],
        minutes: MARK_CUT_M.value * edgeM([part]),
      },
    });
  const transoms = panels.transoms.flatMap(({ id }) =>
    cut.filter((part) => part.id === id).map((part) => oneCut(part, 'plywood', `cut.transom.${id}`)),
  );
  const ofFrames = frames.frames.map((frame): WorkJob => {
    const own = cut.filter(({ id }) => id === frame.id);
    const small = frame.cleats.length + frame.rims.length;
    return dry({
      does: own.length > 0 ? 'cut' : 'sawn frame',
      ...{ id: `cut.frame.${frame.id}`, name: `Make ${lower(frame.name)}`, group: 'framework', parts: [frame.name] },
      minutes: (own.length > 0 ? MARK_CUT_M.value * edgeM(own) : TIMBER_FRAME.value) + SMALL_PART.value * small,
    });
  });
  const girders = frames.girders.map((girder): WorkJob => {
    const pieces = girderPieces(girder).map(({ id }) => id);
    const own = cut.filter(({ id }) => pieces.includes(id));
    return dry({
      ...{
        id: `cut.girder.${girder.id}`,
        does: 'cut',
        name: `Make ${lower(girder.name)}`,
        group: 'framework',
        parts: [girder.name],
        minutes: MARK_CUT_M.value * edgeM(own),
      },
    });
  });
  const sticks = runs.reduce((sum, { qty }) => sum + qty, 0);
  const saw =
    sticks > 0
      ? [
          dry({
            id: 'saw',
            does: 'saw',
            name: 'Saw the timber',
            group: 'framework',
            minutes: SAW_STICK.value * sticks,
            parts: runs.map(({ name }) => name),
          }),
        ]
      : [];
  const ofInside = inside.flatMap(({ id, name, pieces }): WorkJob[] => {
    const own = cut.filter((part) => pieces.some((piece) => piece.id === part.id));
    if (own.length === 0) return [];
    return [
      dry({
        ...{
          id: `cut.inside.${id}`,
          does: 'cut',
          name: `Mark out and cut ${lower(name)}`,
          group: 'inside',
          parts: own.map((part) => part.name),
          minutes: MARK_CUT_M.value * edgeM(own),
        },
      }),
    ];
  });
  return [
    ...(isBlank ? [...prepared, ...glued, ...cutPanels] : [...cutPanels, ...prepared, ...glued]),
    ...transoms,
    ...ofFrames,
    ...girders,
    ...saw,
    ...ofInside,
  ];
}

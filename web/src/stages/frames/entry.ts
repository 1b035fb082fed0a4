/** Frames, as the bench shows it. */
import { lazy } from 'react';
import {
  frameOfThing,
  framesStage,
  girderOfThing,
  girderThing,
  memberOfThing,
  memberThing,
  frameThing,
  placeInBoat,
  type FramesValue,
} from '@kalotrope/core/frames';
import { layTape } from '@kalotrope/core/lines';
import { plural } from '../../controls/words';
import type { StageEntry } from '../../state/stage-entry';
import { waitsForLines } from '../../state/waits';
import {
  BEVEL_STEP,
  BEVELS_SECTION,
  EDGE_SECTION,
  KEPT_LABELS,
  KEPT_SECTION,
  PLANKED_PANEL,
  PLANKED_SECTION,
  RELIEF,
  SCREW_LABELS,
  SCREW_USE,
  SCREWS_SECTION,
  SHAPE_LABELS,
  SHAPE_SECTION,
  WHOLE_PART,
} from './frame-words';

/** Those that the builder placed. */
const placedIn = ({ frames }: FramesValue) => frames.filter(({ isUnderSeam }) => !isUnderSeam);

export const framesEntry: StageEntry = {
  stage: framesStage.name,
  title: framesStage.title,
  question: 'What do I cut, and at what bevel?',
  Page: lazy(() => import('./FramesPage')),
  things: ({ derived: { frames } }) => [
    ...placedIn(frames.value).map(({ id, name }) => ({ label: `Frame: ${name}`, pick: frameThing(id) })),
    ...frames.value.members.map(({ id, name }) => ({ label: `Member: ${name}`, pick: memberThing(id) })),
    ...frames.value.girders.map(({ id, name }) => ({ label: `Girder: ${name}`, pick: girderThing(id) })),
  ],
  settings: ({ frames }) => [
    ...(frames.frames.length > 0
      ? [
          ...Object.values(SHAPE_LABELS).map((label) => ({ label, section: SHAPE_SECTION })),
          { label: WHOLE_PART, section: EDGE_SECTION },
        ]
      : []),
    ...[...Object.values(KEPT_LABELS), RELIEF].map((label) => ({ label, section: KEPT_SECTION })),
    { label: PLANKED_PANEL, section: PLANKED_SECTION },
    ...[...Object.values(SCREW_LABELS), SCREW_USE].map((label) => ({ label, section: SCREWS_SECTION })),
    { label: BEVEL_STEP, section: BEVELS_SECTION },
  ],
  steps: ({ derived: { derived } }) => (derived ? placedIn(derived.frames.value) : []).map(({ id }) => frameThing(id)),
  pickAt: ({ part }) =>
    part && (frameOfThing(part) ?? memberOfThing(part) ?? girderOfThing(part)) !== undefined ? part : undefined,
  tape: (derived, picked) => {
    const frame = derived.frames.value.frames.find(({ id }) => id === frameOfThing(picked));
    return (
      frame &&
      layTape(
        `${frame.name}, from the centreline round to the sheer`,
        frame.outline.map((p) => placeInBoat(frame, p)),
        [],
      )
    );
  },
  hasTape: true,
  waitsFor: waitsForLines,
  status: ({ derived }) => plural(placedIn(derived.frames.value).length, 'frame'),
  drawingsOf: [framesStage.name],
};

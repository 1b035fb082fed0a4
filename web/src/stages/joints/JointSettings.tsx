import Box from '@mui/material/Box';
import { FASTENING_NAMES } from '@kalotrope/core/frames';
import { sizesOfJoint, strapScrews } from '@kalotrope/core/joints';
import { formatThickness, formatWithUnit } from '@kalotrope/core/measure';
import { edited } from '../../state/document-slice';
import { LengthField } from '../../controls/LengthField';
import { NumberField } from '../../controls/NumberField';
import { SelectField } from '../../controls/SelectField';
import { Figure } from '../../controls/Figure';
import { selectDerived, selectNotation, selectProject } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { SHEET_KIND_NAMES } from './kind-names';
import { LENGTHS, type LengthKey } from './setting-labels';

const STRAP_NAMES = { plywood: 'Plywood, cut from the sheets', solid: 'Solid timber' } as const;

const WAY_NAMES = { pieces: 'Pieces, then joined', blank: 'Sheets joined, panel cut from them' } as const;
const FRAME_NAMES = { clear: 'Clear of frames', on: 'On a frame, where one is near' } as const;

/** Of the boat's joints; those of a kind that no joint has are not shown. */
export function JointSettings() {
  const project = useAppSelector(selectProject);
  const derived = useAppSelector(selectDerived);
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  if (!project) return null;
  const { joints, panels } = project;
  const kinds = new Set([joints.kind, ...joints.own.map(({ kind }) => kind)]);
  const set = (key: string, label: string) => (value: string | number | boolean) =>
    dispatch(edited({ label, edits: [{ path: ['joints', key], value }] }));
  const length = (key: LengthKey) => (
    <LengthField
      key={key}
      label={LENGTHS[key]}
      mm={joints[key]}
      onCommit={set(key, LENGTHS[key])}
      path={['joints', key]}
    />
  );
  const rows = derived
    ? strapScrews(derived.joints.value, {
        ...{ thickness: panels.thickness, part: joints, screws: project.frames.screws },
      })
    : [];
  const { lap, width } = sizesOfJoint(joints.kind, joints, panels.thickness);
  const shown = (mm: number) => formatWithUnit(mm, notation);
  return (
    <Box sx={{ display: 'grid', gap: 1.25, mt: 1.5 }}>
      <SelectField label="Joined by" value={joints.kind} names={SHEET_KIND_NAMES} onChange={set('kind', 'Joined by')} />
      {kinds.has('scarf') && (
        <NumberField
          label="Scarf, times the thickness"
          value={joints.scarfRatio}
          onCommit={set('scarfRatio', 'Scarf ratio')}
          path={['joints', 'scarfRatio']}
        />
      )}
      {kinds.has('strap') && (
        <>
          <NumberField
            label="Strap, times the thickness"
            value={joints.strapRatio}
            onCommit={set('strapRatio', 'Strap’s width')}
            path={['joints', 'strapRatio']}
          />
          <SelectField
            label="Straps of"
            value={joints.strapIsSolid ? 'solid' : 'plywood'}
            names={STRAP_NAMES}
            onChange={(of) => set('strapIsSolid', 'Straps of')(of === 'solid')}
          />
          <SelectField
            label="Screws into straps"
            value={joints.strapUse}
            names={FASTENING_NAMES}
            onChange={set('strapUse', 'Screws into straps')}
          />
          {length('strapShort')}
        </>
      )}
      {kinds.has('tongues') && (['tongue', 'cutterRadius', 'fit'] as const).map(length)}
      {kinds.has('bought') && length('boughtLoss')}
      <SelectField
        label="What is cut first"
        value={joints.way}
        names={WAY_NAMES}
        onChange={set('way', 'Way of joining')}
      />
      <SelectField
        label="Joints and frames"
        value={joints.toFrames}
        names={FRAME_NAMES}
        onChange={set('toFrames', 'Joints and frames')}
      />
      {joints.toFrames === 'clear' && length('clearOfFrames')}
      {length('stagger')}
      <Figure
        name="Lost of the sheets’ length"
        value={`${shown(lap)} a joint`}
        why={`In ${formatThickness(panels.thickness, notation)}: of n sheets n − 1 joints are lost`}
      />
      {width !== lap && <Figure name="Width of a strap" value={shown(width)} />}
      {rows.length > 0 && (
        <Figure
          name="Screws into straps, in all"
          value={`${rows.reduce((sum, { count }) => sum + count, 0)}, at most ${shown(rows[0]?.lengthMm ?? 0)}`}
          why="Spaced as those of the frames, a row in the middle of either half"
        />
      )}
    </Box>
  );
}

import { useTheme } from '@mui/material/styles';
import { pathOf } from '../../../drawing/DrawingSurface';

type Props = {
  readonly rings: readonly (readonly (readonly [number, number])[])[];
  readonly name: string;
  readonly px: number;
  readonly isPicked: boolean;
  readonly onPick: () => void;
};

/** A person in a drawing: in one quiet tone, so that what stands behind is seen; outlined where it is picked. */
export function PersonShape({ rings, name, px, isPicked, onPick }: Props) {
  const { palette } = useTheme();
  return (
    <g
      opacity={0.55}
      fill={palette.text.secondary}
      stroke={isPicked ? palette.secondary.main : palette.background.paper}
      strokeWidth={(isPicked ? 2 : 1) * px}
      onClick={onPick}
      data-person={name}
      style={{ cursor: 'pointer' }}
    >
      <title>{name}</title>
      {rings.map((ring, i) => (
        <path key={i} d={`${pathOf(ring)}Z`} />
      ))}
    </g>
  );
}

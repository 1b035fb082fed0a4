import { useTheme } from '@mui/material/styles';
import { lineOf, acrossInView, combOf, toothPlace, type Hull, type HullLine } from '@kalotrope/core/lines';
import { selectPicked } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { pathOf } from '../../drawing/DrawingSurface';
import { drawnLines, type View } from './views';

type Props = { readonly view: View; readonly hull: Hull; readonly kind: 'seen' | 'true'; readonly px: number };

/** The longest tooth, as a share of the view's size. */
const LONGEST = 0.09;

/** A comb on the picked line, or on all of them: a tooth is the longer the sharper the line bends there. */
export function Combs({ view, hull, kind, px }: Props) {
  const choice = useAppSelector(selectPicked);
  const { palette } = useTheme();
  const own = lineOf(choice);
  const all = drawnLines(hull);
  const lines = all.some(({ id }) => id === own) ? all.filter(({ id }) => id === own) : all;
  const seen = view.axis === 1 ? 'plan' : 'profile';
  const combs = lines.map((line) => ({ line, teeth: combOf(line, kind === 'true' ? 'true' : seen) }));
  const sharpest = Math.max(1e-9, ...combs.flatMap(({ teeth }) => teeth.map((t) => Math.abs(t.curvature))));
  const size = Math.max(view.drawnX(hull.toX) - view.drawnX(hull.fromX), view.high - view.low);
  const scale = (LONGEST * size) / sharpest;
  return combs.map(({ line, teeth }) => {
    const ends = teeth.map(({ position, curvature }, i) => {
      const foot = [view.drawnX(position[0]), view.zero + position[view.axis]] as const;
      const [ax, ay] = across(line, toothPlace(i), view);
      // teeth stand on the outside of the bend
      return { foot, tip: [foot[0] - ax * curvature * scale, foot[1] - ay * curvature * scale] as const };
    });
    return (
      <g key={line.id} stroke={palette.info.main} strokeWidth={0.8 * px} pointerEvents="none" opacity={0.85}>
        {ends.map(({ foot, tip }, i) => (
          <path key={i} d={pathOf([foot, tip])} />
        ))}
        <path d={pathOf(ends.map(({ tip }) => tip))} />
      </g>
    );
  });
}

/** Square to the line as it is drawn: the length may be squeezed. */
function across(line: HullLine, t: number, view: View): readonly [number, number] {
  const [ax, ay] = acrossInView(line, t, view.axis);
  const squeeze = view.drawnX(1) - view.drawnX(0);
  const size = Math.hypot(ax, ay * squeeze) || 1;
  return [ax / size, (ay * squeeze) / size];
}

/** Where on the part one is: its outline, what of it is spoken of, and the places of the step as crosses. */
import { boundsOf, type Vec2 } from '@kalotrope/core/geometry';
import { pathOf } from '../../drawing/DrawingSurface';

/** Round the outline, and half of a cross, as shares of its size. */
const ROUND = 0.06;
const CROSS = 0.03;

type Props = {
  readonly outline: readonly Vec2[];
  readonly shape: readonly Vec2[] | undefined;
  readonly places: readonly Vec2[];
};

export function StepPicture({ outline, shape, places }: Props) {
  const box = boundsOf([...outline, ...places]);
  const size = Math.max(box.maxX - box.minX, box.maxY - box.minY);
  const [round, half] = [size * ROUND, size * CROSS];
  const view = [box.minX - round, -box.maxY - round, box.maxX - box.minX + 2 * round, box.maxY - box.minY + 2 * round];
  return (
    <svg className="shop-picture" viewBox={view.join(' ')} aria-hidden>
      <path className="of" d={pathOf(outline, true)} />
      {shape && <path className="shape" d={pathOf(shape, true)} />}
      {places.length > 2 ? (
        <path className="at" d={pathOf(places, false)} />
      ) : (
        places.map(([x, y], i) => (
          <path key={i} className="at" d={`M${x - half} ${-y}H${x + half}M${x} ${-y - half}V${-y + half}`} />
        ))
      )}
    </svg>
  );
}

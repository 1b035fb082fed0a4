/** The places along a frame's edges at which their bevels are told: the ends of each and three between. */
import { at, boundsOf } from '../geometry';
import { OVER_TOP_MM } from './drawings';
import type { Frame } from './frame';

const SHARES = [0, 0.25, 0.5, 0.75, 1];

export const edgePlaces = ({ edges, cut }: Frame) =>
  edges.flatMap(({ panelName, points }) =>
    SHARES.flatMap((share) => {
      const place = at(points, Math.round(share * (points.length - 1)));
      // of a part that ends lower than the sheer not what lies over it
      return place.z > boundsOf(cut.outline).maxY + OVER_TOP_MM ? [] : [{ ...place, panelName, share }];
    }),
  );

/**
 * Labels that would lie on one another, moved apart as little as may be.
 *
 * Method: with their widths taken off step by step the wanted places must not fall; the nearest such row by least
 * squares is found by pooling neighbours that fall (isotonic regression; Barlow and others 1972).
 */
export function spread(places: readonly number[], widths: number | readonly number[]): number[] {
  const order = places.map((_, i) => i).sort((a, b) => (places[a] ?? 0) - (places[b] ?? 0));
  const half = (i: number) => (typeof widths === 'number' ? widths : (widths[i] ?? 0)) / 2;
  // how far each lies from the first when all touch
  const steps: number[] = [];
  order.forEach((i, rank) =>
    steps.push(rank === 0 ? 0 : (steps[rank - 1] ?? 0) + half(order[rank - 1] ?? 0) + half(i)),
  );
  const pools: { sum: number; count: number }[] = [];
  order.forEach((i, rank) => {
    pools.push({ sum: (places[i] ?? 0) - (steps[rank] ?? 0), count: 1 });
    for (;;) {
      const [before, last] = pools.slice(-2);
      if (!before || !last || before.sum / before.count <= last.sum / last.count) break;
      pools.splice(-2, 2, { sum: before.sum + last.sum, count: before.count + last.count });
    }
  });
  const level = pools.flatMap(({ sum, count }) => new Array<number>(count).fill(sum / count));
  const moved = [...places];
  order.forEach((i, rank) => (moved[i] = (level[rank] ?? 0) + (steps[rank] ?? 0)));
  return moved;
}

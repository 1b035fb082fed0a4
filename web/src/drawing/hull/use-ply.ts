/**
 * What plywood is drawn with: with its grain at rest, without it while it moves.
 *
 * Both materials are kept as long as the thing is there: to let one go has its program forgotten, and made again when
 * it comes back, which without a graphics processor takes longer than many frames.
 */
import { useEffect, useLayoutEffect, useMemo } from 'react';
import { DoubleSide, FrontSide, MeshLambertMaterial, type MeshLambertMaterialParameters } from 'three';
import { invalidate } from '@react-three/fiber';
import { grain } from './grain';
import { useIsCoarse } from './quality';

type Ply = {
  /** Of the surface, or over its own colours. */
  readonly colour: string;
  readonly opacity: number;
  /** A sheet: its points have colours, and it is seen from both sides. */
  readonly isSheet: boolean;
  readonly hasGrain: boolean;
};

export function usePly({ colour, opacity, isSheet, hasGrain }: Ply): MeshLambertMaterial {
  const isCoarse = useIsCoarse();
  const { fine, plain } = useMemo(() => {
    // behind the lines that are drawn over it
    const common: MeshLambertMaterialParameters = {
      ...{ vertexColors: isSheet, side: isSheet ? DoubleSide : FrontSide },
      ...{ polygonOffset: true, polygonOffsetFactor: 1, polygonOffsetUnits: 1 },
    };
    return {
      fine: new MeshLambertMaterial({ ...common, map: grain() }),
      plain: new MeshLambertMaterial(common),
    };
  }, [isSheet]);
  useLayoutEffect(() => {
    for (const material of [fine, plain]) {
      material.color.set(colour);
      material.opacity = opacity;
      material.transparent = opacity < 1;
      material.depthWrite = opacity === 1;
    }
    invalidate();
  }, [fine, plain, colour, opacity]);
  useEffect(
    () => () => {
      fine.dispose();
      plain.dispose();
    },
    [fine, plain],
  );
  return hasGrain && !isCoarse ? fine : plain;
}

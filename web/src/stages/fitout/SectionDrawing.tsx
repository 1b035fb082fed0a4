/** The boat cut across where the builder asks: the skin, the parts there, the height of each and what lies between. */
import { useTheme } from '@mui/material/styles';
import { useMemo, type ReactNode } from 'react';
import { insideThing, personAcross, sectionOf, type InsideValue } from '@kalotrope/core/fitout';
import { formatWithUnit } from '@kalotrope/core/measure';
import { depthOfInside, type Panel } from '@kalotrope/core/panels';
import { boxAround, DrawingSurface, pathOf } from '../../drawing/DrawingSurface';
import { Dimension } from '../../drawing/Dimension';
import { GrainPattern, PlyShape } from '../../drawing/Ply';
import { PersonShape } from './people/PersonShape';
import { picked } from '../../state/screen-slice';
import { selectNotation, selectProject } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';

type Props = {
  readonly panels: readonly Panel[];
  readonly value: InsideValue;
  readonly x: number;
  /** The plan's id. */
  readonly picked: string | undefined;
  readonly corner: ReactNode;
};

/** Of the half-breadth: what lies further out is beside the skin. */
const BESIDE_SKIN = 0.7;
/** Dimensions of neighbouring heights stand so far apart. */
const BESIDE_PX = 26;

export function SectionDrawing({ panels, value, x, picked: own, corner }: Props) {
  const { palette } = useTheme();
  const dispatch = useAppDispatch();
  const notation = useAppSelector(selectNotation);
  const skin = useAppSelector(selectProject)?.panels;
  const section = useMemo(() => {
    const inside = skin ? depthOfInside(skin) : 0;
    return sectionOf({ panels, ...value }, x, { inside, outside: inside - (skin?.thickness ?? 0) });
  }, [panels, value, x, skin]);
  const box = boxAround([
    ...section.skin.flat(),
    ...section.parts.flatMap(({ outline }) => outline),
    ...value.people.flatMap((person) => personAcross(person, x).flat()),
  ]);
  const heights = [...new Map(section.parts.map((part) => [Math.round(part.topMm), part])).values()].sort(
    (a, b) => a.topMm - b.topMm,
  );
  const low = Math.min(...section.skin.flat().map((p) => p[1]));
  return (
    <DrawingSurface
      label={`Section at ${formatWithUnit(x, notation)}`}
      of={`section ${x}`}
      bounds={box}
      corner={corner}
    >
      {({ px }) => (
        <>
          <GrainPattern px={px} />
          <g fill="none">
            {section.skin.map((line, i) => (
              <path key={i} d={pathOf(line)} stroke={palette.text.primary} strokeWidth={1.2 * px} />
            ))}
            {section.parts.map((part, i) => (
              <PlyShape
                key={i}
                outline={part.outline}
                px={px}
                label={part.name}
                isPicked={part.plan === own}
                onPick={() => dispatch(picked(insideThing(part.plan)))}
              />
            ))}
            {value.people.map((person) => (
              <PersonShape
                key={person.plan}
                rings={personAcross(person, x)}
                name={person.name}
                px={px}
                isPicked={person.plan === own}
                onPick={() => dispatch(picked(insideThing(person.plan)))}
              />
            ))}
            {heights.map(({ topMm }, i) => {
              const from = i === 0 ? low : (heights[i - 1]?.topMm ?? low);
              const at = box.maxX + BESIDE_PX * px;
              return (
                <Dimension
                  key={topMm}
                  from={[at, from]}
                  to={[at, topMm]}
                  text={formatWithUnit(topMm - from, notation)}
                  px={px}
                />
              );
            })}
          </g>
          {heights.map(({ topMm, name, at }) => (
            <text
              key={name}
              x={at[0]}
              y={-topMm - 6 * px}
              fontSize={13 * px}
              // beside the skin its words run into the boat
              textAnchor={Math.abs(at[0]) < BESIDE_SKIN * box.maxX ? 'middle' : at[0] < 0 ? 'start' : 'end'}
              fill={palette.text.primary}
            >
              {name}: {formatWithUnit(topMm, notation)} up
            </text>
          ))}
        </>
      )}
    </DrawingSurface>
  );
}

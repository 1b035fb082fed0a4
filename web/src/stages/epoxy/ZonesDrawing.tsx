/**
 * Where tape and cloth lie on the flat panels, before they are put together: each panel in its true shape, its tapes as
 * wide as they lie on it, cloth hatched, and what is glued to it. A seam is picked by a press.
 */
import { useTheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useId, useMemo } from 'react';
import { gluedAreas, seamOfThing, seamThing, zonesOn, type Takeoff } from '@kalotrope/core/epoxy';
import type { Project } from '@kalotrope/core/project';
import { COLOURS } from '../../drawing/colours';
import { pathOf } from '../../drawing/DrawingSurface';
import { longest, stack, wholeBox } from '../../drawing/shelves';
import { picked } from '../../state/screen-slice';
import { selectDerived, selectPicked } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';

type Props = { readonly takeoff: Takeoff; readonly project: Project };

const MARGIN = 0.02;
const BETWEEN = 0.05;

export function ZonesDrawing({ takeoff, project: { epoxy, panels: part } }: Props) {
  const c = COLOURS[useTheme().palette.mode];
  const dispatch = useAppDispatch();
  const hatch = useId();
  const isWide = useMediaQuery(useTheme().breakpoints.up('md'));
  const choice = seamOfThing(useAppSelector(selectPicked));
  const panels = useAppSelector((state) => selectDerived(state)?.panels.value.panels);
  const frames = useAppSelector((state) => selectDerived(state)?.frames.value);
  const zoned = useMemo(
    () =>
      (panels ?? []).map((panel) => ({
        panel,
        zones: zonesOn(panel, takeoff.seams, epoxy, part.thickness),
        glued: frames ? gluedAreas(panel, frames) : [],
      })),
    [panels, frames, takeoff.seams, epoxy, part.thickness],
  );
  if (!panels || panels.length === 0) return null;
  const long = longest(panels);
  const shelves = stack(panels, BETWEEN * long);
  const { minX, maxX, minY, maxY } = wholeBox(shelves);
  const margin = MARGIN * long;
  const box = [minX - margin, -maxY - margin, maxX - minX + 2 * margin, maxY - minY + 2 * margin];
  const letters = long / (isWide ? 55 : 26);
  const isGlued = zoned.some(({ glued }) => glued.length > 0);
  return (
    <>
      <svg
        viewBox={box.map((n) => n.toFixed(1)).join(' ')}
        width="100%"
        style={{ maxHeight: 420, display: 'block' }}
        role="group"
        aria-label="Tape and cloth on the flat panels"
      >
        <defs>
          <pattern
            id={hatch}
            width={long / 80}
            height={long / 80}
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <path d={`M0 0V${long / 80}`} stroke={c.quiet} strokeWidth={long / 600} />
          </pattern>
        </defs>
        {shelves.map(({ item: panel, dx, dy, box: at }) => {
          const outline = pathOf(panel.outline, true);
          const isUnderCloth = takeoff.sheathed.includes(panel.id);
          const { zones = [], glued = [] } = zoned.find((one) => one.panel === panel) ?? {};
          return (
            <g key={panel.id} transform={`translate(${dx} ${-dy})`}>
              <clipPath id={`${hatch}-${panel.id}`}>
                <path d={outline} />
              </clipPath>
              <path d={outline} fill={c.ply} />
              {isUnderCloth && <path d={outline} fill={`url(#${hatch})`} />}
              <g clipPath={`url(#${hatch}-${panel.id})`}>
                {zones.map(({ seam, name, line, widthMm }, i) => (
                  <path
                    key={i}
                    role="button"
                    aria-label={`${name}, on ${panel.name}`}
                    aria-pressed={seam === choice}
                    d={pathOf(line, false)}
                    fill="none"
                    stroke={seam === choice ? c.picked : c.main}
                    strokeOpacity={0.4}
                    strokeWidth={widthMm}
                    style={{ cursor: 'pointer' }}
                    onClick={() => dispatch(picked(seamThing(seam)))}
                  >
                    <title>{name}</title>
                  </path>
                ))}
              </g>
              {glued.map(({ name, outline: area }, i) => (
                <path
                  key={i}
                  d={pathOf(area, true)}
                  fill={c.ink}
                  fillOpacity={0.18}
                  stroke={c.ink}
                  strokeWidth={long / 1400}
                  pointerEvents="none"
                >
                  <title>{`${name}, glued`}</title>
                </path>
              ))}
              <path d={outline} fill="none" stroke={c.ink} strokeWidth={long / 700} />
              <text
                x={at.minX - dx + (at.maxX - at.minX) / 2}
                y={dy - (at.minY + at.maxY) / 2}
                fontSize={letters}
                fill={c.ink}
                textAnchor="middle"
                stroke={c.ply}
                strokeWidth={letters / 4}
                paintOrder="stroke"
              >
                {panel.name}
                {isUnderCloth ? ', cloth outside' : ''}
              </text>
            </g>
          );
        })}
      </svg>
      <p className="quiet" style={{ padding: '0 8px' }}>
        Green: tape, on both sides of its seam.{isGlued && ' Grey: glued; it stays bare when the panel is sealed flat.'}
      </p>
    </>
  );
}

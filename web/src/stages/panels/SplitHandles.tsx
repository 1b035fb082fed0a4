import { useTheme } from '@mui/material/styles';
import { useState } from 'react';
import { splitShareAt, type Panel, type PanelSplit } from '@kalotrope/core/panels';
import { edited } from '../../state/document-slice';
import { selectProject } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { pathOf } from '../../drawing/DrawingSurface';

const PLACES = [
  { key: 'fore', along: 0 },
  { key: 'middle', along: 0.5 },
  { key: 'aft', along: 1 },
] as const;
type Key = (typeof PLACES)[number]['key'];

/** Of a panel cut in two, on its lower part: three handles by which the line is drawn anew. */
export function SplitHandles({ panel, px }: { readonly panel: Panel; readonly px: number }) {
  const { palette } = useTheme();
  const dispatch = useAppDispatch();
  const splits = useAppSelector(selectProject)?.panels.splits ?? [];
  const split = splits.find(({ id }) => id === panel.partOf?.id);
  const [drawn, setDrawn] = useState<{ readonly key: Key; readonly split: PanelSplit } | null>(null);
  if (!split) return null;
  const shown = drawn?.split ?? split;
  // the part's own upper edge is the line as it was cut, by its t; a new one lies further along each ruling. The lower
  // edge may stand back from its line, so the ruling's own length counts and not the flat part's
  const rulingAt = (along: number) => {
    const r = panel.rulings.find(({ t }) => t >= along) ?? panel.rulings[panel.rulings.length - 1];
    if (!r) return undefined;
    const [du, dv] = [r.flatQ[0] - r.flatP[0], r.flatQ[1] - r.flatP[1]];
    const flatLength = Math.hypot(du, dv) || 1;
    const length = Math.hypot(r.q[0] - r.p[0], r.q[1] - r.p[1], r.q[2] - r.p[2]) || 1;
    return { end: r.flatQ, du: du / flatLength, dv: dv / flatLength, length };
  };
  const place = (along: number) => {
    const r = rulingAt(along);
    if (!r) return [0, 0] as const;
    const further = (splitShareAt(shown, along) / splitShareAt(split, along) - 1) * r.length;
    return [r.end[0] + further * r.du, r.end[1] + further * r.dv] as const;
  };
  const drag = (key: Key, along: number, event: React.PointerEvent<SVGCircleElement>) => {
    const matrix =
      // a circle's parent is its group
      event.currentTarget.ownerSVGElement && (event.currentTarget.parentNode as SVGGElement).getScreenCTM();
    const r = rulingAt(along);
    if (!matrix || !r) return;
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    const further = (at.x - r.end[0]) * r.du + (-at.y - r.end[1]) * r.dv;
    const share = Math.min(0.95, Math.max(0.05, (1 + further / r.length) * splitShareAt(split, along)));
    setDrawn({ key, split: { ...split, [key]: Number(share.toFixed(3)) } });
  };
  const drop = () => {
    if (!drawn) return;
    const edits = [{ path: ['panels', 'splits', split.id, drawn.key], value: drawn.split[drawn.key] }];
    dispatch(edited({ label: 'Line of the cut', edits }));
    setDrawn(null);
  };
  const line = Array.from({ length: 41 }, (_, i) => place(i / 40));
  return (
    <g>
      <path
        d={pathOf(line)}
        stroke={palette.secondary.main}
        strokeWidth={1.6 * px}
        strokeDasharray={drawn ? `${7 * px} ${4 * px}` : undefined}
        pointerEvents="none"
      />
      {PLACES.map(({ key, along }) => (
        <circle
          key={key}
          data-cut-handle={key}
          cx={place(along)[0]}
          cy={-place(along)[1]}
          r={7 * px}
          fill={palette.background.paper}
          stroke={palette.secondary.main}
          strokeWidth={2 * px}
          style={{ cursor: 'ns-resize', touchAction: 'none' }}
          onPointerDown={(event) => {
            event.stopPropagation();
            event.currentTarget.setPointerCapture(event.pointerId);
            drag(key, along, event);
          }}
          onPointerMove={(event) => drawn?.key === key && drag(key, along, event)}
          onPointerUp={drop}
          onPointerCancel={() => setDrawn(null)}
        />
      ))}
    </g>
  );
}

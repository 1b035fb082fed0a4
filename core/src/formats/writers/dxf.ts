/** Writes a drawing as DXF in millimetres: a layer each for what is cut, marked and read. */
import { DxfWriter, LWPolylineFlags, Units } from '@tarikjabiri/dxf';
import { plainText } from '../../measure';
import { inFiles, type Drawing, type Layer } from '../drawing';

/** Palette numbers of the format: any viewer tells the three apart, on light and dark. */
const COLOURS: Readonly<Record<Layer, number>> = { cut: 1, mark: 5, text: 8 };
const NAMES: Readonly<Record<Layer, string>> = { cut: 'CUT', mark: 'MARK', text: 'TEXT' };

export function writeDxf(whole: Drawing): string {
  const drawing = inFiles(whole);
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  for (const layer of ['cut', 'mark', 'text'] as const) dxf.addLayer(NAMES[layer], COLOURS[layer]);
  const own = new Set([...drawing.paths, ...drawing.texts].flatMap(({ layerName }) => layerName ?? []));
  for (const name of own) dxf.addLayer(name, COLOURS.mark);
  for (const { layer, layerName, points, isClosed, circle } of drawing.paths) {
    if (circle) {
      const [x, y] = circle.at;
      dxf.addCircle({ x, y, z: 0 }, circle.radius, { layerName: layerName ?? NAMES[layer] });
      continue;
    }
    const vertices = points.map(([x, y]) => ({ point: { x, y } }));
    dxf.addLWPolyline(vertices, {
      layerName: layerName ?? NAMES[layer],
      flags: isClosed ? LWPolylineFlags.Closed : LWPolylineFlags.None,
    });
  }
  for (const {
    at: [x, y],
    heightMm,
    text,
    layerName,
  } of drawing.texts)
    dxf.addText({ x, y, z: 0 }, heightMm, plainText(text), { layerName: layerName ?? NAMES.text });
  return dxf.stringify();
}

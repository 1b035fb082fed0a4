/**
 * The panels of a hull: developed on the lines' own surface, and cut as the skin's thickness and its corners ask.
 *
 * The one assembly, for the application, the batch command and the tests. What is made for one panel is remembered by
 * what it is made from, so that an edit of one line leaves the other panels alone.
 */
import type { Hull } from '../lines';
import { asItIs, makeAnew, type Remember } from '../stage';
import { SHEET_SIZE } from './constants';
import { cutPanel, type Skin } from './cut/cut';
import { cutLayers, layeredOf, layersOf } from './cut/layers';
import { depthOfInside, inOwnSheet, insideOf, outsideOf } from './cut/own-sheet';
import { proudOf, proudPanel, proudTransom } from './cut/proud';
import { judgeRounding, roundedStrip, type RoundedStrip, type StripSheet } from './cut/rounding';
import { splitPanel } from './cut/split';
import type { PanelsFinding, PanelsResult } from './findings';
import { panelIdOf, panelInputs } from './inputs';
import { judgePanel, notMade } from './judge';
import { sharedStretches } from './neighbours';
import { developPanel, type Panel } from './panel';
import type { PanelSplit, PanelsPart, RoundedChine } from './schema';
import { endOnCylinder, type TransomCylinder } from './transom/curved-transom';
import { roundTransom } from './transom/round-transom';
import { cylinderFor, findTransoms, transomEnds, type Transom } from './transom/transom';
import type { TransomSheet } from './transom/transom-fit';

export type DevelopSettings = Pick<PanelsPart, 'thickness'> &
  Partial<Pick<PanelsPart, 'splits' | 'layered' | 'ownThickness' | 'linesTo'>> &
  Partial<Pick<PanelsPart, 'transomRadius' | 'transomThickness' | 'transomFit' | 'transomEnds'>>;

/**
 * The panels of one side on the surface of the lines, lowest first, cut in two where they are split and run on to a
 * transom that is bent. Lengths mm. Never throws on a fair or unfair hull: it says so in findings.
 */
export function developPanels(
  hull: Hull,
  settings: DevelopSettings,
  remember: Remember = makeAnew,
): PanelsResult<readonly Panel[]> & { readonly cylinder: TransomCylinder | undefined } {
  const { thickness, splits = [], layered = [], transomRadius = null, transomThickness = thickness } = settings;
  const { linesTo = 'outside', ownThickness = [] } = settings;
  const bend =
    transomRadius === null ? undefined : cylinderFor(hull, { radius: transomRadius, thickness: transomThickness });
  const panels: Panel[] = [];
  const findings: PanelsFinding[] = [];
  const { transomFit: fit = 'caps', transomEnds: lineEnds = 'inner' } = settings;
  const ends = transomEnds(hull, { fit, ends: lineEnds, thickness: transomThickness }, bend?.cylinder !== undefined);
  for (const input of panelInputs(hull, ends)) {
    const id = panelIdOf(input);
    const panel = remember(`panel ${id}`, developPanel, input);
    if ('reason' in panel) {
      findings.push(notMade(input, panel.reason));
      continue;
    }
    const split = splits.find((other) => other.id === id);
    const parts = remember(`parts ${id}`, partsOf, panel, split, bend?.cylinder).map((part) =>
      inOwnSheet(part, { thickness, linesTo, ownThickness }, remember),
    );
    panels.push(...parts);
    findings.push(...parts.flatMap((part) => judgePanel(part, input, { thickness, layered })));
  }
  return { value: panels, findings: [...findings, ...(bend?.findings ?? [])], assumed: [], cylinder: bend?.cylinder };
}

const partsOf = (
  panel: Panel,
  split: PanelSplit | undefined,
  cylinder: TransomCylinder | undefined,
): readonly Panel[] => splitPanel(cylinder ? endOnCylinder(panel, cylinder) : panel, split);

/** A sheet as it is in stock, mm. */
export type SheetInStock = {
  readonly width: number;
  readonly height: number;
  readonly thickness: number;
  readonly qty: number;
};

/** What is in stock, as far as the strips of rounded chines need it. */
export type StockForStrips = { readonly stock: readonly SheetInStock[]; readonly gap: number };

/** What is cut of a hull's skin, and what it lies against at the ends. */
export type PanelsValue = {
  readonly panels: readonly Panel[];
  readonly transoms: readonly Transom[];
  /** Of the rounded chines. */
  readonly strips: readonly RoundedStrip[];
};

export type SkinSettings = DevelopSettings &
  Skin &
  Pick<PanelsPart, 'roundedChines' | 'transomFit' | 'transomEnds' | 'transomThickness'> &
  Pick<PanelsPart, 'proud' | 'ownProud' | 'transomProud'> & {
    /** Kept clear all round a transom between the panels; null where its edges are bevelled to fit. */
    readonly transomGap: number | null;
    /** How far off the centreline the keel of a boat may stand whose sides differ, mm; absent: on it. */
    readonly keelWithinMm?: number;
  };

/** Everything of the skin as it is cut: panels set back, transoms rounded, strips for rounded chines. */
export function assembleSkin(
  hull: Hull,
  part: SkinSettings,
  stock: StockForStrips,
  remember: Remember = makeAnew,
): PanelsResult<PanelsValue> {
  const { value: panels, findings: ofPanels, cylinder } = developPanels(hull, part, remember);
  const { thickness, linesTo, meeting, roundedChines, outsideLogs } = part;
  const skin: Skin = { thickness, linesTo, meeting, roundedChines, ...(outsideLogs && { outsideLogs }) };
  const shared = sharedStretches(panels, part.keelWithinMm);
  const cut = panels.map((panel) => {
    const own = shared.filter(({ above, below }) => above.panel === panel || below?.panel === panel);
    const net = remember(`cut ${panel.id}`, cutPanel, panel, own, skin);
    const { lower, upper, fore, aft } = proudOf(panel.id, part);
    const whole = remember(`proud ${panel.id}`, proudPanel, net, lower, upper, fore, aft);
    const count = layersOf(panel.id, part.layered ?? []);
    if (count === 1) return whole;
    const layers = remember(`layers ${panel.id}`, cutLayers, panel, own, skin, count);
    const proud = layers.map((layer, k) =>
      remember(`proud ${panel.id} layer ${k + 1}`, proudPanel, layer, lower, upper, fore, aft),
    );
    return remember(`layered ${panel.id}`, layeredOf, whole, ...proud);
  });
  const rounded = roundedChines.map((chine) => {
    const strip = remember(`strip ${chine.id}`, roundedStrip, panels, chine, skin, sheetForStrip(chine, stock));
    const name = hull.lines.find(({ id }) => id === chine.id)?.name ?? chine.id;
    return { strip, findings: judgeRounding(panels, { chine, name: name.toLowerCase(), strip }) };
  });
  const strips = rounded.flatMap(({ strip }) => strip ?? []);
  const ends = findTransoms(hull, { sheet: transomSheet(part), panels, bend: cylinder && { cylinder, panels } });
  const { skin: alongSkin, top } = part.transomProud;
  const transoms = ends.transoms.map((transom) =>
    remember(
      `transom ${transom.id}`,
      asItIs<Transom>,
      proudTransom(roundTransom(transom, hull, strips), alongSkin, top),
    ),
  );
  return {
    value: { panels: cut, transoms, strips },
    findings: [...ofPanels, ...rounded.flatMap(({ findings }) => findings), ...ends.findings],
    assumed: [],
  };
}

function transomSheet(part: SkinSettings): TransomSheet {
  const [under, over] = [depthOfInside(part), part.thickness - depthOfInside(part)];
  return {
    fit: part.transomFit,
    ends: part.transomEnds,
    thickness: part.transomThickness,
    skinUnder: (panel) => (panel ? insideOf(panel, under) : under),
    skinOver: (panel) => (panel ? outsideOf(panel, over) : over),
    gap: part.transomGap,
  };
}

/** What the strip of a rounded chine is cut from: a sheet of its layers' thickness in stock, or the usual size. */
function sheetForStrip(chine: RoundedChine, { stock, gap }: StockForStrips): StripSheet {
  const sheet = stock.find(({ thickness, qty }) => thickness === chine.layerThickness && qty > 0) ?? SHEET_SIZE.value;
  return { length: sheet.width, width: sheet.height, kerf: gap };
}

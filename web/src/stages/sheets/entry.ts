/** Sheets, as the bench shows it. */
import { lazy } from 'react';
import { formatShare } from '@kalotrope/core/measure';
import { laidBatches, materialWords, piecesOf, pieceThing, sheetsStage, sheetThing } from '@kalotrope/core/sheets';
import { plural } from '../../controls/words';
import { selectPanelSteps } from '../../state/selectors';
import type { StageEntry } from '../../state/stage-entry';
import { waitsForLines } from '../../state/waits';
import { stockLabel } from './stock-label';

export const sheetsEntry: StageEntry = {
  stage: sheetsStage.name,
  title: sheetsStage.title,
  question: 'How many sheets, and what goes where?',
  Page: lazy(() => import('./SheetsPage')),
  things: ({ derived, found, notation }) => {
    const { parts, batches } = derived.sheets.value;
    const sheets = laidBatches(batches, found.sheets ?? []).flatMap(({ batch, result }) =>
      (result?.sheets ?? []).map(() => materialWords(batch, notation)),
    );
    return [
      ...sheets.map((thickness, i) => ({ label: `Sheet ${i + 1}: ${thickness}`, pick: sheetThing(i + 1) })),
      ...parts.flatMap(piecesOf).map(({ id, name }) => ({ label: `Part: ${name}`, pick: pieceThing(id) })),
    ];
  },
  settings: ({ sheets, notation }) => [
    ...[
      'Gap for the cut',
      'Margin at the edge',
      ...sheets.stock.flatMap((_, i) =>
        ['length', 'width', 'how many'].map((side) => `${stockLabel(sheets.stock, i, notation)}, ${side}`),
      ),
      ...['Pairs cut two at once', 'Skin is of', 'Transoms are of', 'Parts within are of'],
    ].map((label) => ({ label, section: 'Stock and spacing' })),
    ...['Machine’s cutter, radius', 'Feed, mm/min', 'Tabs on a part'].map((label) => ({
      label,
      section: 'Machine cutting',
    })),
  ],
  steps: selectPanelSteps,
  hasTape: false,
  waitsFor: waitsForLines,
  status: ({ derived, found, isSearching }) => {
    const laid = laidBatches(derived.sheets.value.batches, found.sheets ?? []);
    const made = laid.flatMap(({ result }) => result ?? []);
    if (made.length === 0) return isSearching ? 'laying out' : 'not laid out yet';
    const count = made.reduce((sum, result) => sum + result.sheetsUsed, 0);
    const density = made.reduce((sum, result) => sum + result.density * result.sheetsUsed, 0) / Math.max(1, count);
    return `${plural(count, 'sheet')}, ${formatShare(density)}`;
  },
  drawingsOf: [sheetsStage.name],
};

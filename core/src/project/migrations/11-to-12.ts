import type { Json, Migration } from './migration';

/**
 * Panels and transoms could be cut proud, blanks joined before panels are cut from them, joints put on frames. Sheets
 * came to be told apart by kind, with their price, what is there of them and what of them is spoiled; parts could be
 * scribed in place, and laid by hand. The saw got its limits.
 */
export const from11To12: Migration = (before) => {
  const sheets = before['sheets'] as Json | undefined;
  const stock = (sheets?.['stock'] ?? []) as readonly Json[];
  const plain = { kind: '', grade: '', onHand: 0, price: 0, isOffcut: false, outline: [], zones: [] };
  return {
    ...before,
    version: 12,
    joints: { ...(before['joints'] as Json | undefined), way: 'pieces', toFrames: 'clear' },
    panels: {
      ...(before['panels'] as Json | undefined),
      ...{ proud: { lower: 0, upper: 0, fore: 0, aft: 0 }, ownProud: [], transomProud: { skin: 0, top: 0 } },
    },
    timber: { ...(before['timber'] as Json | undefined), saw: { depth: 0, room: 0 } },
    sheets: {
      ...sheets,
      stock: stock.map((sheet) => ({ ...sheet, ...plain })),
      ...{ kinds: { skin: '', transoms: '', inside: '' }, scribed: [], laid: [] },
    },
  };
};

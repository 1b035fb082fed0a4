/** What can hurt whoever builds a boat, in few words; and what the book is not. */
export const CAUTIONS: readonly string[] = [
  'Epoxy sensitises skin and lungs: gloves, moving air. It is sanded when it is hard, with a dust respirator. ' +
    'A big pot can smoke and burn: mix small, and spread out what is left over.',
  'Long rips are made on a guided track, never freehand; a helper only carries. Eyes and ears are covered at every ' +
    'machine; its guard stays on.',
  'Dust, solvents and the rags that they were wiped up with burn: no flame near them, rags laid out flat in the open.',
  'A hull is turned over by enough people, with nothing loose in it and something soft to set it down on.',
  'The figures on a sheet hold, not what is measured off a drawing of it. Lay a rule on the check length first: ' +
    'a printer may have shrunk the sheet.',
  'Nothing is glued before it has stood clamped dry and has been measured.',
  'Stability, buoyancy, load, engine and what the law asks of them are for the local authority and a qualified ' +
    'designer. This book gives shapes and quantities; it approves of nothing.',
];

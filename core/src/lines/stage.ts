/** Lines: are the numbers fair? */
import { defineStage } from '../stage';
import * as constants from './constants';
import { linesDrawings, linesTables, type LinesWhole } from './drawings';
import { LINES_FINDINGS } from './findings';
import { followRunOuts } from './following';
import { drawLines } from './hull';
import { judgeTyping } from './judge-typing';
import { linesOf, linesSchema } from './schema';
import { linesSheets } from './sheets';
import { suspectsOf } from './slips';

export const linesStage = defineStage<{ whole: LinesWhole }>()({
  name: 'lines',
  title: 'Lines',
  schema: linesSchema,
  begin: () => linesOf([]),
  catalogue: LINES_FINDINGS,
  constants,
  // what is ticked off, lies under a view or bounds the fairing bends no batten
  run: ({ longitudinals, heightsFrom, stations, openCells, card }, _before, remember) => {
    const drawn = drawLines({ longitudinals, heightsFrom, card }, (line, quantity, writing) =>
      remember(`suspects ${line.id} ${quantity}`, suspectsOf, line, quantity, writing),
    );
    return judgeTyping(drawn, { longitudinals, stations, openCells });
  },
  follow: followRunOuts,
  drawings: linesDrawings,
  sheets: linesSheets,
  tables: linesTables,
});

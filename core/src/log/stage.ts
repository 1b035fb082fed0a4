/** Log: what did it take? */
import { defineStage } from '../stage';
import * as constants from './constants';
import { LOG_FINDINGS } from './findings';
import { gapLeft, judgeLog } from './judge';
import { NO_RECORDS } from './records';
import { logAtFirst, logSchema, type LogPart } from './schema';
import { logSheets, logTables, type LogWhole } from './tables';

export const logStage = defineStage<{ whole: LogWhole }>()({
  name: 'log',
  title: 'Log',
  schema: logSchema,
  begin: logAtFirst,
  catalogue: LOG_FINDINGS,
  constants,
  run: ({ budget }) => ({ value: { budget } satisfies LogPart, findings: [], assumed: [] }),
  records: NO_RECORDS,
  judgeFound: ({ project, values, found }) =>
    judgeLog({
      ...{ part: project.log, records: found.log ?? NO_RECORDS, plan: values.plan, own: project.plan },
      leastC: project.epoxy.resin.leastC,
      gapLeft: gapLeft(project),
    }),
  tables: logTables,
  sheets: logSheets,
});

/**
 * What cutting pairs two at once costs in sheets: `npx tsx bench/stacks.ts [ROUNDS]`, each demo's parts laid out freely
 * and in stacks of two.
 */
import { applyEdits, createDerive, DEMO_IDS, demoProject } from '@kalotrope/core/project';
import { faultsOf, materialWords, nest, stacksIn } from '@kalotrope/core/sheets';

const rounds = Number(process.argv[2] ?? 400);

for (const id of DEMO_IDS) {
  const made = applyEdits(demoProject(id, id), [{ path: ['sheets', 'stacked'], value: true }]);
  if (!made.ok) throw new Error(made.reason);
  for (const batch of createDerive()(made.project).sheets.value.batches) {
    const { couples, ...alone } = batch.job;
    if (!couples) continue;
    const [freely, stacked] = [alone, batch.job].map((job) => nest(job, { seed: 1, rounds }));
    if (!freely || !stacked) continue;
    const over = stacksIn(stacked.sheets, batch.job).filter((stack) => stack?.isOver).length;
    console.log(
      `${id}, ${materialWords(batch, 'mm')}: ${couples.length} pairs; ${freely.sheetsUsed} sheets freely, ` +
        `${stacked.sheetsUsed} with ${over} stacks of two; ${stacked.unplaced.length} left over, ` +
        `${faultsOf(batch.job, stacked).length} faults`,
    );
  }
}

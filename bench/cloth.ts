/**
 * Cloth off the roll for each demo boat, metres: by rule, widths side by side, and as it is laid out by ROUNDS rounds
 * of the layout search; sheathed up to the chine, and all over. `npx tsx bench/cloth.ts 200`
 */
import { clothMetres, clothToLay, epoxyStage, laidCloth } from '@kalotrope/core/epoxy';
import { createDerive, DEMO_IDS, demoProject, wholeOf } from '@kalotrope/core/project';

const rounds = Number(process.argv[2] ?? 200);
for (const id of DEMO_IDS)
  for (const sheathe of ['bottom', 'all'] as const) {
    const demo = demoProject(id, 'x');
    const project = { ...demo, epoxy: { ...demo.epoxy, sheathe } };
    const derived = createDerive()(project);
    const whole = wholeOf(project, derived, {});
    const byRule = derived.epoxy.value.glass.clothM;
    const laid = laidCloth(clothToLay(whole), epoxyStage.search?.(whole, rounds));
    console.log(`${id}, ${sheathe}: ${byRule.toFixed(2)} by rule, ${clothMetres(byRule, laid).toFixed(2)} laid out`);
  }

import { demoProject, createDerive } from '../core/src/project';
import { jigFor } from '../core/src/setup/jig';
import { standingsOf } from '../core/src/setup/standing';
for (const id of ['tamsel','orrin','ilven'] as const) {
const p = demoProject(id,'x'); const d = createDerive()(p);
const {fromX,toX}=d.lines.value; const f=d.frames.value;
const {heights,standings}=standingsOf(f.frames,{fromX,toX,part:p.setup});
for (let k=0;k<3;k++){ const t=performance.now(); const j=jigFor({frames:f.frames,members:f.members,girders:f.girders,panels:d.panels.value.panels,skin:p.panels,standings,heights,part:p.setup,fromX,toX}); const t2=performance.now();  console.log(id,(t2-t).toFixed(1)); }
}

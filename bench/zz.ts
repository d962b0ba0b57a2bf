import { createTestBench } from '../packages/server/test/support/createTestBench.ts';
import { chooseOpening, compareAlternatives, createPlanParts, explainJoints, listJoints } from '../packages/core/src/index.ts';
const bench = await createTestBench();
for (const id of ['00','01','02','03','04','05','06','07','08','09','10']) {
  const view: any = await bench.get('jobs/sg-'+id);
  for (const s of view.specimens) {
    const q = { scope: view.job.scope, decisions: Object.fromEntries(view.decisions.map((d:any)=>[d.school,d.option])), parts: createPlanParts(s), joints: listJoints(s.casting.joints, s.foundJoints, s.jointWishes, view.tasks.filter((t:any)=>t.specimenId===s.specimen.id)) };
    const c = chooseOpening(q);
    console.log('##', s.specimen.id, view.planNotices, c.plan.isProven, c.plan.price);
    for (const r of explainJoints(q,c)) console.log('  ', r.isOpened?'OPEN ':'closed', r.jointKey, r.isOpenAlready?'(already)':'', r.because, r.otherwiseMin?.toFixed(0));
    if (id!=='00') console.log('  ', compareAlternatives(q,c).map(a=>`${a.name}: ${a.jointCount}j ${a.minutes}min ${a.expectedDamages.toFixed(2)} mask ${a.maskingMin} =${a.price.toFixed(0)} keep ${a.keepOldPaint}`).join('\n    '));
  }
}
await bench.clear();

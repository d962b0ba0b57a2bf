/** `npm run bench`: measures every figure and prints it beside its goal. `-- --only PREFIX` runs a part, `-- --json FILE` writes it. */
import { writeFile } from 'node:fs/promises';
import { parseArgs } from 'node:util';
import { actsTopic } from './acts.ts';
import { apiTopic } from './api.ts';
import { archivePeak, archiveTopic } from './archive.ts';
import { assembly } from './assembly.ts';
import { colourCard } from './colour/card.ts';
import { colourMatch } from './colour/match.ts';
import { colourMix } from './colour/mix.ts';
import { decalPanel } from './decal/panel.ts';
import { decalPrint } from './decal/print.ts';
import { decalSheets } from './decal/sheets.ts';
import { decalWhite } from './decal/white.ts';
import { demo } from './demo.ts';
import { door } from './door.ts';
import { drawingTopic } from './drawing.ts';
import { describeGoal, isMet, type Figure } from './figure.ts';
import { bruteForce } from './identify/bruteForce.ts';
import { calibration } from './identify/calibration.ts';
import { policy } from './identify/policy.ts';
import { colourAnswers } from './identify/colour.ts';
import { sparse } from './identify/sparse.ts';
import { speed } from './identify/speed.ts';
import { filmDrying } from './film/drying.ts';
import { filmHiding } from './film/hiding.ts';
import { filmLearning } from './film/learning.ts';
import { filmOrder } from './film/order.ts';
import { filmSpeed } from './film/speed.ts';
import { filmVolume } from './film/volume.ts';
import { fitAssign } from './fit/assign.ts';
import { fitLengths } from './fit/lengths.ts';
import { fitMesh } from './fit/mesh.ts';
import { fitThreads } from './fit/threads.ts';
import { kitTopic } from './kit.ts';
import { machineTopic } from './machine.ts';
import { photo } from './photo.ts';
import { planTopic } from './plan.ts';
import { processTopic } from './process.ts';
import { recordTopic } from './record.ts';
import { replan } from './replan.ts';
import { schedule } from './schedule.ts';
import { stockLedgers } from './stock/ledgers.ts';
import { stockRead } from './stock/read.ts';
import { trustFullDisk } from './trust/fullDisk.ts';
import { trustFuzz } from './trust/fuzz.ts';
import { trustImport } from './trust/importStall.ts';
import { trustKill } from './trust/kill.ts';
import { trustPeak } from './trust/peak.ts';
import { trustRestore } from './trust/restore.ts';
import { trustSyncs } from './trust/syncs.ts';
import { web } from './web.ts';

const { values } = parseArgs({ options: { only: { type: 'string', default: '' }, json: { type: 'string' } } });
const topics = [
  machineTopic,
  bruteForce,
  calibration,
  sparse,
  colourAnswers,
  policy,
  speed,
  assembly,
  photo,
  processTopic,
  planTopic,
  colourMatch,
  colourMix,
  colourCard,
  drawingTopic,
  filmVolume,
  filmDrying,
  filmOrder,
  filmHiding,
  filmLearning,
  filmSpeed,
  fitLengths,
  fitThreads,
  fitAssign,
  fitMesh,
  decalSheets,
  decalWhite,
  decalPanel,
  decalPrint,
  schedule,
  replan,
  stockLedgers,
  stockRead,
  recordTopic,
  archiveTopic,
  archivePeak,
  demo,
  door,
  trustFullDisk,
  trustFuzz,
  trustRestore,
  trustImport,
  trustSyncs,
  trustPeak,
  trustKill,
  actsTopic,
  apiTopic,
  web,
  kitTopic,
].filter((topic) => topic.names.some((name) => name.startsWith(values.only)));
if (topics.length === 0) throw new Error(`No figure begins with "${values.only}".`);

const show = (value: number) => (value >= 100 ? value.toFixed(0) : value.toPrecision(3));
console.log(`${'figure'.padEnd(34)}${'value'.padStart(10)}  ${'unit'.padEnd(6)}${'goal'.padEnd(18)}met   yardstick`);
const figures: Figure[] = [];
for (const topic of topics)
  for (const figure of await topic.measure()) {
    if (!figure.name.startsWith(values.only)) continue;
    figures.push(figure);
    const met = !figure.goal ? '' : isMet(figure) ? 'yes' : 'MISSED';
    console.log(
      `${figure.name.padEnd(34)}${show(figure.value).padStart(10)}  ${figure.unit.padEnd(6)}${describeGoal(figure).padEnd(18)}${met.padEnd(6)}  ${figure.yardstick}`,
    );
  }
if (values.json) {
  const plain = figures.map((figure) => ({ ...figure, goal: describeGoal(figure) }));
  await writeFile(values.json, JSON.stringify(plain, null, 2) + '\n');
}

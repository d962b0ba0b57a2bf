/** `npm run bench`: measures every figure and prints it beside its goal. `-- --only PREFIX` runs a part, `-- --json FILE` writes it. */
import { writeFile } from 'node:fs/promises';
import { parseArgs } from 'node:util';
import { apiTopic } from './api.ts';
import { demo } from './demo.ts';
import { isMet, type Figure } from './figure.ts';
import { identify } from './identify.ts';
import { web } from './web.ts';

const { values } = parseArgs({ options: { only: { type: 'string', default: '' }, json: { type: 'string' } } });
const topics = [identify, demo, apiTopic, web].filter((topic) =>
  topic.names.some((name) => name.startsWith(values.only)),
);
if (topics.length === 0) throw new Error(`No figure begins with "${values.only}".`);

const figures: Figure[] = [];
for (const topic of topics)
  figures.push(...(await topic.measure()).filter((figure) => figure.name.startsWith(values.only)));

const show = (value: number) => (value >= 100 ? value.toFixed(0) : value.toPrecision(3));
console.log(`${'figure'.padEnd(24)}${'value'.padStart(10)}  ${'unit'.padEnd(6)}${'goal'.padEnd(18)}met   yardstick`);
for (const figure of figures) {
  const goal = `${figure.goal.kind} ${figure.goal.value}`;
  console.log(
    `${figure.name.padEnd(24)}${show(figure.value).padStart(10)}  ${figure.unit.padEnd(6)}${goal.padEnd(18)}${isMet(figure) ? 'yes ' : 'MISSED'}  ${figure.yardstick}`,
  );
}
if (values.json) {
  const plain = figures.map(({ goal, ...figure }) => ({ ...figure, goal: `${goal.kind} ${goal.value}` }));
  await writeFile(values.json, JSON.stringify(plain, null, 2) + '\n');
}

import type { PlannedTask } from '../../src/compile/planTypes.ts';

/** A task in lines that can be read and compared: what is nothing, none or zero is left out. */
export function writeTask({ key, station, title, how, because, after, ...fields }: PlannedTask): string {
  const { handsOnMin, watchedMin, passiveMin, needs, uses, ...others } = fields;
  const minutes = [
    `${handsOnMin} min`,
    ...(watchedMin ? [`watched ${watchedMin}`] : []),
    ...(passiveMin ? [`left ${passiveMin}`] : []),
  ];
  return [
    `${title}  [${key}]`,
    `  ${how}`,
    `  because ${because}`,
    `  ${station}, ${minutes.join(', ')}; ${write(needs)}`,
    ...(uses.length ? [`  with ${uses.map((use) => write(use)).join('; ')}`] : []),
    `  ${write({ ...others, seq: 0 })}`,
    ...after.map(
      (link) =>
        `  after ${link.key} (${link.rule}): ${link.because}${link.waitMin ? `, wait ${link.waitMin}` : ''}${link.latestMin === null ? '' : `, latest ${link.latestMin}`}`,
    ),
  ].join('\n');
}

/** Fields that say something, one after the other. */
function write(fields: object): string {
  return Object.entries(fields)
    .filter(([, value]) => !isNothing(value))
    .map(([name, value]) => (typeof value === 'string' ? `${name} ${value}` : `${name} ${JSON.stringify(value)}`))
    .join(', ');
}

const isNothing = (value: unknown): boolean =>
  value === null ||
  value === undefined ||
  value === '' ||
  value === false ||
  value === 0 ||
  (typeof value === 'object' && Object.keys(value).length === 0);

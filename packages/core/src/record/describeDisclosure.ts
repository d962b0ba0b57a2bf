import { findNewPart } from '../facts/findNewPart.ts';
import { isStanding } from '../facts/selectPartDone.ts';
import { groupBy } from '../groupBy.ts';
import { listNotOn } from './listNotOn.ts';
import { selectStandingWork } from '../facts/standingWork.ts';
import type { TaskAct } from '../model/taskActs.ts';
import type { TaskLog } from '../model/task.ts';
import type { DisclosedPart } from './recordInput.ts';

/** Looking, photographing, ordering and cleaning change nothing of what the model is. */
const LEAVES_IT_AS_IT_IS: ReadonlySet<TaskAct> = new Set<TaskAct>([
  'identify',
  'photograph',
  'know-materials',
  'pest-check',
  'lead-look',
  'capture-colour',
  'list-wants',
  'order-wants',
  'brush-ready',
  'dust',
  'raking-light',
  'tool',
  'axle-in-hand',
  'sign-off-photos',
  'box-card',
]);

const FOR_WHOM = "It is a collector's piece, not a toy for a child: old lead paint may remain inside, small parts.";

/** Says plainly what it is now, for whoever owns it next: by what was logged, never by what was planned. */
export function describeDisclosure(
  parts: readonly DisclosedPart[],
  log: readonly TaskLog[],
  isSignedOff: boolean,
): string {
  const works = selectStandingWork(log).map(({ work }) => work);
  const isChanged = works.some((work) => !LEAVES_IT_AS_IT_IS.has(work.act));
  const repainted = parts.filter(hasCoat);
  const replaced = parts.filter(({ part }) => part.origin !== 'original' && part.origin !== 'unknown');
  if (!isChanged && repainted.length === 0 && replaced.length === 0)
    return works.some((work) => work.act === 'dust')
      ? "Cleaned only; nothing was repainted or replaced. A collector's piece, not a toy for a child: old lead paint, small parts."
      : `Nothing was logged that changed this model. ${FOR_WHOM}`;
  const bare = parts.filter((one) => one.done.stripped !== null && !hasCoat(one));
  const unknown = parts.filter(({ part }) => part.origin === 'unknown' && part.state !== 'missing');
  const missing = parts.filter(
    ({ part, wants }) => part.state === 'missing' && wants.every((want) => want.state !== 'solved'),
  );
  // What is kept was never to be painted.
  const isKept = ({ part, wants }: DisclosedPart) => part.isKept && findNewPart(part, wants) === null;
  const unpainted = parts.filter((one) => !isKept(one)).flatMap(listCoatsNotOn);
  const kept = parts.filter((one) => isKept(one) && one.part.state !== 'missing');
  const rejected = parts.filter((one) => one.layers.some((layer) => layer.rejection !== null));
  return [
    isSignedOff ? 'This model has been restored.' : 'The work on this model is not finished.',
    ...say('Repainted', repainted.map(nameOf)),
    ...say('Stripped and bare', bare.map(nameOf)),
    ...say('Kept as it was found', kept.map(nameOf)),
    ...say('Planned and not put on', unpainted),
    ...say('A first coat was rejected', rejected.map(nameOf)),
    ...say(
      'Not original to it',
      replaced.map((one) => `${nameOf(one)} (${one.part.origin})`),
    ),
    ...say('Of unknown origin', unknown.map(nameOf)),
    ...say('Still missing', missing.map(nameOf)),
    FOR_WHOM,
  ].join(' ');
}

const nameOf = ({ part, of }: DisclosedPart) => part.name.toLowerCase() + (of && ` of ${of}`);
const hasCoat = ({ layers }: DisclosedPart) => layers.some(isStanding);
const say = (words: string, names: readonly string[]) => (names.length ? [`${words}: ${names.join(', ')}.`] : []);

/** Coats of the plan that were never put on, or came off again. */
function listCoatsNotOn(one: DisclosedPart): string[] {
  return [...groupBy(one.layers, ({ areaId }) => areaId).values()]
    .flatMap((own) => listNotOn(own))
    .map((layer) => `${layer.name} on the ${nameOf(one)}`);
}

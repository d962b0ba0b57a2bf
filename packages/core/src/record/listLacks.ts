import type { Lack, LackKey } from '../model/signing.ts';
import { findMissingSides } from '../photo/findMissingSides.ts';
import { listNames, nameOf } from '../words/names.ts';
import type { JobRecord } from './jobRecord.ts';
import type { RecordCoat, RecordModel } from './modelRecord.ts';

/** Why it matters, and where it can be put right; null where it is too late. */
const WHY: Readonly<Record<LackKey, Pick<Lack, 'why' | 'station'>>> = {
  before: { station: null, why: 'Nothing else proves what it was before, and what was done to it.' },
  after: { station: 'sign-off', why: 'Damage that comes later can only be told from what was there when it left.' },
  casting: { station: 'identify', why: 'What is right on it follows from what it is.' },
  issue: { station: 'identify', why: 'Whoever owns it next takes this paper’s word for it: a doubt is honest too.' },
  origin: { station: 'survey', why: 'A part that is not original and not called so makes a forgery of it.' },
  pot: { station: 'finish', why: 'Only who knows the paint can touch it up, or lay a coat over it.' },
  helped: { station: 'finish', why: 'The next coat of this paint fails in the same way.' },
  hours: { station: null, why: 'The next one of its kind is planned by the hours of this one.' },
};

/** Laid on, not poured out of a pot. */
const isPoured = ({ kind }: RecordCoat) => kind !== 'decal' && kind !== 'brightwork' && kind !== 'plating';

/**
 * What the record does not tell, though whoever reads it later will ask, each with why it matters. None of it forbids to sign:
 * what forbids it is in `checkSignOff`.
 */
export function listLacks({ models, photos, hours }: Pick<JobRecord, 'models' | 'photos' | 'hours'>): Lack[] {
  const before = photos.filter(({ stage }) => stage === 'before');
  const after = photos.filter(({ stage }) => stage === 'after');
  const missing = findMissingSides(photos, 'after');
  const alone = missing.filter((side) => before.some((photo) => photo.side === side));
  return [
    ...say('before', before.length === 0 && 'No photograph shows how it came in.'),
    ...say('after', after.length === 0 && 'No photograph shows how it goes out.'),
    ...say('after', after.length > 0 && alone.length > 0 && `Photographed before, and not after: ${listNames(alone)}.`),
    ...models.flatMap((model) => listLacksOf(model, models.length > 1 ? ` of ${model.name}` : '')),
    ...say(
      'hours',
      hours.doneSteps > 0 && hours.timedSteps === 0 && 'No step was begun and ended in the log: its hours are unknown.',
    ),
  ];
}

function listLacksOf({ name, casting, settledIssue, verdict, parts }: RecordModel, of: string): Lack[] {
  const unknown = parts.filter(({ origin, state }) => origin === 'unknown' && state !== 'missing').map(nameOf);
  const listCoats = (isMeant: (coat: RecordCoat) => boolean) => [
    ...new Set(
      parts.flatMap((part) => part.coatsApplied.filter(isMeant).map((coat) => `${coat.name} on the ${nameOf(part)}`)),
    ),
  ];
  const unpoured = listCoats((coat) => coat.product === null && coat.removedAt === null && isPoured(coat));
  const unhelped = listCoats(({ rejection }) => rejection?.helped === '');
  const list = (names: readonly string[], words: string) => names.length > 0 && `${words}: ${listNames(names)}${of}.`;
  return [
    ...say('casting', casting === null && `Nobody knows which casting ${name} is.`),
    ...say(
      'issue',
      casting !== null && settledIssue === null && `Nobody settled which issue ${name} is; the looks say: ${verdict}`,
    ),
    ...say('origin', list(unknown, 'Nobody said where this comes from')),
    ...say('pot', list(unpoured, 'Nobody said out of which pot')),
    ...say('helped', list(unhelped, 'Failed, and nobody said what helped')),
  ];
}

const say = (key: LackKey, what: string | false): Lack[] => (what ? [{ key, what, ...WHY[key] }] : []);

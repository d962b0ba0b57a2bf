import { createHash, randomBytes, randomInt, randomUUID, timingSafeEqual } from 'node:crypto';
import type { PhoneDevice, ShowToPhone } from '@sardonyx/contract';
import { HttpError, refused } from '../../http/errors.ts';

/** Wrong numbers, all phones together, before it is shut: one in two hundred thousand finds it so. */
const MOST_TRIES = 5;
const MOST_DEVICES = 4;
/** A phone that was not seen for so long has left. */
const IDLE_MS = 30 * 60_000;
const HOUR_MS = 3_600_000;

type Subject = Pick<ShowToPhone, 'jobId' | 'station'>;

interface Device extends PhoneDevice {
  lastSeenAt: string;
}

interface Opening {
  readonly pin: string;
  readonly closesAt: string;
  triesLeft: number;
  /** By the SHA-256 of their secret. */
  readonly devices: Map<string, Device>;
}

export type PhoneDoor = ReturnType<typeof createPhoneDoor>;

const hashOf = (secret: string) => createHash('sha256').update(secret).digest('hex');

/** Signs by which a person tells two phones apart; says nothing of the secret. */
const markOf = (hash: string) =>
  hash
    .slice(0, 6)
    .toUpperCase()
    .replace(/(..)(..)(..)/, '$1-$2-$3');

/**
 * Who may come in by phone, and until when: a number for an evening, a secret for each phone that knew it, tries that are
 * counted. All of it is in memory: a bench that is started anew is shut. `onShut` closes what listens.
 */
export function createPhoneDoor(now: () => Date, onShut: () => void) {
  let opening: Opening | null = null;
  let shutBecause = '';
  let subject: Subject = { jobId: null, station: 'identify' };
  let acts = 0;

  const shut = (because: string): void => {
    if (!opening) return;
    opening = null;
    shutBecause = because;
    onShut();
  };

  /** As it is now: what ended by itself meanwhile has ended. */
  const look = (): Opening | null => {
    if (opening && now().toISOString() >= opening.closesAt) shut('The evening was over: it was shut by itself.');
    for (const [hash, { lastSeenAt }] of opening?.devices ?? [])
      if (now().getTime() - Date.parse(lastSeenAt) > IDLE_MS) opening!.devices.delete(hash);
    return opening;
  };

  return {
    look,
    shut,
    open(hours: number): Opening {
      opening = {
        pin: String(randomInt(1_000_000)).padStart(6, '0'),
        closesAt: new Date(now().getTime() + hours * HOUR_MS).toISOString(),
        triesLeft: MOST_TRIES,
        devices: new Map(),
      };
      shutBecause = '';
      return opening;
    },
    /** The secret of a phone that knew the number. Throws HttpError 401 or 403 with what is left. */
    enter(pin: string, who: string): { secret: string; device: PhoneDevice } {
      const at = look();
      if (!at) throw new HttpError(403, { code: 'shut', message: 'The bench lets no phone in at the moment.' });
      // Counted before it is compared: tries at once count, too.
      at.triesLeft--;
      if (!timingSafeEqual(Buffer.from(pin), Buffer.from(at.pin))) {
        if (at.triesLeft > 0)
          throw new HttpError(401, {
            code: 'wrong-number',
            message: `This is not the number. ${at.triesLeft} ${at.triesLeft === 1 ? 'try is' : 'tries are'} left.`,
          });
        shut('The number was guessed at too often: it was shut, and every phone was sent out.');
        throw new HttpError(403, { code: 'shut', message: 'Too many wrong numbers: the bench has shut its door.' });
      }
      at.triesLeft++;
      if (at.devices.size >= MOST_DEVICES)
        throw refused('too-many', `${MOST_DEVICES} phones are in already: send one out at the bench first.`);
      const secret = randomBytes(32).toString('base64url');
      const hash = hashOf(secret);
      const at0 = now().toISOString();
      const device = { id: randomUUID(), who, mark: markOf(hash), since: at0, lastSeenAt: at0 };
      at.devices.set(hash, device);
      return { secret, device };
    },
    /** The phone of a secret. Throws HttpError 401 for one that is not in, or no more. */
    find(secret: string | null): PhoneDevice {
      const device = secret === null ? undefined : look()?.devices.get(hashOf(secret));
      if (!device) throw new HttpError(401, { code: 'not-in', message: 'This phone is not let in, or no more.' });
      device.lastSeenAt = now().toISOString();
      return device;
    },
    sendOut(id: string): void {
      for (const [hash, device] of opening?.devices ?? []) if (device.id === id) opening!.devices.delete(hash);
    },
    show: (shown: Subject) => void (subject = shown),
    shown: () => subject,
    noteAct: () => void acts++,
    describe: () => {
      const at = look();
      return {
        ...{ pin: at?.pin ?? null, closesAt: at?.closesAt ?? null, triesLeft: at?.triesLeft ?? 0 },
        wrongTries: at ? MOST_TRIES - at.triesLeft : 0,
        ...{ shutBecause, acts, devices: [...(at?.devices.values() ?? [])] },
      };
    },
  };
}

import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import type { JobView } from '@sardonyx/contract';
import { createSeededRandom, type Casting, type Job, type RandomSource } from '@sardonyx/core';
import sharp from 'sharp';
import { OWN_LORRY, ownJob } from '../ownLorry.ts';
import { startServer, type StartedServer } from '../startServer.ts';
import { chooseAct, isAcknowledged, type Subject, type ToldAct } from './acts.ts';
import { BenchClient } from './benchClient.ts';
import { compareLedger, copyLedger, openLedger, type Ledger } from './ledger.ts';

export interface Killed {
  readonly kills: number;
  readonly acknowledged: number;
  /** What was acknowledged and is not there, or is there twice, in words. */
  readonly lost: readonly string[];
}

/** Hands that work at once. */
const HANDS = 4;
/** A kill comes within this time of a round's begin: most writes are done in a tenth of it. */
const WITHIN_MS = 350;
/** Saving and restoring take longer. */
const ARCHIVE_WITHIN_MS = 900;
const START_WITHIN_MS = 1200;

/**
 * A bench that is killed, again and again, while people write to it, save it, restore it, or it is just being opened. After each
 * kill it is opened, what got no answer is sent once more, and everything that was acknowledged is looked for.
 */
export async function killRounds(seed: number, rounds: number): Promise<Killed> {
  const random = createSeededRandom(seed);
  const folder = await mkdtemp(join(tmpdir(), 'sardonyx-kill-'));
  const lost: string[] = [];
  let acknowledged = 0;
  let ledger = openLedger();
  let saved: { readonly zip: Buffer; readonly ledger: Ledger } | null = null;
  let server = await startServer(folder, ENV);
  try {
    const at = await putLorryOnBench(new BenchClient(server.address));
    const pictures = await drawPictures(seed);
    for (let round = 0; round < rounds; round++) {
      const client = new BenchClient(server.address);
      const dice = random();
      if (dice < 0.12 && saved) await restoreRound(client, saved);
      else if (dice < 0.24) await saveRound(client);
      else await writingRound(client, round, dice > 0.9);
      if (random() < 0.1) await killWhileOpening();
    }

    async function writingRound(client: BenchClient, round: number, isSavedMeanwhile: boolean): Promise<void> {
      const unanswered: ToldAct[] = [];
      let isOver = false;
      const hands = Array.from({ length: HANDS }, async (_, hand) => {
        for (let i = 0; !isOver; i++) {
          const act = chooseAct(random, `act ${seed} ${round} ${hand} ${i}`, at, ledger, pictures);
          const reply = await act.send(client);
          if (!reply) unanswered.push(act);
          else if (isAcknowledged(reply)) {
            acknowledged++;
            act.note(ledger, reply.body);
          } else if (reply.status >= 500) lost.push(`"${act.name}" was answered ${reply.status}`);
        }
      });
      if (isSavedMeanwhile) void client.fetchBytes('everything.zip');
      await wait(WITHIN_MS * random());
      await server.kill();
      isOver = true;
      await Promise.all(hands);
      server = await startServer(folder, ENV);
      const again = new BenchClient(server.address);
      for (const act of unanswered) await sendAgain(again, act);
      lost.push(...compareLedger(ledger, await again.find(at.jobId)));
    }

    /** What got no answer counted or did not: sent once more it must count once. */
    async function sendAgain(client: BenchClient, act: ToldAct): Promise<void> {
      const reply = await act.send(client);
      const isCounted = reply?.status === 409 && (reply.body as { code?: string }).code === 'counted';
      if (isAcknowledged(reply)) act.note(ledger, reply!.body);
      else if (isCounted) act.note(ledger, null);
      // A finding that another hand changed meanwhile is stale, which is as it should be.
      else if (reply?.status !== 409) lost.push(`"${act.name}" was answered ${reply?.status} when it was sent again`);
    }

    async function saveRound(client: BenchClient): Promise<void> {
      const before = copyLedger(ledger);
      const whole = client.fetchBytes('everything.zip');
      await Promise.race([whole, wait(ARCHIVE_WITHIN_MS * random())]);
      await server.kill();
      const zip = await whole;
      if (zip) saved = { zip, ledger: before };
      await look();
    }

    async function restoreRound(client: BenchClient, from: NonNullable<typeof saved>): Promise<void> {
      const restored = client.send('POST', 'everything.zip', from.zip, { 'content-type': 'application/zip' });
      await Promise.race([restored, wait(ARCHIVE_WITHIN_MS * random())]);
      await server.kill();
      const reply = await restored;
      server = await startServer(folder, ENV);
      const found = await new BenchClient(server.address).find(at.jobId);
      const asSaved = compareLedger(from.ledger, found);
      const hasGoneBack = asSaved.length === 0 && found.pots.length === from.ledger.pots.size;
      if (reply && !isAcknowledged(reply)) lost.push(`a whole save was answered ${reply.status}`);
      if (isAcknowledged(reply) && !hasGoneBack) lost.push('a restore was acknowledged and is not there', ...asSaved);
      if (hasGoneBack) ledger = copyLedger(from.ledger);
      else lost.push(...compareLedger(ledger, found));
    }

    async function look(): Promise<void> {
      server = await startServer(folder, ENV);
      lost.push(...compareLedger(ledger, await new BenchClient(server.address).find(at.jobId)));
    }

    async function killWhileOpening(): Promise<void> {
      await server.kill();
      const opening = startServer(
        folder,
        ENV,
        (child) => void wait(START_WITHIN_MS * random()).then(() => child.kill()),
      );
      await opening.then(
        (opened: StartedServer) => opened.kill(),
        () => undefined,
      );
      await look();
    }
  } finally {
    await server.kill();
    await rm(folder, { recursive: true, force: true });
  }
  return { kills: rounds, acknowledged, lost };
}

/** The log is not what is looked at. */
const ENV = { SARDONYX_LOG: 'silent' };

export async function putLorryOnBench(client: BenchClient): Promise<Subject> {
  const casting = (await client.send('POST', 'castings', OWN_LORRY))!.body as Casting;
  const { id: jobId } = (await client.send('POST', 'jobs', ownJob(casting.id)))!.body as Job;
  const view = (await client.send('GET', `jobs/${jobId}`, undefined))!.body as JobView;
  return { jobId, taskId: view.tasks[0]!.id, partId: view.specimens[0]!.parts[0]!.id };
}

/** Small ones, each another. */
export async function drawPictures(seed: number): Promise<Buffer[]> {
  const random: RandomSource = createSeededRandom(seed + 1);
  const draw = () => {
    const data = Buffer.from(Array.from({ length: 24 * 24 * 3 }, () => Math.floor(256 * random())));
    return sharp(data, { raw: { width: 24, height: 24, channels: 3 } })
      .png()
      .toBuffer();
  };
  return Promise.all(Array.from({ length: 12 }, draw));
}

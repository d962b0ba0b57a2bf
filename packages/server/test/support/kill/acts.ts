import type { RandomSource } from '@sardonyx/core';
import type { Finding, Photo } from '@sardonyx/core';
import { OWN_POT } from '../ownLorry.ts';
import type { BenchClient, Reply } from './benchClient.ts';
import type { Ledger } from './ledger.ts';

export interface Subject {
  readonly jobId: string;
  readonly taskId: string;
  readonly partId: string;
}

/** Something that a restorer does: how it is sent, and what is written beside once it was acknowledged. */
export interface ToldAct {
  readonly name: string;
  send(client: BenchClient): Promise<Reply>;
  /** Called with the answer, a success; or with null where it was counted and only the answer was lost. */
  note(ledger: Ledger, body: unknown): void;
}

const isTaken = (status: number) => status >= 200 && status < 300;
export const isAcknowledged = (reply: Reply): boolean => reply !== null && isTaken(reply.status);

/** The next act of somebody who works on a model: notes, findings made and changed, pots, photographs, a file for the shelf. */
export function chooseAct(
  random: RandomSource,
  name: string,
  at: Subject,
  ledger: Ledger,
  pictures: readonly Buffer[],
): ToldAct {
  const key = { 'idempotency-key': `key-${name.replaceAll(' ', '-')}` };
  const dice = random();
  if (dice < 0.3)
    return {
      name,
      send: (client) =>
        client.send('POST', `tasks/${at.taskId}/acts`, { act: 'note', who: 'Imke Varga', note: name }, key),
      note: (own) => void own.notes.add(name),
    };
  if (dice < 0.5)
    return {
      name,
      send: (client) =>
        client.send('POST', 'findings', { specimenPartId: at.partId, kind: 'chips', severity: 1, note: name }, key),
      note: (own, body) => {
        const { id, version } = (body ?? { id: '', version: 0 }) as Finding;
        if (id) own.findings.set(name, { id, version, says: new Set([name]) });
      },
    };
  if (dice < 0.65 && ledger.findings.size) {
    const known = [...ledger.findings.values()];
    const finding = known[Math.floor(known.length * random())]!;
    // Until its answer comes it may say either.
    finding.says.add(name);
    return {
      name,
      send: (client) => client.send('PATCH', `findings/${finding.id}`, { version: finding.version, note: name }, key),
      note: (_, body) => {
        if (!body) return;
        finding.version = (body as Finding).version;
        finding.says = new Set([name]);
      },
    };
  }
  if (dice < 0.8)
    return {
      name,
      send: (client) => client.send('POST', 'shelf/pots', { ...OWN_POT, name }, key),
      note: (own) => void own.pots.add(name),
    };
  if (dice < 0.92) {
    const picture = pictures[Math.floor(pictures.length * random())]!;
    return {
      name,
      send: (client) => {
        const form = new FormData();
        for (const [field, value] of Object.entries({ jobId: at.jobId, stage: 'before', side: 'left', caption: name }))
          form.set(field, value);
        form.set('picture', new Blob([new Uint8Array(picture)], { type: 'image/png' }), 'x.png');
        return client.send('POST', 'photos/upload', form, key);
      },
      note: (own, body) => body && void own.photos.set(name, (body as Photo).hash),
    };
  }
  const names = Array.from({ length: 1 + Math.floor(300 * random()) }, (_, i) => `${name} ${i}`);
  const lines = names.map((pot) => `File,${pot},colour,enamel,gloss,#506070,5`);
  const text = ['line,name,kind,binder,gloss,colour,left_ml', ...lines].join('\n');
  return {
    name,
    send: (client) =>
      client.send('POST', 'shelf/files', { format: 'csv', text, geometry: 'gloss left out', take: 'all' }, key),
    note: (own) => names.forEach((pot) => own.pots.add(pot)),
  };
}

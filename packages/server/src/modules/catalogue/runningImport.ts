import { randomUUID } from 'node:crypto';
import type { ImportReport } from '@sardonyx/contract';
import { Stopped } from '../../aside/asideTask.ts';
import { runAside, type Aside } from '../../aside/runAside.ts';
import { HttpError, refused } from '../../http/errors.ts';
import type { Workroom } from '../../workroom.ts';
import { refuseFile, type BroughtCatalogue, type ImportNews } from './importCatalogue.ts';

export interface RunningImport {
  report: ImportReport;
  /** What runs for it in the thread beside; null while it waits for a word. */
  aside: Aside<ImportNews> | null;
  /** What was brought, while it can still be carried out. */
  brought: BroughtCatalogue | null;
}

/** Begins to look at a file and returns at once; its report tells how it stands. `isOnlyLook`: it is not carried out yet. */
export function beginImport(
  room: Workroom,
  brought: BroughtCatalogue,
  { isOnlyLook }: { readonly isOnlyLook: boolean },
): RunningImport {
  const running: RunningImport = {
    report: {
      ...{ id: randomUUID(), state: 'reading', progress: 0, rows: 0, added: 0, changed: 0, unchanged: 0 },
      ...{ changes: [], problems: [], problemCount: 0 },
    },
    aside: null,
    brought,
  };
  run(room, running, isOnlyLook);
  return running;
}

/** Carries out what was looked at: checked anew against the catalogue as it is now. All or nothing. */
export function carryOut(room: Workroom, running: RunningImport): void {
  if (running.report.state !== 'checked') throw refused('not-checked', 'This file is not waiting to be taken in.');
  note(running, { state: 'reading', progress: 0 });
  run(room, running, false);
}

/** Ends one that runs at its next step; one that waits, at once. */
export function cancel(running: RunningImport): void {
  running.aside?.stop();
  if (running.report.state === 'checked') note(running, { state: 'cancelled' });
}

function run(room: Workroom, running: RunningImport, isOnlyLook: boolean): void {
  const { id } = running.report;
  running.aside = runAside(room, 'catalogue', { ...running.brought!, isOnlyLook }, (news) =>
    note(running, news as ImportNews),
  );
  running.aside.ended
    .catch((error: unknown): ImportNews => {
      if (error instanceof Stopped) return { state: 'cancelled' };
      if (error instanceof HttpError) return refuseFile(error.body);
      room.log.error({ err: error, faultId: id }, 'import of a catalogue');
      const message = 'Something broke on our side while it was written. Nothing was changed; try again.';
      return refuseFile({ code: 'fault', message });
    })
    .then((news) => {
      running.aside = null;
      note(running, news);
    });
}

/** What can no longer be carried out is not kept. */
function note(running: RunningImport, news: ImportNews): void {
  running.report = { ...running.report, ...news };
  if (['done', 'refused', 'cancelled'].includes(running.report.state)) running.brought = null;
}

import { packJobs } from '../modules/archive/packJobs.ts';
import { takeArchive } from '../modules/archive/takeArchive.ts';
import { importCatalogue } from '../modules/catalogue/importCatalogue.ts';
import { bringStockFile } from '../modules/stock/bringStockFile.ts';
import { traceArtwork } from '../modules/decals/traceArtwork.ts';
import { bringArtwork, bringPicture } from '../modules/decals/bringArtwork.ts';
import { printPaperOf } from '../modules/record/writePapers.ts';
import { bringMesh } from '../modules/prints/bringMesh.ts';
import { bringShelfFile } from '../modules/shelf/bringShelfFile.ts';

/** What runs in the thread beside the server. */
export const TASKS = {
  catalogue: importCatalogue,
  shelf: bringShelfFile,
  stock: bringStockFile,
  mesh: bringMesh,
  artwork: bringArtwork,
  'artwork picture': bringPicture,
  'traced artwork': traceArtwork,
  paper: printPaperOf,
  pack: packJobs,
  take: takeArchive,
} as const;

export type TaskName = keyof typeof TASKS;
export type TaskInput<K extends TaskName> = Parameters<(typeof TASKS)[K]>[0];
export type TaskResult<K extends TaskName> = Awaited<ReturnType<(typeof TASKS)[K]>>;

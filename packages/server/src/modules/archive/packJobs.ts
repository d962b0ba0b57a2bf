import { createWriteStream, existsSync } from 'node:fs';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import {
  createPaperDates,
  writeCgats,
  writeDecalSvg,
  writePaperText,
  writeRecord,
  type JobRecord,
  type PaperDates,
} from '@sardonyx/core';
import { In } from 'typeorm';
import type { Hands } from '../../aside/asideTask.ts';
import { DRAFT_PREFIX } from '../../disk/folderNames.ts';
import { DecalArtworkRow } from '../../entities/decal.ts';
import { HouseStyleRow } from '../../entities/house.ts';
import { MeshRow, PrintPartRow } from '../../entities/print.ts';
import { JobRow } from '../../entities/work.ts';
import { notFound } from '../../http/errors.ts';
import { photoPath } from '../photos/photoStore.ts';
import { readRecord } from '../record/readRecord.ts';
import { printPaperFrom, type PaperName } from '../record/writePapers.ts';
import { findRow } from '../rows/versionedRows.ts';
import { FreeNames, ROWS_FILE, picturePath, writeFileName } from './bagNames.ts';
import { BagWriter } from './bagWriter.ts';
import { listPictures } from './listPictures.ts';
import { packRows, type ArchivedRows } from './packRows.ts';

export interface PackOrder {
  /** Empty: all of them. */
  readonly jobIds: readonly string[];
  readonly folder: string;
  /** Where it is written. */
  readonly to: string;
  readonly benchName: string;
  readonly base: string;
  readonly at: string;
}

/** What is packed, read at one moment. */
interface Packed {
  readonly rows: Omit<ArchivedRows, 'missing'>;
  readonly jobs: readonly { readonly job: JobRow; readonly record: JobRecord }[];
  readonly dates: PaperDates;
}

const PAPERS_IN: readonly PaperName[] = ['record', 'card', 'hand-on', 'before-after', 'label'];

/** Packs whole jobs into an open archive: rows, records, papers, pictures, spectra, artwork, meshes. Its name. */
export async function packJobs(order: PackOrder, hands: Hands): Promise<{ readonly name: string }> {
  const packed = await readPacked(order, hands);
  const [first] = packed.jobs;
  const name = packed.jobs.length === 1 ? writeFileName(`${first!.job.number}-${first!.job.title}`) : 'sardonyx-jobs';
  const bag = new BagWriter(name, order.to, new Date(order.at));
  // Papers and meshes lie here until the bag is whole.
  const draft = await mkdtemp(join(order.folder, DRAFT_PREFIX));
  try {
    const names = new FreeNames();
    for (const one of packed.jobs) {
      hands.goOn();
      await addJob(bag, one, { ...order, draft, hands, dates: packed.dates, names });
    }
    await addDrawings(bag, packed.rows, { hands, draft });
    await addPictures(bag, packed.rows, order.folder);
    hands.goOn();
    await bag.end({
      'Source-Organization': order.benchName,
      'Bagging-Date': order.at.slice(0, 10),
      'External-Identifier': packed.jobs.map(({ job }) => job.number).join(' '),
      'External-Description': writeTitles(packed.jobs.map(({ job }) => job.title)),
      'Bag-Software-Agent': 'Sardonyx',
    });
  } catch (error) {
    bag.abandon();
    throw error;
  } finally {
    await rm(draft, { recursive: true, force: true });
  }
  return { name: `${name}.zip` };
}

const writeTitles = (titles: readonly string[]): string => titles.join('; ').slice(0, 500);

const readPacked = ({ jobIds, at }: PackOrder, hands: Hands): Promise<Packed> =>
  hands.look(async (manager) => {
    const all = await manager.find(JobRow, { order: { number: 'ASC' } });
    const chosen = jobIds.length ? all.filter(({ id }) => jobIds.includes(id)) : all;
    if (chosen.length === 0 || chosen.length < new Set(jobIds).size) throw notFound('This job');
    const jobs: Packed['jobs'][number][] = [];
    for (const job of chosen) jobs.push({ job, record: await readRecord(manager, job.id, new Date(at)) });
    const { zone } = await findRow(manager, HouseStyleRow, 'house', 'The house style');
    const ids = chosen.map(({ id }) => id);
    return { rows: await packRows(manager, ids), jobs, dates: createPaperDates(zone) };
  });

interface JobOrder extends PackOrder {
  readonly draft: string;
  readonly hands: Hands;
  readonly dates: PaperDates;
  readonly names: FreeNames;
}

/** Its record as data and words, its papers, and the colours that were measured. */
async function addJob(bag: BagWriter, { job, record }: Packed['jobs'][number], order: JobOrder): Promise<void> {
  const { draft, hands, dates, names } = order;
  const own = names.take(writeFileName(job.number));
  const folder = `data/jobs/${own}`;
  bag.addText(`${folder}/record.json`, JSON.stringify(record, null, 2));
  bag.addText(`${folder}/record.txt`, writePaperText(writeRecord(record, dates)));
  const spectra = record.colours.flatMap(({ spectrum, lab, place, part }) =>
    spectrum ? [{ name: `${part}, ${place}`, share: 1, spectrum, lab }] : [],
  );
  if (spectra.length) bag.addText(`${folder}/spectra.txt`, writeCgats(spectra, `Colours of ${job.number}`));
  for (const paper of PAPERS_IN) {
    hands.goOn();
    const file = join(draft, `${own}-${paper}.pdf`);
    await printPaperFrom({ record, dates }, { ...order, jobId: job.id, paper }, createWriteStream(file));
    await bag.addFile(`${folder}/${paper}.pdf`, file);
  }
}

/** Artwork as SVG and meshes as STL, as anybody can open them; the rows hold them as the bench does. */
async function addDrawings(
  bag: BagWriter,
  { tables }: Packed['rows'],
  { hands, draft }: Pick<JobOrder, 'hands' | 'draft'>,
): Promise<void> {
  const idsOf = (table: string) => In((tables[table] ?? []).map(({ id }) => String(id)));
  const { artworks, prints } = await hands.look(async (manager) => ({
    artworks: await manager.findBy(DecalArtworkRow, { id: idsOf('decal_artwork') }),
    prints: await manager.findBy(PrintPartRow, { id: idsOf('print') }),
  }));
  const names = new FreeNames();
  for (const artwork of artworks)
    bag.addText(`data/artwork/${names.take(writeFileName(artwork.name))}.svg`, writeDecalSvg(artwork));
  for (const { name, meshHash } of prints) {
    const { packed } = await hands.look((manager) => manager.findOneByOrFail(MeshRow, { hash: meshHash }));
    const own = `${names.take(writeFileName(name))}.stl`;
    await writeFile(join(draft, own), gunzipSync(packed));
    await bag.addFile(`data/prints/${own}`, join(draft, own));
  }
}

/** The pictures that the rows name, and the rows with the names of those that are gone. */
async function addPictures(bag: BagWriter, rows: Packed['rows'], folder: string): Promise<void> {
  const missing: string[] = [];
  for (const hash of listPictures(rows))
    if (existsSync(photoPath(folder, hash))) await bag.addFile(picturePath(hash), photoPath(folder, hash));
    else missing.push(hash);
  bag.addText(ROWS_FILE, JSON.stringify({ ...rows, missing } satisfies ArchivedRows));
}

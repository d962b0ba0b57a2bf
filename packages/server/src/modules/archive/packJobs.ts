import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import {
  createPaperDates,
  writeCgats,
  writeDecalSvg,
  writePaperText,
  writeRecord,
  type JobRecord,
} from '@sardonyx/core';
import { In } from 'typeorm';
import type { Hands } from '../../aside/asideTask.ts';
import { DecalArtworkRow } from '../../entities/decal.ts';
import { HouseStyleRow } from '../../entities/house.ts';
import { MeshRow, PrintPartRow } from '../../entities/print.ts';
import { JobRow } from '../../entities/work.ts';
import { notFound } from '../../http/errors.ts';
import { photoPath } from '../photos/photoStore.ts';
import { readRecord } from '../record/readRecord.ts';
import { printPaperFrom, type PaperName } from '../record/writePapers.ts';
import { findRow } from '../rows/versionedRows.ts';
import { ROWS_FILE, picturePath, writeFileName } from './bagNames.ts';
import { BagWriter } from './bagWriter.ts';
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

const PAPERS_IN: readonly PaperName[] = ['record', 'card', 'hand-on', 'before-after', 'label'];

/** Packs whole jobs into an open archive: rows, records, papers, pictures, spectra, artwork, meshes. */
export async function packJobs(order: PackOrder, hands: Hands): Promise<{ readonly name: string }> {
  const at = new Date(order.at);
  const { rows, jobs, records, zone } = await hands.look(async (manager) => {
    const all = await manager.find(JobRow, { order: { number: 'ASC' } });
    const chosen = order.jobIds.length ? all.filter(({ id }) => order.jobIds.includes(id)) : all;
    if (chosen.length === 0 || chosen.length < order.jobIds.length) throw notFound('This job');
    const told: JobRecord[] = [];
    for (const { id } of chosen) told.push(await readRecord(manager, id, at));
    return {
      rows: await packRows(
        manager,
        chosen.map(({ id }) => id),
      ),
      ...{ jobs: chosen, records: told },
      zone: (await findRow(manager, HouseStyleRow, 'house', 'The house style')).zone,
    };
  });
  const name = jobs.length === 1 ? writeFileName(`${jobs[0]!.number}-${jobs[0]!.title}`) : 'sardonyx-jobs';
  const bag = new BagWriter(name, order.to, at);
  try {
    const dates = createPaperDates(zone);
    for (const [i, { id, number }] of jobs.entries()) {
      hands.goOn();
      const folder = `data/jobs/${writeFileName(number)}`;
      const addText = (file: string, text: string) => bag.add({ path: `${folder}/${file}`, bytes: Buffer.from(text) });
      await addText('record.json', JSON.stringify(records[i], null, 2));
      await addText('record.txt', writePaperText(writeRecord(records[i]!, dates)));
      const spectra = records[i]!.colours.filter(({ spectrum }) => spectrum !== null);
      if (spectra.length)
        await addText(
          'spectra.txt',
          writeCgats(
            spectra.map(({ spectrum, lab, place, part }) => ({
              ...{ name: `${part}, ${place}`, share: 1, spectrum: spectrum!, lab },
            })),
            `Colours of ${number}`,
          ),
        );
      for (const paper of PAPERS_IN) {
        hands.goOn();
        const pdf = await printPaperFrom({ record: records[i]!, dates }, { ...order, jobId: id, paper });
        await bag.add({ path: `${folder}/${paper}.pdf`, bytes: pdf, isPacked: true });
      }
    }
    await addDrawings(bag, rows, hands);
    const pictures = listPictures(rows);
    const missing = pictures.filter((hash) => !existsSync(photoPath(order.folder, hash)));
    for (const hash of pictures) {
      hands.goOn();
      if (!missing.includes(hash))
        await bag.add({ path: picturePath(hash), file: photoPath(order.folder, hash), isPacked: true });
    }
    await bag.add({ path: ROWS_FILE, bytes: Buffer.from(JSON.stringify({ ...rows, missing })) });
    await bag.end({
      'Source-Organization': order.benchName,
      'Bagging-Date': order.at.slice(0, 10),
      'External-Identifier': jobs.map(({ number }) => number).join(' '),
      'External-Description': jobs
        .map(({ title }) => title)
        .join('; ')
        .slice(0, 500),
      'Bag-Software-Agent': 'Sardonyx',
    });
  } catch (error) {
    bag.abandon();
    throw error;
  }
  return { name: `${name}.zip` };
}

/** Artwork as SVG and meshes as STL, as anybody can open them; the rows hold them as the bench does. */
async function addDrawings(bag: BagWriter, { tables }: Pick<ArchivedRows, 'tables'>, hands: Hands): Promise<void> {
  const idsOf = (table: string) => In((tables[table] ?? []).map(({ id }) => String(id)));
  const { artworks, prints } = await hands.look(async (manager) => ({
    artworks: await manager.findBy(DecalArtworkRow, { id: idsOf('decal_artwork') }),
    prints: await manager.findBy(PrintPartRow, { id: idsOf('print') }),
  }));
  const names = new Set<string>();
  const free = (name: string) => {
    let free = name;
    for (let n = 2; names.has(free); n++) free = `${name}-${n}`;
    names.add(free);
    return free;
  };
  for (const artwork of artworks)
    await bag.add({
      path: join('data/artwork', `${free(writeFileName(artwork.name))}.svg`),
      bytes: Buffer.from(writeDecalSvg(artwork)),
    });
  for (const { name, meshHash } of prints) {
    const { packed } = await hands.look((manager) => manager.findOneByOrFail(MeshRow, { hash: meshHash }));
    await bag.add({ path: join('data/prints', `${free(writeFileName(name))}.stl`), bytes: gunzipSync(packed) });
  }
}

/** Hashes of the pictures that the rows name. */
export const listPictures = ({ tables }: Pick<ArchivedRows, 'tables'>): string[] => [
  ...new Set(
    [
      ...(tables.photo ?? []).map(({ hash }) => hash),
      ...(tables.stock_thing ?? []).map(({ pictureHash }) => pictureHash),
    ]
      .filter((hash): hash is string => typeof hash === 'string')
      .sort(),
  ),
];

import { createHash } from 'node:crypto';
import { createSeededRandom } from '@sardonyx/core';
import { unzipSync, zipSync } from 'fflate';

/** Files of a bag by their path in it, without the folder that all of them stand in. */
export type BagFiles = Record<string, Uint8Array>;

export const openBag = (zip: Uint8Array): { readonly base: string; readonly files: BagFiles } => {
  const all = unzipSync(zip);
  const base = Object.keys(all)[0]!.split('/')[0]!;
  return {
    base,
    files: Object.fromEntries(Object.entries(all).map(([name, bytes]) => [name.slice(base.length + 1), bytes])),
  };
};

export const closeBag = (base: string, files: BagFiles): Buffer =>
  Buffer.from(
    zipSync(Object.fromEntries(Object.entries(files).map(([name, bytes]) => [`${base}/${name}`, bytes])), { level: 1 }),
  );

const sum = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');
const text = (bytes: Uint8Array) => Buffer.from(bytes).toString('utf8');
const bytesOf = (said: string) => new Uint8Array(Buffer.from(said));

/** Lists everything anew, so that only what a bag says can betray it. */
export function listAnew(files: BagFiles): BagFiles {
  const payload = Object.keys(files).filter((name) => name.startsWith('data/'));
  const size = payload.reduce((all, name) => all + files[name]!.length, 0);
  const info = text(files['bag-info.txt']!).replace(/Payload-Oxum: .*/, `Payload-Oxum: ${size}.${payload.length}`);
  const listed: BagFiles = {
    ...files,
    'bag-info.txt': bytesOf(info),
    'manifest-sha256.txt': bytesOf(payload.map((name) => `${sum(files[name]!)}  ${name}\n`).join('')),
  };
  return { ...listed, 'tagmanifest-sha256.txt': bytesOf(listTags(listed)) };
}

const listTags = (files: BagFiles) =>
  Object.keys(files)
    .filter((name) => !name.startsWith('data/') && name !== 'tagmanifest-sha256.txt')
    .map((name) => `${sum(files[name]!)}  ${name}\n`)
    .join('');

const withTags = (files: BagFiles): BagFiles => ({ ...files, 'tagmanifest-sha256.txt': bytesOf(listTags(files)) });

type Rows = { migration: string; missing: string[]; tables: Record<string, Record<string, unknown>[]> };

interface Hand {
  readonly pick: <T>(of: readonly T[]) => T;
  readonly below: (most: number) => number;
}

/** What goes wrong with a bag, or is done to it. Each gives the files of a bag that must not be taken in. */
const HARMS: Readonly<Record<string, (files: BagFiles, hand: Hand) => BagFiles>> = {
  'a byte of a file is another one': (files, { pick, below }) => {
    const name = pick(Object.keys(files).filter((one) => files[one]!.length > 0 && one !== 'tagmanifest-sha256.txt'));
    const bytes = Uint8Array.from(files[name]!);
    bytes[below(bytes.length)]! ^= 1 << below(8);
    return { ...files, [name]: bytes };
  },
  'a file ends too early': (files, { pick, below }) => {
    const name = pick(Object.keys(files).filter((one) => files[one]!.length > 1 && one !== 'tagmanifest-sha256.txt'));
    return { ...files, [name]: files[name]!.slice(0, below(files[name]!.length - 1)) };
  },
  'a file is gone': (files, { pick }) => without(files, pick(Object.keys(files))),
  'a file came in': (files, { pick }) => ({
    ...files,
    [pick(['data/more.txt', 'data/photos/x.jpg', 'more.txt', 'fetch.txt'])]: bytesOf('more'),
  }),
  'a file is listed that leads out of the folder': (files, { pick }) =>
    listAnew({
      ...files,
      [`data/${pick(['../../../out.txt', './../../../../sardonyx.db', '../../out.jpg'])}`]: bytesOf('out'),
    }),
  'a line of the list is gone': (files, { pick }) => {
    const lines = text(files['manifest-sha256.txt']!).split('\n').filter(Boolean);
    const gone = pick(lines);
    return withTags({
      ...files,
      'manifest-sha256.txt': bytesOf(lines.filter((line) => line !== gone).join('\n') + '\n'),
    });
  },
  'a line of the list stands there twice, or is none': (files, { pick }) => {
    const list = text(files['manifest-sha256.txt']!);
    const more = pick([list.split('\n')[0]!, 'abc  data/rows.json', `${'0'.repeat(64)}  ../out.txt`]);
    return withTags({ ...files, 'manifest-sha256.txt': bytesOf(`${list}${more}\n`) });
  },
  'it is another bag': (files, { pick }) =>
    withTags({
      ...files,
      'bagit.txt': bytesOf(
        pick([
          'BagIt-Version: 2.0\nTag-File-Character-Encoding: UTF-8\n',
          'BagIt-Version: 1.0\nTag-File-Character-Encoding: UTF-16\n',
          '',
        ]),
      ),
    }),
  'it should hold more': (files) =>
    withTags({
      ...files,
      'bag-info.txt': bytesOf(text(files['bag-info.txt']!).replace(/Payload-Oxum: (\d)/, 'Payload-Oxum: 9$1')),
    }),
  'a picture is another one': (files, { pick }) => {
    const name = pick(Object.keys(files).filter((one) => one.startsWith('data/photos/')));
    return listAnew({ ...files, [name]: bytesOf('no picture') });
  },
  'two pictures changed places': (files) => {
    const [one, other] = Object.keys(files).filter((name) => name.startsWith('data/photos/'));
    return listAnew({ ...files, [one!]: files[other!]!, [other!]: files[one!]! });
  },
  'a picture is gone, and the list with it': (files, { pick }) =>
    listAnew(without(files, pick(Object.keys(files).filter((one) => one.startsWith('data/photos/'))))),
  'there is far more in it than it is packed': (files) =>
    listAnew({ ...files, 'data/zeros.txt': new Uint8Array(12 * 1024 ** 2) }),
  'its rows are none': (files, { pick }) =>
    listAnew({ ...files, 'data/rows.json': bytesOf(pick(['', '{', '[]', 'null', '{"format":"sardonyx-rows"}'])) }),
  'a row lacks its parent': changeRows(({ tables }, { pick }) => {
    const table = pick(
      ['specimen', 'specimen_part', 'task', 'task_log', 'photo'].filter((name) => tables[name]?.length),
    );
    const column = { specimen: 'jobId', specimen_part: 'specimenId', photo: 'jobId' }[table] ?? 'jobId';
    pick(tables[table]!)[column] = 'nobody';
  }),
  'a value is of another kind': changeRows(({ tables }, { pick }) => {
    const row = pick(tables.task!);
    row[pick(['seq', 'handsOnMin', 'version'])] = 'many';
  }),
  'what should be JSON is none': changeRows(({ tables }, { pick }) => {
    pick(tables.task!)[pick(['of', 'tags', 'needs', 'partKeys'])] = '{"a":';
  }),
  'a value is missing': changeRows(({ tables }, { pick }) => {
    pick(tables.task!)[pick(['title', 'state', 'jobId'])] = null;
  }),
  'a column is of nobody': changeRows(({ tables }, { pick }) => {
    pick(tables.specimen!)[pick(['x', 'id" --', 'rowid2'])] = 1;
  }),
  'a table is not of an archive': changeRows(({ tables }, { pick }) => {
    tables[pick(['sqlite_master', 'house_style', 'restorer', 'task"; DROP TABLE job; --', 'migrations'])] = [
      { id: 'x' },
    ];
  }),
  'a row stands in it twice': changeRows(({ tables }, { pick }) => {
    const table = pick(['task', 'specimen', 'job']);
    tables[table]!.push({ ...tables[table]![0] });
  }),
  'a row is an object of its own': changeRows(({ tables }, { pick }) => {
    pick(tables.task!).title = { a: 1 };
  }),
  'it is of a version to come': changeRows((rows) => {
    rows.migration = 'Tomorrow9999999999999';
  }),
};

function changeRows(change: (rows: Rows, hand: Hand) => void) {
  return (files: BagFiles, hand: Hand): BagFiles => {
    const rows = JSON.parse(text(files['data/rows.json']!)) as Rows;
    change(rows, hand);
    return listAnew({ ...files, 'data/rows.json': bytesOf(JSON.stringify(rows)) });
  };
}

function without(files: BagFiles, gone: string): BagFiles {
  return Object.fromEntries(Object.entries(files).filter(([name]) => name !== gone));
}

/** Cuts or doubles of the ZIP itself. */
const HARMS_OF_ZIP: Readonly<Record<string, (base: string, files: BagFiles, hand: Hand) => Buffer>> = {
  'the ZIP ends too early': (base, files, { below }) => {
    const zip = closeBag(base, files);
    return zip.subarray(0, below(zip.length - 1));
  },
  'two folders stand in it': (base, files) =>
    Buffer.from(
      zipSync(
        Object.fromEntries([
          ...Object.entries(files).map(([name, bytes]) => [`${base}/${name}`, bytes] as const),
          ['other/bagit.txt', bytesOf('BagIt-Version: 1.0\n')] as const,
        ]),
      ),
    ),
  'it is no ZIP': (_base, files) => Buffer.from(files['data/rows.json']!),
};

export interface AlteredBag {
  readonly harm: string;
  readonly zip: Buffer;
}

/** The same seed gives the same bags; one harm after the other. */
export function* alterBags(zip: Uint8Array, count: number, seed: number): Generator<AlteredBag> {
  const { base, files } = openBag(zip);
  const random = createSeededRandom(seed);
  const below = (most: number) => Math.floor(random() * most);
  const hand: Hand = { below, pick: (of) => of[below(of.length)]! };
  const harms = [...Object.entries(HARMS), ...Object.entries(HARMS_OF_ZIP)];
  for (let i = 0; i < count; i++) {
    const [harm] = harms[i % harms.length]!;
    const own = HARMS[harm];
    yield { harm, zip: own ? closeBag(base, own(files, hand)) : HARMS_OF_ZIP[harm]!(base, files, hand) };
  }
}

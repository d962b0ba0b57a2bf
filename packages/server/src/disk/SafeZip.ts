import { createHash } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdir } from 'node:fs/promises';
import { dirname } from 'node:path';
import { Transform, Writable, type Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import yauzl, { type Entry, type ZipFile } from 'yauzl';
import type { HttpError } from '../http/errors.ts';

const MOST_ENTRIES = 200_000;
const MOST_BYTES = 16 * 1024 ** 3;
/** A database packs well, but not so well. */
const MOST_RATIO = 200;

export interface ZipRules {
  /** The refusal, with its reason. */
  readonly refuse: (why: string) => HttpError;
  /** How large a file of this name may be. */
  readonly mostBytes: (name: string) => number;
}

/**
 * A ZIP that came from outside: looked at as a whole before anything is inflated. A name that leads out of its folder, one that stands
 * in it twice, and what would be far larger than it is packed are refused.
 */
export class SafeZip {
  private constructor(
    private readonly zip: ZipFile,
    private readonly entries: ReadonlyMap<string, Entry>,
    private readonly rules: ZipRules,
  ) {}

  static async open(path: string, rules: ZipRules): Promise<SafeZip> {
    const zip = await yauzl
      .openPromise(path, { lazyEntries: true, autoClose: false, strictFileNames: true })
      .catch(() => {
        throw rules.refuse('it is not a readable ZIP');
      });
    try {
      return new SafeZip(zip, await listEntries(zip, rules), rules);
    } catch (error) {
      zip.close();
      throw error;
    }
  }

  get names(): readonly string[] {
    return [...this.entries.keys()];
  }

  has(name: string): boolean {
    return this.entries.has(name);
  }

  close(): void {
    this.zip.close();
  }

  /** Throws what it refuses where the file is larger, or cannot be read. */
  async readText(name: string, mostBytes: number, why: string): Promise<string> {
    const entry = this.entries.get(name);
    if (!entry || entry.uncompressedSize > mostBytes) throw this.rules.refuse(why);
    const pieces: Buffer[] = [];
    try {
      for await (const piece of (await this.openEntry(entry)) as AsyncIterable<Buffer>) pieces.push(piece);
    } catch {
      throw this.rules.refuse(why);
    }
    return Buffer.concat(pieces).toString('utf8');
  }

  /** Writes one file out in pieces, synced; the SHA-256 of what was in it, and its bytes. */
  async unpack(name: string, to: string): Promise<{ readonly sha256: string; readonly bytes: number }> {
    await mkdir(dirname(to), { recursive: true });
    return this.pass(name, createWriteStream(to, { flush: true }));
  }

  /** The SHA-256 of what is in it, without writing it out, and its bytes. */
  async sum(name: string): Promise<{ readonly sha256: string; readonly bytes: number }> {
    return this.pass(name, new Writable({ write: (_piece, _, done) => done() }));
  }

  private async pass(
    name: string,
    target: NodeJS.WritableStream,
  ): Promise<{ readonly sha256: string; readonly bytes: number }> {
    const hash = createHash('sha256');
    let bytes = 0;
    const note = new Transform({
      transform: (piece: Buffer, _, done) => {
        hash.update(piece);
        bytes += piece.length;
        done(null, piece);
      },
    });
    const from = await this.openEntry(this.entries.get(name)!);
    try {
      await pipeline(from, note, target);
    } catch (error) {
      // What the disk does not take is the disk's; everything else is the file's.
      if (typeof (error as NodeJS.ErrnoException).syscall === 'string') throw error;
      throw this.rules.refuse(`${name.slice(0, 80)} was damaged or changed`);
    }
    return { sha256: hash.digest('hex'), bytes };
  }

  private openEntry(entry: Entry): Promise<Readable> {
    return this.zip.openReadStreamPromise(entry).catch(() => {
      throw this.rules.refuse(`${entry.fileName.slice(0, 80)} cannot be read`);
    });
  }
}

/** Every entry by its name, sizes looked at. */
async function listEntries(zip: ZipFile, { refuse, mostBytes }: ZipRules): Promise<ReadonlyMap<string, Entry>> {
  if (zip.entryCount > MOST_ENTRIES) throw refuse(`it holds ${zip.entryCount} files`);
  const entries = new Map<string, Entry>();
  let bytes = 0;
  await new Promise<void>((done, fail) => {
    zip.on('entry', (entry: Entry) => {
      const { fileName, uncompressedSize, compressedSize } = entry;
      bytes += uncompressedSize;
      if (entries.has(fileName)) return fail(refuse(`${fileName.slice(0, 80)} stands in it twice`));
      if (uncompressedSize > mostBytes(fileName) || bytes > MOST_BYTES)
        return fail(refuse('what is in it is too large'));
      if (uncompressedSize > MOST_RATIO * Math.max(compressedSize, 5000))
        return fail(refuse(`${fileName.slice(0, 80)} would be far larger than it is packed`));
      entries.set(fileName, entry);
      zip.readEntry();
    });
    zip.on('end', done);
    zip.on('error', () => fail(refuse('it is not a readable ZIP')));
    zip.readEntry();
  });
  return entries;
}

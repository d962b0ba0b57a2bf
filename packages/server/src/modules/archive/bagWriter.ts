import { createHash } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { stat } from 'node:fs/promises';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { ZipFile } from 'yazl';
import { readHashed } from '../../disk/readHashed.ts';
import { BAGIT, BAGIT_FILE, INFO_FILE, MANIFEST, TAG_MANIFEST } from './bagNames.ts';

/** Writes a bag (RFC 8493) in a ZIP, file by file; each is read once, and no more than a piece of it is in memory. */
export class BagWriter {
  private readonly zip = new ZipFile();
  private readonly output = this.zip.outputStream as Readable;
  /** Of the payload; of a file by its path, known when it went out. */
  private readonly sums = new Map<string, string>();
  private readonly tags = new Map<string, string>();
  private readonly written: Promise<void>;
  private bytes = 0;

  constructor(
    private readonly name: string,
    to: string,
    private readonly at: Date,
  ) {
    this.zip.on('error', (error: Error) => this.output.destroy(error));
    this.written = pipeline(this.output, createWriteStream(to));
    // Told when it is ended; until then nobody waits for it.
    this.written.catch(() => undefined);
  }

  addText(path: string, text: string): void {
    const bytes = Buffer.from(text);
    this.count(path, bytes.length);
    this.sums.set(path, hash(bytes));
    this.zip.addBuffer(bytes, `${this.name}/${path}`, { mtime: this.at });
  }

  /** A file that stays where it is until the bag is whole. Pictures, PDF and the like are small already. */
  async addFile(path: string, file: string): Promise<void> {
    const { size } = await stat(file);
    this.count(path, size);
    this.sums.set(path, '');
    this.zip.addReadStreamLazy(`${this.name}/${path}`, { mtime: this.at, compress: false, size }, (give) =>
      give(
        null,
        readHashed(file, (sum) => this.sums.set(path, sum)),
      ),
    );
  }

  /** Manifests and tags; the bag is whole on the disk then. */
  async end(info: Readonly<Record<string, string>>): Promise<void> {
    this.addTag(BAGIT_FILE, () => BAGIT);
    this.addTag(INFO_FILE, () => writeInfo({ ...info, 'Payload-Oxum': `${this.bytes}.${this.sums.size}` }));
    this.addTag(MANIFEST, () => writeSums(this.sums));
    this.addTag(TAG_MANIFEST, () => writeSums(this.tags));
    this.zip.end();
    await this.written;
  }

  /** Lets go of a bag that is not finished. */
  abandon(): void {
    this.output.destroy();
  }

  private count(path: string, bytes: number): void {
    if (this.sums.has(path)) throw new Error(`${path} stands in the bag already.`);
    this.bytes += bytes;
  }

  /** What it says is known when all before it went out. */
  private addTag(name: string, say: () => string): void {
    this.zip.addReadStreamLazy(`${this.name}/${name}`, { mtime: this.at }, (give) => {
      const text = Buffer.from(say());
      this.tags.set(name, hash(text));
      give(null, Readable.from([text]));
    });
  }
}

/** As `sha256sum -c` reads them. */
const writeSums = (sums: ReadonlyMap<string, string>): string =>
  [...sums].map(([path, sum]) => `${sum}  ${path}\n`).join('');

const writeInfo = (info: Readonly<Record<string, string>>): string =>
  Object.entries(info)
    .map(([label, value]) => `${label}: ${value.replaceAll(/\s+/g, ' ').trim()}\n`)
    .join('');

const hash = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

import { createHash } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { stat } from 'node:fs/promises';
import { createReadStream } from 'node:fs';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { ZipFile } from 'yazl';
import { BAGIT, BAGIT_FILE, INFO_FILE, MANIFEST, TAG_MANIFEST } from './bagNames.ts';

/** A file of the payload: what it holds, or where it lies. */
export interface Payload {
  readonly path: string;
  readonly bytes?: Uint8Array;
  readonly file?: string;
  readonly isPacked?: boolean;
}

/** Writes a bag (RFC 8493) in a ZIP, file by file; no more than one of them is in memory. */
export class BagWriter {
  private readonly zip = new ZipFile();
  private readonly sums = new Map<string, string>();
  private readonly written: Promise<void>;
  private bytes = 0;

  constructor(
    private readonly name: string,
    to: string,
    private readonly at: Date,
  ) {
    this.written = pipeline(this.zip.outputStream, createWriteStream(to));
    // Told when it is ended; until then nobody waits for it.
    this.written.catch(() => undefined);
  }

  async add({ path, bytes, file, isPacked = false }: Payload): Promise<void> {
    if (this.sums.has(path)) throw new Error(`${path} stands in the bag already.`);
    const options = { mtime: this.at, compress: !isPacked };
    if (file) {
      this.sums.set(path, await hashFile(file));
      this.bytes += (await stat(file)).size;
      this.zip.addFile(file, `${this.name}/${path}`, options);
    } else {
      this.sums.set(path, hash(bytes!));
      this.bytes += bytes!.length;
      this.zip.addBuffer(Buffer.from(bytes!.buffer, bytes!.byteOffset, bytes!.length), `${this.name}/${path}`, options);
    }
  }

  /** Lets go of a bag that is not finished. */
  abandon(): void {
    (this.zip.outputStream as Readable).destroy();
  }

  /** Manifests and tags; the bag is whole on the disk then. */
  async end(info: Readonly<Record<string, string>>): Promise<void> {
    const tags: [string, string][] = [
      [BAGIT_FILE, BAGIT],
      [INFO_FILE, writeInfo({ ...info, 'Payload-Oxum': `${this.bytes}.${this.sums.size}` })],
      [MANIFEST, writeSums(this.sums)],
    ];
    tags.push([TAG_MANIFEST, writeSums(new Map(tags.map(([name, text]) => [name, hash(Buffer.from(text))])))]);
    for (const [name, text] of tags) this.zip.addBuffer(Buffer.from(text), `${this.name}/${name}`, { mtime: this.at });
    this.zip.end();
    await this.written;
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

async function hashFile(path: string): Promise<string> {
  const sum = createHash('sha256');
  for await (const piece of createReadStream(path)) sum.update(piece as Buffer);
  return sum.digest('hex');
}

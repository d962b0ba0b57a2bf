import { execFile } from 'node:child_process';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';

const run = promisify(execFile);

export interface ReadPdf {
  /** Page by page, laid out as it is seen. */
  readonly pages: readonly string[];
  readonly title: string;
  /** Of the first page, mm. */
  readonly sizeMm: readonly [width: number, height: number];
  readonly fonts: readonly { readonly name: string; readonly isEmbedded: boolean; readonly isSubset: boolean }[];
  readonly pictures: number;
}

const MM_PER_PT = 25.4 / 72;

/** A PDF as poppler reads it. */
export async function readPdf(bytes: Buffer): Promise<ReadPdf> {
  const folder = await mkdtemp(join(tmpdir(), 'sardonyx-pdf-'));
  const path = join(folder, 'paper.pdf');
  try {
    await writeFile(path, bytes);
    const ask = async (tool: string, ...args: string[]) => (await run(tool, args)).stdout;
    const text = await ask('pdftotext', '-layout', path, '-');
    const info = await ask('pdfinfo', path);
    const fonts = await ask('pdffonts', path);
    const images = await ask('pdfimages', '-list', path);
    const size = /Page size:\s+([\d.]+) x ([\d.]+) pts/.exec(info)!;
    return {
      pages: text.split('\f').slice(0, -1),
      title: /Title:\s+(.*)/.exec(info)?.[1] ?? '',
      sizeMm: [Number(size[1]) * MM_PER_PT, Number(size[2]) * MM_PER_PT],
      fonts: tableRows(fonts).map((row) => {
        const [embedded, subset] = /(yes|no)\s+(yes|no)\s+(yes|no)\s+\d+\s+\d+$/.exec(row)!.slice(1);
        return { name: row.split(/\s/)[0]!, isEmbedded: embedded === 'yes', isSubset: subset === 'yes' };
      }),
      pictures: tableRows(images).length,
    };
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

/** Without the head and the line below it. */
const tableRows = (text: string) =>
  text
    .split('\n')
    .slice(2)
    .filter((line) => line.trim() !== '');

/** What stands in a bag (RFC 8493), and where. */
export const BAGIT_FILE = 'bagit.txt';
export const INFO_FILE = 'bag-info.txt';
export const MANIFEST = 'manifest-sha256.txt';
export const TAG_MANIFEST = 'tagmanifest-sha256.txt';
export const BAGIT = 'BagIt-Version: 1.0\nTag-File-Character-Encoding: UTF-8\n';
export const ROWS_FILE = 'data/rows.json';
export const picturePath = (hash: string) => `data/photos/${hash}.jpg`;

/** A name as it can stand in a path on every system: letters, digits and dashes. */
export const writeFileName = (name: string): string =>
  name
    .normalize('NFKD')
    .replace(/[^A-Za-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60) || 'unnamed';

/** Names of files in one folder, none twice. */
export class FreeNames {
  private readonly taken = new Set<string>();

  take(name: string): string {
    let free = name;
    for (let n = 2; this.taken.has(free); n++) free = `${name}-${n}`;
    this.taken.add(free);
    return free;
  }
}

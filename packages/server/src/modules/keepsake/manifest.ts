import { DATABASE_FILE, PHOTO_FOLDER } from '../../disk/folderNames.ts';

export const MANIFEST_FILE = 'manifest.json';

/** What "Save everything" holds. */
export interface Manifest {
  readonly format: 'sardonyx-save';
  readonly formatVersion: 1;
  readonly savedAt: string;
  /** Path in the ZIP -> SHA-256 of its bytes. */
  readonly files: Readonly<Record<string, string>>;
  /** Photographs that the database names and whose files were gone when it was saved; absent in older ones: none. */
  readonly missing?: readonly string[];
}

export const photoEntry = (hash: string) => `${PHOTO_FOLDER}/${hash}.jpg`;

/** Names that may stand in the ZIP beside the manifest. */
export const BELONGS = new RegExp(`^(${DATABASE_FILE.replace('.', '\\.')}|${PHOTO_FOLDER}/[0-9a-f]{64}\\.jpg)$`);

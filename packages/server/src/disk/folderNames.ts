/** What lies in the folder of a bench. */
export const DATABASE_FILE = 'sardonyx.db';
export const WAL_FILES = [`${DATABASE_FILE}-wal`, `${DATABASE_FILE}-shm`] as const;
export const PHOTO_FOLDER = 'photos';
export const THUMBNAIL_FOLDER = 'thumbnails';
export const COPY_FOLDER = 'copies';
export const LEFTOVER_FOLDER = 'leftovers';
/** A folder that is being filled to take the place of what is there. */
export const DRAFT_PREFIX = 'restoring-';
export const PHOTO_NAME = /^[0-9a-f]{64}\.jpg$/;

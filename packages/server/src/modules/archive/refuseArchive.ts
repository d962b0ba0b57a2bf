import { badInput } from '../../http/errors.ts';

/** An archive of which nothing is taken. */
export const refuseArchive = (why: string) => badInput(`Nothing was taken: ${why}.`, undefined, 'bad-archive');

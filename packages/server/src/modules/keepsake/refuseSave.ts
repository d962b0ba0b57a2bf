import { badInput } from '../../http/errors.ts';

/** A file that is not put in place of what is there. */
export const refuseSave = (why: string) => badInput(`Nothing was replaced: ${why}.`, undefined, 'bad-save');

import type { MigrationInterface } from 'typeorm';
import { Initial1795500053787 } from './1795500053787-Initial.ts';

/** In the order in which they run. Made by `npm run migration -- NAME`, never by hand. */
export const MIGRATIONS: (new () => MigrationInterface)[] = [Initial1795500053787];

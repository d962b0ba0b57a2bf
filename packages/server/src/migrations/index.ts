import { Initial1795576601852 } from './1795576601852-Initial.ts';
import type { MigrationInterface } from 'typeorm';

/** In the order in which they run. Made by `npm run migration -- NAME`, never by hand. */
export const MIGRATIONS: (new () => MigrationInterface)[] = [Initial1795576601852];

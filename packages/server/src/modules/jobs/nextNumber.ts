import type { EntityManager } from 'typeorm';
import { JobRow } from '../../entities/work.ts';

/** The prefix in use, counted up: SG-11 after SG-10; a new bench begins with B-01. */
export async function nextNumber(manager: EntityManager, alsoTaken: ReadonlySet<string> = new Set()): Promise<string> {
  const numbers = [...(await manager.find(JobRow)).map(({ number }) => number), ...alsoTaken].flatMap((number) => {
    const match = /^(.*?)(\d+)$/.exec(number);
    return match ? [{ prefix: match[1]!, count: Number(match[2]) }] : [];
  });
  const last = numbers.sort((a, b) => b.count - a.count)[0] ?? { prefix: 'B-', count: 0 };
  return `${last.prefix}${String(last.count + 1).padStart(2, '0')}`;
}

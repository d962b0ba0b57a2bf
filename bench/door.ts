import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Topic } from './figure.ts';

const DOOR = join(import.meta.dirname, '../packages/core/src/index.ts');

/** How wide the door of the core is: every name it gives away, types too. */
export const door: Topic = {
  names: ['core.publicNames'],
  measure: async () => {
    const text = await readFile(DOOR, 'utf8');
    if (/export\s+(type\s+)?\*/.test(text)) throw new Error('The door gives a whole file away: name what it shows.');
    const names = [...text.matchAll(/export\s+(?:type\s+)?\{([^}]*)\}/g)].flatMap(([, list]) =>
      list!.split(',').filter((name) => name.trim() !== ''),
    );
    return [
      {
        name: 'core.publicNames',
        value: names.length,
        unit: '',
        goal: { kind: 'at most', value: 250 },
        yardstick: 'names the core shows, types among them',
      },
    ];
  },
};

import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { expect } from 'chai';

const HERE = import.meta.dirname;

describe('the signs of the page', () => {
  it('all have a meaning in words, and no sign has two names', async () => {
    const source = await readFile(join(HERE, 'icons.ts'), 'utf8');
    const table = await readFile(join(HERE, '../../../../../docs/icons.md'), 'utf8');
    const pairs = [...source.matchAll(/(\w+) as (\w+Icon)/g)].map(([, drawing, name]) => [drawing!, name!] as const);
    const told = [...table.matchAll(/^\| (\w+Icon) +\| \S/gm)].map(([, name]) => name!);
    expect(told.sort()).eql(pairs.map(([, name]) => name).sort());
    expect(new Set(pairs.map(([drawing]) => drawing)).size).equal(pairs.length);
  });
});

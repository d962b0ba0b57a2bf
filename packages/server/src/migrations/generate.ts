/** Writes the next migration: what the entities want and the migrations so far do not give. `npm run migration -- Name`. */
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { createDataSource } from '../data-source.ts';

const name = process.argv[2];
if (!name || !/^[A-Z][A-Za-z]+$/.test(name))
  throw new Error('Give the migration a name: npm run migration -- AddSomething');

const source = await createDataSource(':memory:').initialize();
await source.runMigrations();
const log = await source.driver.createSchemaBuilder().log();
await source.destroy();
if (log.upQueries.length === 0) {
  console.log('Entities and migrations agree; nothing to write.');
} else {
  const stamp = String(Date.now());
  const line = (query: { query: string }) => `    await queryRunner.query(${JSON.stringify(query.query)});`;
  const className = `${name}${stamp}`;
  const text = `import type { MigrationInterface, QueryRunner } from 'typeorm';

export class ${className} implements MigrationInterface {
  name = '${className}';

  async up(queryRunner: QueryRunner): Promise<void> {
${log.upQueries.map(line).join('\n')}
  }

  async down(queryRunner: QueryRunner): Promise<void> {
${[...log.downQueries].reverse().map(line).join('\n')}
  }
}
`;
  const folder = import.meta.dirname;
  writeFileSync(join(folder, `${stamp}-${name}.ts`), text);
  const indexFile = join(folder, 'index.ts');
  const index = readFileSync(indexFile, 'utf8')
    .replace(/^/, `import { ${className} } from './${stamp}-${name}.ts';\n`)
    .replace(/\[\s*([^[\]]*?),?\s*\];\s*$/, (_, list: string) => `[${list ? `${list}, ` : ''}${className}];\n`);
  writeFileSync(indexFile, index);
  console.log(`Wrote ${stamp}-${name}.ts`);
}

// The published layout of a record, made from its types: docs/formats/record.schema.json. `npm run schema` writes it anew.
import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import TJS from 'typescript-json-schema';
import { root } from './setUp.mjs';

export const SCHEMA = join(root, 'docs/formats/record.schema.json');

/** The schema as text. */
export function createRecordSchema() {
  const program = TJS.getProgramFromFiles([join(root, 'packages/core/src/record/jobRecord.ts')], {
    ...{ strict: true, skipLibCheck: true, noEmit: true, allowImportingTsExtensions: true },
    ...{ module: 'esnext', moduleResolution: 'bundler', target: 'es2022' },
  });
  const options = { required: true, noExtraProps: true, strictNullChecks: true, ref: true, ignoreErrors: true };
  const schema = TJS.generateSchema(program, 'JobRecord', options);
  if (!schema) throw new Error('No schema could be made from JobRecord.');
  const { $schema, ...rest } = schema;
  const about = { $schema, title: 'Record of one job', ...rest };
  return JSON.stringify(about, null, 2) + '\n';
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const text = createRecordSchema();
  const known = await readFile(SCHEMA, 'utf8').catch(() => '');
  if (text !== known) await writeFile(SCHEMA, text);
}

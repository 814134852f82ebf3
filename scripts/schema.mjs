// Writes docs/design.schema.json from the model's types.
import { build as bundle } from 'esbuild';
import { writeFileSync } from 'node:fs';

await bundle({
  entryPoints: ['tests/schema/make-schema.ts'],
  outfile: 'dist/schema/make-schema.mjs',
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  logLevel: 'warning',
});
const { makeSchema } = await import('../dist/schema/make-schema.mjs');
writeFileSync('docs/design.schema.json', makeSchema());

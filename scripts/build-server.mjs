// Bundles the entry, the demo's maker and the bench's server pieces into dist/server; packages stay outside.
import { build } from 'esbuild';

const entries = { entry: 'src/server/entry.ts', 'fill-demo': 'src/demo/fill.ts', 'demo-site': 'src/demo/serve.ts' };
await build({
  entryPoints: entries,
  outdir: 'dist/server',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  sourcemap: 'linked',
  logLevel: 'warning',
});

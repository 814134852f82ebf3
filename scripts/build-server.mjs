// Bundles the entry, the demo's maker and the bench's server pieces into dist/server; packages stay outside.
import { build } from 'esbuild';
import { createRequire } from 'node:module';

const require = createRequire(import.meta.url);
/** Data of a package is taken in: Node imports no JSON without a flag or a warning. */
const jsonInside = {
  name: 'json-inside',
  setup: (on) => on.onResolve({ filter: /^[^.].*\.json$/ }, ({ path }) => ({ path: require.resolve(path) })),
};

const entries = {
  entry: 'src/server/entry.ts',
  'fill-demo': 'src/demo/fill.ts',
  'demo-site': 'src/demo/serve.ts',
};
await build({
  entryPoints: entries,
  outdir: 'dist/server',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  plugins: [jsonInside],
  sourcemap: 'linked',
  logLevel: 'warning',
});

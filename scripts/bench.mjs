// Builds what is measured and runs bench/run.ts on it.
import { build as bundle } from 'esbuild';
import { spawnSync } from 'node:child_process';
import { build } from './build.mjs';

build();
await bundle({
  entryPoints: ['bench/run.ts', 'bench/bare-server.ts', 'bench/load.ts'],
  outdir: 'dist/bench',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  logLevel: 'warning',
});
const { status } = spawnSync(process.execPath, ['dist/bench/run.mjs', ...process.argv.slice(2)], {
  stdio: 'inherit',
});
process.exit(status ?? 1);

// Takes docs/screenshots anew from a demo of its own: one current picture per main view.
import { spawnSync } from 'node:child_process';
import { build } from './build.mjs';
import { ensureAll } from './lib/setup.mjs';

ensureAll({ withChromium: true });
build();
const { status } = spawnSync(
  process.execPath,
  ['node_modules/@playwright/test/cli.js', 'test', '--config=playwright.screenshots.config.ts'],
  {
    stdio: 'inherit',
  },
);
process.exit(status ?? 1);

// The demo: installs, builds, fills a database of its own once, and starts the application and the observatory's site.
import { execFileSync, fork } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { build } from './build.mjs';
import { mustBeFree, portFrom } from './lib/ports.mjs';
import { stop } from './lib/say.mjs';

const appPort = portFrom('PORT', 4310);
const sitePort = portFrom('SITE_PORT', 4320);
const appOrigin = `http://127.0.0.1:${appPort}`;
const siteOrigin = `http://localhost:${sitePort}`;
await mustBeFree(appPort, '127.0.0.1', `PORT=${appPort + 1} npm run demo`);
await mustBeFree(sitePort, 'localhost', `SITE_PORT=${sitePort + 1} npm run demo`);
build();

// Allowed domains and the tag name the ports, so each pair of ports has a demo of its own.
const dataDir = join(process.cwd(), 'data', `demo-${appPort}-${sitePort}`);
const env = {
  ...process.env,
  NODE_ENV: 'production',
  PORT: String(appPort),
  HOST: '127.0.0.1',
  PORCH_DATA: dataDir,
  PORCH_DEMO: randomBytes(32).toString('base64url'), // opens the one-click door for as long as this demo runs
  LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn', // whoever looks at the demo reads sentences
};
delete env.PUBLIC_URL;
const note = join(dataDir, 'filled.json');
if (!existsSync(note)) {
  console.log('Filling the demo …');
  rmSync(dataDir, { recursive: true, force: true });
  writeFileSync(
    note,
    execFileSync(process.execPath, ['dist/server/fill-demo.mjs', siteOrigin], {
      env,
      stdio: ['ignore', 'pipe', 'inherit'],
    }),
  );
}
const { siteKey } = JSON.parse(readFileSync(note, 'utf8'));
const tag = `<script async src="${appOrigin}/w/porch.js" data-site="${siteKey}"></script>`;

const children = [
  fork('dist/server/entry.mjs', [], { env, silent: true }),
  fork('dist/server/demo-site.mjs', [join(dataDir, 'site'), String(sitePort), tag], { env, silent: true }),
];
let isEnding = false;
const end = (code) => {
  if (isEnding) return;
  isEnding = true;
  for (const child of children) child.kill('SIGTERM');
  process.exitCode = code;
};
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => end(0));
const listening = children.map(
  (child) =>
    new Promise((resolve) => {
      child.stderr.pipe(process.stderr);
      child.on('message', ({ kind }) => kind === 'listening' && resolve());
      child.on('exit', (code) => end(code ?? 0));
    }),
);
await Promise.all(listening);
if (isEnding) stop('The demo could not be started; the reason stands above.');
console.log(`
Sunny Porch's demo is open.
  The application    ${appOrigin}
  The demo site      ${siteOrigin}
Enter as Inês (owner), Rui (responder) or start an empty site of your own.
Ctrl C ends it; what you did stays in ${dataDir}.`);

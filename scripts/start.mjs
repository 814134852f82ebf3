// Starts the application on its own data. PORT, HOST, PUBLIC_URL, PORCH_DATA and TRUSTED_PROXIES are read by the server.
import { spawn } from 'node:child_process';
import { build } from './build.mjs';

build();
const env = { ...process.env, NODE_ENV: 'production' };
delete env.PORCH_DEMO; // only the demo opens its door
const server = spawn(process.execPath, ['dist/server/entry.mjs'], {
  stdio: 'inherit',
  env,
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));

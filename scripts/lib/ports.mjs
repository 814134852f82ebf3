import { createServer } from 'node:net';
import { stop } from './say.mjs';

/** A port from a variable, or ours. */
export function portFrom(name, ours) {
  const port = Number(process.env[name] ?? ours);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    stop(`${name} must be a number from 1 to 65535, and is "${process.env[name]}".`);
  return port;
}

/** Ends with one sentence and the way out where a port is taken. */
export async function mustBeFree(port, host, wayOut) {
  const isFree = await new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, host, () => probe.close(() => resolve(true)));
  });
  if (!isFree) stop(`Port ${port} is busy. Stop what runs there, or take another one: ${wayOut}`);
}

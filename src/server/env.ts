import { join } from 'node:path';

/** What the process was started with. Read once per use: nothing else in the server looks at `process.env`. */
export interface Env {
  readonly port: number;
  readonly host: string;
  /** Origin under which browsers reach the application and the tag; null: this computer only. */
  readonly publicUrl: string | null;
  readonly dataDir: string;
  readonly widgetDir: string;
  /** The process that draws pictures. */
  readonly drawScript: string;
  /** Addresses of proxies whose `X-Forwarded-For` is believed. */
  readonly trustedProxies: readonly string[];
  /** What the demo gives the server it starts, and nothing else does ([threat 6]); null: this is no demo. */
  readonly demoSecret: string | null;
}

/** Throws with a sentence where a variable cannot be used. */
export function readEnv(from: NodeJS.ProcessEnv = process.env): Env {
  return {
    port: portOf(from.PORT),
    host: from.HOST ?? '127.0.0.1',
    publicUrl: publicOrigin(from.PUBLIC_URL),
    dataDir: from.PORCH_DATA ?? join(process.cwd(), 'data'),
    widgetDir: from.PORCH_WIDGET ?? join(process.cwd(), 'dist', 'widget'),
    drawScript: join(process.cwd(), 'dist', 'server', 'draw.mjs'),
    trustedProxies: (from.TRUSTED_PROXIES ?? '')
      .split(',')
      .map((one) => one.trim())
      .filter(Boolean),
    demoSecret: /^[\w-]{43}$/.test(from.PORCH_DEMO ?? '') ? (from.PORCH_DEMO ?? null) : null,
  };
}

function portOf(text: string | undefined): number {
  const port = Number(text ?? 4310);
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    throw new Error(`PORT must be a number from 0 to 65535, and is "${text}".`);
  return port;
}

function publicOrigin(text: string | undefined): string | null {
  if (text === undefined || text === '') return null;
  const url = URL.canParse(text) ? new URL(text) : null;
  if (url === null || !/^https?:$/.test(url.protocol))
    throw new Error(
      `PUBLIC_URL must be an http or https address such as https://porch.example, and is "${text}".`,
    );
  return url.origin;
}

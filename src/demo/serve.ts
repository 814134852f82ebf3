import { type Server, createServer } from 'node:http';
import { existsSync, readFileSync, statSync } from 'node:fs';
import { extname, join, normalize } from 'node:path';
import { writeSite } from './site/write-site';

const KINDS: Readonly<Record<string, string>> = {
  '.html': 'text/html; charset=utf-8',
  '.css': 'text/css; charset=utf-8',
};

/** Serves plain files as any web server would: it knows nothing of Sunny Porch. */
export function serveFiles(dir: string): Server {
  return createServer((request, response) => {
    const path = normalize(decodeURIComponent((request.url ?? '/').split('?')[0] ?? '/'));
    const wanted = join(dir, path);
    const file = existsSync(wanted) && statSync(wanted).isDirectory() ? join(wanted, 'index.html') : wanted;
    if (!file.startsWith(dir) || !existsSync(file)) {
      response.writeHead(404, { 'Content-Type': 'text/plain' }).end('Not found');
      return;
    }
    response
      .writeHead(200, {
        'Content-Type': KINDS[extname(file)] ?? 'application/octet-stream',
        'Cache-Control': 'no-cache',
      })
      .end(readFileSync(file));
  });
}

// Writes the observatory's pages once, with the tag pasted in, and never touches them again.
if (process.argv[1]?.endsWith('demo-site.mjs')) {
  const [, , dir = '', port = '4320', tag = ''] = process.argv;
  if (!existsSync(dir)) writeSite(dir, tag, `http://localhost:${port}`);
  serveFiles(dir).listen(Number(port), 'localhost', () => process.send?.({ kind: 'listening' }));
}

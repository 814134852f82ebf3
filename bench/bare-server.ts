import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';

// The reference: the barest server there is. It answers every GET with the bytes it was given, and every POST with its length.
process.once('message', ({ body, headers }: { body: string; headers: Record<string, string> }) => {
  const bytes = Buffer.from(body, 'base64');
  const server = createServer((request, response) => {
    if (request.method === 'GET') return void response.writeHead(200, headers).end(bytes);
    let length = 0;
    request
      .on('data', (part: Buffer) => (length += part.length))
      .on('end', () => response.writeHead(200).end(String(length)));
  });
  server.listen(0, '127.0.0.1', () =>
    process.send?.({ kind: 'listening', port: (server.address() as AddressInfo).port }),
  );
});

import { type IncomingMessage, type Server, createServer, request } from 'node:http';
import { type AddressInfo, connect } from 'node:net';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { HttpAnswer, HttpRequest, Sink } from './exchange';
import { fromNode, sendAnswer } from './node-bridge';

let server: Server;
afterEach(() => {
  server.closeAllConnections();
  server.close();
});

/** A real server that answers by one function; gives its port. */
async function serve(answer: (asked: HttpRequest) => HttpAnswer | Promise<HttpAnswer>): Promise<number> {
  server = createServer((incoming, response) => {
    void Promise.resolve(answer(fromNode(incoming))).then(
      (given) => sendAnswer(given, response),
      () => undefined,
    );
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return (server.address() as AddressInfo).port;
}

const said = (body: string): HttpAnswer => ({ status: 200, headers: { 'X-Kind': 'test' }, body });

describe('a request of Node’s', () => {
  it('is read as it came: method, whole address, headers by any case, body', async () => {
    const port = await serve(async (asked) =>
      said(
        `${asked.method} ${asked.url} ${asked.headers.get('X-Own')} ${(await asked.read(100))?.toString()}`,
      ),
    );
    const answer = await fetch(`http://127.0.0.1:${port}/w/x?a=1`, {
      method: 'POST',
      headers: { 'x-own': 'é' },
      body: 'Is it dark yet? – nearly',
    });
    expect(answer.headers.get('X-Kind')).toBe('test');
    expect(await answer.text()).toBe(`POST http://127.0.0.1:${port}/w/x?a=1 é Is it dark yet? – nearly`);
  });

  it('[threat 15] is read no further than allowed: it is answered, and its line ends', async () => {
    const port = await serve(async (asked) => said((await asked.read(1000)) === null ? 'too much' : 'all'));
    const line = connect(port, '127.0.0.1');
    let heard = '';
    line.on('data', (part: Buffer) => {
      heard += part.toString();
    });
    const ended = new Promise<void>((resolve) => line.once('close', () => resolve()));
    line.on('error', () => undefined); // what is still sent meets a closed line
    line.write('POST / HTTP/1.1\r\nHost: h\r\nTransfer-Encoding: chunked\r\n\r\n');
    line.write(`1000\r\n${'x'.repeat(4096)}\r\n`);
    await ended;
    expect(heard).toContain('too much');
    expect(heard).toContain('Connection: close');
  });

  it('gives up a body whose sender went away', async () => {
    const failed = vi.fn();
    const port = await serve((asked) =>
      asked.read(1000).then(
        () => said('all'),
        (error: unknown) => {
          failed(String(error));
          throw error;
        },
      ),
    );
    const line = request({ port, host: '127.0.0.1', method: 'POST', headers: { 'Content-Length': '500' } });
    line.on('error', () => undefined);
    line.write('half');
    await vi.waitFor(() => expect(server.listening && line.socket?.bytesWritten).toBeGreaterThan(0));
    line.destroy();
    await vi.waitFor(() => expect(failed).toHaveBeenCalledOnce());
  });
});

describe('an answer that goes on', () => {
  /** Listens to a stream of a server; gives where its bytes go, what was heard, and whether it was left. */
  async function opened() {
    const leave = vi.fn();
    let sink: Sink | null = null;
    const requests: HttpRequest[] = [];
    const port = await serve((one) => {
      requests.push(one);
      return {
        status: 200,
        headers: { 'Content-Type': 'text/event-stream', 'X-Read': one.headers.get('X-Tab') ?? 'none' },
        body: {
          start: (given) => {
            sink = given;
            return leave;
          },
        },
      };
    });
    const asked = request({ port, host: '127.0.0.1', headers: { 'X-Tab': 'a'.repeat(40) } });
    const response = new Promise<IncomingMessage>((resolve) => asked.once('response', resolve));
    asked.end();
    const incoming = await response;
    let heard = '';
    incoming
      .on('data', (part: Buffer) => {
        heard += part.toString();
      })
      .on('error', () => undefined);
    asked.on('error', () => undefined);
    if (sink === null) throw new Error('Expected a sink.');
    return { asked, incoming, requests, sink: sink as Sink, leave, heard: () => heard };
  }

  it('keeps nothing of what it was asked with: it may be open for hours, beside thousands of others', async () => {
    const { incoming, requests } = await opened();
    expect(incoming.headers['x-read']).toBe('a'.repeat(40));
    expect(requests.map((one) => one.headers.get('X-Tab'))).toEqual([null]);
  });

  it('sends its head at once, then what comes, until it ends', async () => {
    const { incoming, sink, heard } = await opened();
    expect(incoming.headers['content-type']).toBe('text/event-stream');
    sink.write(Buffer.from('event: beat\n\n'));
    await vi.waitFor(() => expect(heard()).toBe('event: beat\n\n'));
    const over = new Promise<void>((resolve) => incoming.once('end', () => resolve()));
    sink.end();
    await over;
  });

  it('is dropped with all that waits, and left', async () => {
    const { sink, leave, incoming } = await opened();
    const broken = new Promise<void>((resolve) => incoming.once('close', () => resolve()));
    sink.write(Buffer.from('event: beat\n\n'));
    sink.drop();
    await broken;
    await vi.waitFor(() => expect(leave).toHaveBeenCalled());
    expect(sink.behind()).toBe(0);
  });

  it('is left once the other side has gone, and nothing breaks where more is written', async () => {
    const { asked, sink, leave } = await opened();
    asked.destroy();
    await vi.waitFor(() => expect(leave).toHaveBeenCalled());
    expect(() => sink.write(Buffer.from('event: beat\n\n'))).not.toThrow();
    expect(sink.behind()).toBe(0);
  });
});

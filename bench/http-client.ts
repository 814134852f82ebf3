import { Agent, type ClientRequest, type IncomingMessage, request } from 'node:http';

/** Connections that are kept, so that each request costs what it costs and no handshake. */
export function makeAgent(): Agent {
  return new Agent({ keepAlive: true, maxSockets: Infinity });
}

export interface Answer {
  readonly status: number;
  readonly text: string;
}

/** One POST; the lightest client there is, for what is measured and for its reference alike. */
export function post(
  agent: Agent,
  url: string,
  headers: Record<string, string>,
  body: string,
): Promise<Answer> {
  return new Promise((resolve, reject) => {
    const asked = request(
      url,
      { agent, method: 'POST', headers: { ...headers, 'Content-Length': String(Buffer.byteLength(body)) } },
      (response) => {
        let text = '';
        response.setEncoding('utf8');
        response.on('data', (part: string) => (text += part));
        response.on('end', () => resolve({ status: response.statusCode ?? 0, text }));
        response.on('error', reject);
      },
    );
    asked.on('error', (error) => reject(new Error(`A POST to ${url} failed: ${error.message}`)));
    asked.end(body);
  });
}

export interface Stream {
  /** Resolves when an entry with this text has come. */
  hear(body: string): Promise<void>;
  close(): void;
}

/** An entry as a stream tells it, to a window or to a desk. */
export interface Heard {
  readonly id: number;
  readonly body: string;
}

/** An event stream; looks at entries alone. One that breaks off is opened again and asks for what came since, as a browser does. */
export async function listen(
  url: string,
  headers: Record<string, string>,
  onEntry: (entry: Heard) => void = () => undefined,
): Promise<Stream> {
  const waits = new Map<string, () => void>();
  let [last, isClosed, close] = [0, false, (): void => undefined];
  const open = async (): Promise<void> => {
    const { asked, response } = await opened(url, { ...headers, 'Last-Event-ID': String(last) });
    close = () => asked.destroy();
    readEvents(response, (entry) => {
      last = entry.id;
      onEntry(entry);
      waits.get(entry.body)?.();
      waits.delete(entry.body);
    });
    response.once('close', () => {
      if (!isClosed) void open().catch(() => undefined); // the server has gone
    });
  };
  await open();
  return {
    hear: (body) => new Promise<void>((heard) => waits.set(body, heard)),
    close: () => {
      isClosed = true;
      close();
    },
  };
}

function opened(
  url: string,
  headers: Record<string, string>,
): Promise<{ asked: ClientRequest; response: IncomingMessage }> {
  return new Promise((resolve, reject) => {
    const asked = request(url, { agent: false, headers }, (response) => {
      if (response.statusCode === 200) resolve({ asked, response });
      else reject(new Error(`A stream was answered ${response.statusCode}.`));
    });
    asked.on('error', (error) => reject(new Error(`A stream of ${url} failed: ${error.message}`)));
    asked.end();
  });
}

function readEvents(response: IncomingMessage, onEntry: (entry: Heard) => void): void {
  let rest = '';
  response.setEncoding('utf8');
  response.on('error', () => undefined); // closed by us
  response.on('data', (part: string) => {
    const events = (rest + part).split('\n\n');
    rest = events.pop() ?? '';
    for (const event of events) {
      const [, name, data] = /event: ([\w-]+)\ndata: (.*)$/.exec(event) ?? [];
      if (name !== 'entry' || data === undefined) continue;
      const told = JSON.parse(data) as Heard & { readonly entry?: Heard };
      onEntry(told.entry ?? told);
    }
  });
}

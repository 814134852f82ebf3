import type { IncomingMessage, ServerResponse } from 'node:http';

type PageHandler = (request: IncomingMessage, response: ServerResponse) => Promise<void>;

/** The pages of the desk, which Next serves: loaded once, when the first is asked for or the server has nothing else to do. */
export interface Pages {
  load(): Promise<PageHandler>;
  areServed(): boolean;
}

export function makePages(): Pages {
  let loading: Promise<PageHandler> | null = null;
  let areServed = false;
  const load = async (): Promise<PageHandler> => {
    const { default: next } = await import('next');
    const app = next({ dev: false, dir: process.cwd(), quiet: true });
    await app.prepare();
    areServed = true;
    return app.getRequestHandler();
  };
  return {
    load: () => (loading ??= load()),
    areServed: () => areServed,
  };
}

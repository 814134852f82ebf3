import { fromWeb, toWeb } from '../../../server/http/web-bridge';
import { state } from '../../../server/state';
import { visitorEndpoint } from '../../../server/visitor/endpoint';

export const dynamic = 'force-dynamic';

/** Visitor endpoints under plain `next start`; the entry answers them before Next. Without the socket, all peers count as one. */
async function answer(request: Request): Promise<Response> {
  const headers = new Headers(request.headers);
  headers.delete('Accept-Encoding'); // Next codes bodies itself, and drops the header of one that is coded already
  const asked = new Request(request, { headers });
  return toWeb(await visitorEndpoint(state(), fromWeb(asked), 'unknown'), request.signal);
}

export { answer as GET, answer as OPTIONS, answer as POST };

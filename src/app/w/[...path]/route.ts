import { state } from '../../../server/state';
import { visitorEndpoint } from '../../../server/visitor/endpoint';

export const dynamic = 'force-dynamic';

/** Visitor endpoints under plain `next start`; the entry answers them before Next. Without the socket, all peers count as one. */
function answer(request: Request): Promise<Response> {
  const headers = new Headers(request.headers);
  headers.delete('Accept-Encoding'); // Next codes bodies itself, and drops the header of one that is coded already
  return visitorEndpoint(state(), new Request(request, { headers }), 'unknown');
}

export { answer as GET, answer as OPTIONS, answer as POST };

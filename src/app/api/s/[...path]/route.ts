import { deskEndpoint } from '../../../../server/desk/endpoint';
import { state } from '../../../../server/state';

export const dynamic = 'force-dynamic';

/** What long-lived screens send, under plain `next start`; the entry answers it before Next. */
function answer(request: Request): Promise<Response> {
  return deskEndpoint(state(), request);
}

export { answer as GET, answer as POST };

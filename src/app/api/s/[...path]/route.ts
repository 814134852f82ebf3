import { fromWeb, toWeb } from '../../../../server/http/web-bridge';
import { deskEndpoint } from '../../../../server/desk/endpoint';
import { state } from '../../../../server/state';

export const dynamic = 'force-dynamic';

/** What long-lived screens send, under plain `next start`; the entry answers it before Next. */
async function answer(request: Request): Promise<Response> {
  return toWeb(await deskEndpoint(state(), fromWeb(request)), request.signal);
}

export { answer as GET, answer as POST };

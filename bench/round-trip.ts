import { randomBytes } from 'node:crypto';
import { SITE_ORIGIN } from './bench-server';

const id = () => randomBytes(13).toString('hex');

interface Sides {
  readonly origin: string;
  readonly siteKey: string;
  readonly cookie: string;
}

/** What a stream heard, by event name; gives a wait for a text. */
async function listenTo(address: string, headers: Record<string, string>) {
  const gone = new AbortController();
  const response = await fetch(address, { headers, signal: gone.signal });
  const waits = new Map<string, () => void>();
  const reader = response.body?.getReader();
  const decoder = new TextDecoder();
  void (async () => {
    for (let part = await reader?.read(); part && !part.done; part = await reader?.read()) {
      const text = decoder.decode(part.value, { stream: true });
      for (const [wanted, tell] of waits) if (text.includes(wanted) && waits.delete(wanted)) tell();
    }
  })().catch(() => undefined);
  return {
    hear: (wanted: string) => new Promise<void>((resolve) => waits.set(wanted, resolve)),
    close: () => gone.abort(),
  };
}

/**
 * Milliseconds of whole round trips at so many conversations at once: a visitor writes, the desk hears it on its stream
 * and answers, the visitor hears the answer on theirs.
 */
export async function roundTrips(
  { origin, siteKey, cookie }: Sides,
  conversations: number,
  turns: number,
): Promise<number[]> {
  const desk = await listenTo(`${origin}/api/s/${siteKey}/stream`, { Cookie: cookie });
  const base = `${origin}/w/${siteKey}`;
  const talk = async (number: number): Promise<number[]> => {
    const token = randomBytes(32).toString('base64url');
    const from = {
      'Content-Type': 'application/json',
      Origin: SITE_ORIGIN,
      'X-Forwarded-For': `10.${number >> 8}.${number & 255}.${conversations % 251}`,
    };
    const say = async (body: string, isFirst: boolean): Promise<string> => {
      const heard = desk.hear(body);
      const response = await fetch(`${base}/messages`, {
        method: 'POST',
        headers: isFirst ? from : { ...from, Authorization: `Bearer ${token}` },
        body: JSON.stringify({
          clientId: id(),
          body,
          page: `${SITE_ORIGIN}/tonight`,
          design: '',
          locale: 'en',
          widget: 'everywhere',
          ...(isFirst ? { newToken: token } : {}),
        }),
      });
      if (!response.ok) throw new Error(`A message was answered ${response.status}.`);
      await heard;
      return ((await response.json()) as { conversation: { id: string } }).conversation.id;
    };
    await say(`hello ${id()}`, true);
    const visitor = await listenTo(`${base}/stream`, { ...from, Authorization: `Bearer ${token}` });
    const times: number[] = [];
    for (let turn = 0; turn < turns; turn++) {
      const began = performance.now();
      const conversation = await say(`question ${id()}`, false);
      const answer = `answer ${id()}`;
      const heard = visitor.hear(answer);
      await fetch(`${origin}/api/s/${siteKey}/conversations/${conversation}/entries`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json', Cookie: cookie, Origin: origin },
        body: JSON.stringify({ clientId: id(), body: answer }),
      });
      await heard;
      times.push(performance.now() - began);
    }
    visitor.close();
    return times;
  };
  const all = await Promise.all(Array.from({ length: conversations }, (_, number) => talk(number)));
  desk.close();
  return all.flat();
}

/** Milliseconds of two bare POSTs one after the other, at so many callers at once: the least a round trip could cost. */
export async function barePairs(origin: string, callers: number, turns: number): Promise<number[]> {
  const body = JSON.stringify({ clientId: id(), body: 'question', page: `${SITE_ORIGIN}/tonight` });
  const call = async (): Promise<number[]> => {
    const times: number[] = [];
    for (let turn = 0; turn < turns; turn++) {
      const began = performance.now();
      for (let leg = 0; leg < 2; leg++) await (await fetch(origin, { method: 'POST', body })).text();
      times.push(performance.now() - began);
    }
    return times;
  };
  return (await Promise.all(Array.from({ length: callers }, call))).flat();
}

import { randomBytes } from 'node:crypto';
import { SITE_ORIGIN } from './bench-server';
import { type Stream, listen, makeAgent, post } from './http-client';

const id = () => randomBytes(13).toString('hex');

interface Sides {
  readonly origin: string;
  readonly siteKey: string;
  readonly cookie: string;
}

/** The body of a visitor's message, as their browser writes it. */
export function messageOf(body: string, more: Record<string, unknown> = {}): string {
  return JSON.stringify({
    ...{ clientId: id(), body, page: `${SITE_ORIGIN}/tonight`, design: '', locale: 'en', widget: 'main' },
    ...more,
  });
}

/** An address of its own, so that limits count each visitor by itself. */
export function headersOf(number: number, token: string | null): Record<string, string> {
  return {
    'Content-Type': 'application/json',
    Origin: SITE_ORIGIN,
    'X-Forwarded-For': `10.${(number >> 16) & 255}.${(number >> 8) & 255}.${number & 255}`,
    ...(token === null ? {} : { Authorization: `Bearer ${token}` }),
  };
}

/**
 * Milliseconds of whole round trips at so many conversations at once: a visitor writes, the desk hears it on its stream
 * and answers, the visitor hears the answer on theirs. `first` numbers the visitors, who are new ones each time.
 */
export async function roundTrips(
  sides: Sides,
  { conversations, turns, first }: { conversations: number; turns: number; first: number },
): Promise<number[]> {
  const { origin, siteKey, cookie } = sides;
  const agent = makeAgent();
  const desk = await listen(`${origin}/api/s/${siteKey}/stream`, { Cookie: cookie });
  const talks = await Promise.all(
    Array.from({ length: conversations }, (_, number) => begin(sides, desk, agent, first + number)),
  );
  const times = await Promise.all(
    talks.map(async ({ visitor, from, conversation }) => {
      const own: number[] = [];
      for (let turn = 0; turn < turns; turn++) {
        const began = performance.now();
        const question = `question ${id()}`;
        const asked = desk.hear(question);
        const sent = post(agent, `${origin}/w/${siteKey}/messages`, from, messageOf(question));
        await Promise.all([asked, sent]);
        const answer = `answer ${id()}`;
        const heard = visitor.hear(answer);
        const replied = post(
          agent,
          `${origin}/api/s/${siteKey}/conversations/${conversation}/entries`,
          { 'Content-Type': 'application/json', Cookie: cookie, Origin: origin },
          JSON.stringify({ clientId: id(), body: answer }),
        );
        await Promise.all([heard, replied]);
        own.push(performance.now() - began);
      }
      return own;
    }),
  );
  for (const { visitor } of talks) visitor.close();
  desk.close();
  agent.destroy();
  return times.flat();
}

/** A visitor who has asked, whose window is open, and whom somebody has answered once. */
async function begin(
  { origin, siteKey, cookie }: Sides,
  desk: Stream,
  agent: ReturnType<typeof makeAgent>,
  number: number,
) {
  const token = randomBytes(32).toString('base64url');
  const base = `${origin}/w/${siteKey}`;
  const hello = `hello ${id()}`;
  const heard = desk.hear(hello);
  const { status, text } = await post(
    agent,
    `${base}/messages`,
    headersOf(number, null),
    messageOf(hello, { newToken: token }),
  );
  if (status !== 200) throw new Error(`A first message was answered ${status}: ${text}`);
  await heard;
  const from = headersOf(number, token);
  const visitor = await listen(`${base}/stream`, from);
  const conversation = (JSON.parse(text) as { conversation: { id: string } }).conversation.id;
  const welcome = `welcome ${id()}`;
  const answered = visitor.hear(welcome);
  await post(
    agent,
    `${origin}/api/s/${siteKey}/conversations/${conversation}/entries`,
    { 'Content-Type': 'application/json', Cookie: cookie, Origin: origin },
    JSON.stringify({ clientId: id(), body: welcome }),
  );
  await answered;
  return { visitor, from, conversation };
}

/** Milliseconds of two bare POSTs one after the other, at so many callers at once: the least a round trip could cost. */
export async function barePairs(origin: string, callers: number, turns: number): Promise<number[]> {
  const agent = makeAgent();
  const body = messageOf('question');
  const call = async (number: number): Promise<number[]> => {
    const times: number[] = [];
    for (let turn = 0; turn < turns; turn++) {
      const began = performance.now();
      for (let leg = 0; leg < 2; leg++) await post(agent, origin, headersOf(number, null), body);
      times.push(performance.now() - began);
    }
    return times;
  };
  const all = await Promise.all(Array.from({ length: callers }, (_, number) => call(number)));
  agent.destroy();
  return all.flat();
}

/** One event of a stream. */
export interface StreamEvent {
  readonly name: string;
  readonly id: string | null;
  readonly data: string;
}

/**
 * Cuts the text of an event stream (HTML standard, "Server-sent events") into events, whatever the chunks. Lines end
 * with LF or CRLF; what stands after the last empty line waits for the next chunk, and what holds no data is no event.
 */
export function eventCutter(emit: (event: StreamEvent) => void): (chunk: string) => void {
  let rest = '';
  return (chunk) => {
    rest = (rest + chunk).replace(/\r\n/g, '\n');
    for (let end = rest.indexOf('\n\n'); end >= 0; end = rest.indexOf('\n\n')) {
      const event = toEvent(rest.slice(0, end));
      if (event !== null) emit(event);
      rest = rest.slice(end + 2);
    }
  };
}

function toEvent(block: string): StreamEvent | null {
  const lines = block.split('\n');
  const value = (name: string): string | null => {
    const found = lines
      .filter((line) => line.startsWith(`${name}:`))
      .map((line) => line.slice(name.length + 1).replace(/^ /, ''));
    return found.length === 0 ? null : found.join('\n');
  };
  const data = value('data');
  return data === null ? null : { name: value('event') ?? 'message', id: value('id'), data };
}

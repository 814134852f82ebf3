/** A request as our endpoints read it. The entry makes one of Node's, which costs a tenth of a web `Request`; Next's routes one of the web's. */
export interface HttpRequest {
  readonly method: string;
  readonly url: string;
  readonly headers: { get(name: string): string | null };
  /** The body as it came; null where it is larger than allowed: then reading stopped there. */
  read(bytesMax: number): Promise<Buffer | null>;
}

/** What our endpoints answer. */
export interface HttpAnswer {
  readonly status: number;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: string | Uint8Array | EventBody | null;
}

/** A body that goes on for as long as the other side listens. */
export interface EventBody {
  /** Called once, when the head was sent. Gives what to call when the other side has gone. */
  start(sink: Sink): () => void;
}

/** Where the bytes of a stream go. */
export interface Sink {
  write(bytes: Uint8Array): void;
  /** So many bytes wait, as the other side reads slowly. */
  behind(): number;
  end(): void;
  /** Ends it at once, with all that waits. */
  drop(): void;
}

export function isEventBody(body: HttpAnswer['body']): body is EventBody {
  return typeof body === 'object' && body !== null && 'start' in body;
}

import { type AddressInfo, type Server, type Socket, connect, createServer } from 'node:net';

/** Both ends of what passes. */
type Line = readonly [near: Socket, far: Socket];

/** A line between browsers and a server that can be cut, or die without a sign. */
export class Relay {
  private readonly lines = new Set<Line>();
  private server: Server | null = null;
  private isDead = false;

  /** Stands before a server; gives its own address. */
  async open(address: string): Promise<string> {
    const { hostname, port } = new URL(address);
    const server = createServer((near) => this.join(near, connect(Number(port), hostname)));
    this.server = server;
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    return `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  }

  private join(near: Socket, far: Socket): void {
    const line: Line = [near, far];
    this.lines.add(line);
    for (const [from, to] of [line, [far, near]] as const) {
      from.on('error', () => to.destroy());
      from.on('close', () => {
        this.lines.delete(line);
        to.destroy();
      });
      from.pipe(to);
    }
    if (this.isDead) still(line);
  }

  /** Every open line is reset. */
  cut(): void {
    for (const [near, far] of this.lines) {
      near.resetAndDestroy();
      far.destroy();
    }
  }

  /** On open lines nothing passes any more, and neither side is told; new ones are as always, unless `forAll`. */
  stall({ forAll = false } = {}): void {
    this.isDead = forAll;
    this.lines.forEach(still);
  }

  /** The server came up anew: dead lines are reset, so that no browser waits for an answer on one, and later ones are as always. */
  mend(): void {
    this.isDead = false;
    this.cut();
  }

  close(): void {
    this.server?.close();
    this.cut();
  }
}

function still([near, far]: Line): void {
  near.unpipe(far).pause();
  far.unpipe(near).pause();
}

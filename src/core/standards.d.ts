// The few standards core may use although no ECMAScript library names them. Everything else that is not here is not a name.

interface URLSearchParams extends Iterable<[string, string]> {
  get(name: string): string | null;
}
declare const URLSearchParams: new (init?: string) => URLSearchParams;

/** The WHATWG parser ([P2]). */
interface URL {
  readonly href: string;
  readonly protocol: string;
  readonly host: string;
  readonly hostname: string;
  readonly username: string;
  readonly password: string;
  readonly origin: string;
  readonly pathname: string;
  readonly search: string;
  readonly hash: string;
}
declare const URL: { new (href: string, base?: string): URL; canParse(href: string, base?: string): boolean };

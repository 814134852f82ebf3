import ipaddr from 'ipaddr.js';

/**
 * The address a request comes from: the peer's, or, where the peer is a trusted proxy, the right-most untrusted one of
 * `X-Forwarded-For`. IPv6 is cut to its /64, the least one person holds. Where no proxy is trusted and the header arrives
 * all the same, nobody can tell a proxy from a liar: `198.51.100.1 via 10.0.0.2` counts by both, the second more widely.
 */
export function clientAddress(peer: string, forwardedFor: string | null, trusted: readonly string[]): string {
  const hops = [
    ...(forwardedFor ?? '')
      .split(',')
      .map((one) => one.trim())
      .filter(Boolean),
    peer,
  ];
  if (trusted.length === 0 && hops.length > 1) return `${toGroup(hops.at(-2) ?? '')}${VIA}${toGroup(peer)}`;
  while (hops.length > 1 && trusted.includes(plain(hops.at(-1) ?? ''))) hops.pop();
  return toGroup(hops.at(-1) ?? peer);
}

const VIA = ' via ';

/** What is in front of an address that is not believed; null: nothing is. */
export function proxyOf(address: string): string | null {
  const [, proxy] = address.split(VIA);
  return proxy ?? null;
}

export const PEER_HEADER = 'x-porch-peer';

/** The peer's address out of the header the entry wrote; `unknown` where the entry did not write it. */
export function sealedPeer(header: string | null, seal: string): string {
  return header !== null && header.startsWith(`${seal} `) ? header.slice(seal.length + 1) : 'unknown';
}

function plain(address: string): string {
  return ipaddr.isValid(address) ? ipaddr.process(address).toString() : address;
}

function toGroup(address: string): string {
  if (!ipaddr.isValid(address)) return 'unknown';
  const parsed = ipaddr.process(address);
  if (parsed.kind() === 'ipv4') return parsed.toString();
  const parts = (parsed as ipaddr.IPv6).parts.slice(0, 4);
  return `${parts.map((part) => part.toString(16)).join(':')}::/64`;
}

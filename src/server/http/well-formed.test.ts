import { describe, expect, it } from 'vitest';
import { faultOfRequest } from './well-formed';

const statusOf = (method: string, url: string, host?: string) =>
  faultOfRequest({ method, url, headers: host === undefined ? {} : { host } })?.[0] ?? null;

describe('a request', () => {
  it.each([
    ['GET', '/', '127.0.0.1:4310'],
    ['GET', '/w/abc/live.json?x=%zz', 'porch.example'],
    ['POST', '/s/caf%C3%A9', '[::1]:4310'],
    ['OPTIONS', '/w/abc/messages', 'xn--stio-vpa.example.'],
    ['HEAD', '/health', undefined],
    ['GET', '/health', 'porch_app:4310'],
  ])('may be %s %s at %s', (method, url, host) => {
    expect(statusOf(method, url, host)).toBeNull();
  });

  it.each([
    [405, 'TRACE', '/', 'porch.example'],
    [405, 'CONNECT', 'porch.example:443', 'porch.example'],
    [400, 'OPTIONS', '*', 'porch.example'],
    [400, 'GET', '/w/%zz/live.json', 'porch.example'],
    [400, 'GET', '/%E0%A4%A', 'porch.example'],
    [400, 'GET', '//', 'porch.example'],
    [400, 'GET', '/', 'porch example'],
    [400, 'GET', '/', 'porch.example/path'],
    [400, 'GET', '/', 'a@porch.example'],
    [400, 'GET', '/', 'porch.example:port'],
    [400, 'GET', '/', ''],
  ])('[threat 15] is refused with %i: %s %s at %s', (status, method, url, host) => {
    expect(statusOf(method, url, host)).toBe(status);
  });
});

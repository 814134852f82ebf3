import { describe, expect, it } from 'vitest';
import { isMailShaped } from './mail';

describe('a mail address', () => {
  it.each([
    'ana@farrowisle.example',
    'o.lindqvist+sky@mail.farrowisle.example',
    "d'ávila@sítio.example",
    'ana/rui@x-1.example',
    'नीना@वेधशाला.example',
  ])('may be %s', (text) => {
    expect(isMailShaped(text)).toBe(true);
  });

  it.each([
    ['no host', 'ana'],
    ['no dot', 'ana@isle'],
    ['two of them', 'ana@isle.example, rui@isle.example'],
    ['two @', 'ana@rui@isle.example'],
    ['a scheme', 'mailto:ana@isle.example'],
    ['an address of the web', 'https://ana@isle.example'],
    ['a port', 'ana@isle.example:25'],
    ['a path', 'ana@isle.example/inbox'],
    ['a query', 'ana@isle.example?subject=x'],
    ['a control sign', 'ana\u0000@isle.example'],
    ['a line break', 'ana@isle.example\nBcc: rui@isle.example'],
    ['a sign that turns the direction', 'ana@elsi\u202e.example'],
    ['a sign of no width', 'ana\u200b@isle.example'],
    ['a hyphen at an end', 'ana@-isle.example'],
    ['an empty part', 'ana@isle..example'],
  ])('is not %s', (_what, text) => {
    expect(isMailShaped(text)).toBe(false);
  });
});

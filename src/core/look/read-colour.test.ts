import { describe, expect, it } from 'vitest';
import { readColour } from './read-colour';

const read = (text: string) => {
  const result = readColour(text);
  return result.ok ? result.value.color : `${result.errors.code}: ${result.errors.detail}`;
};

describe('a colour as people paste it', () => {
  it.each([
    ['#1f6f6b', '#1f6f6b'],
    [' 1F6F6B ', '#1f6f6b'],
    ['# 1f 6f 6b', '#1f6f6b'],
    ['#ABC', '#aabbcc'],
    ['123', '#112233'],
    ['facade', '#facade'],
    ['#1f6f6bff', '#1f6f6b'],
    ['rgb(31,111,107)', '#1f6f6b'],
    ['RGB( 31 , 111 , 107 )', '#1f6f6b'],
    ['rgb(31 111 107)', '#1f6f6b'],
    ['rgb(31 111 107', '#1f6f6b'],
    ['rgba(31, 111, 107, 1)', '#1f6f6b'],
    ['rgb(12.2%, 43.5%, 42%)', '#1f6f6b'],
    ['hsl(177, 56%, 28%)', '#1f6f6b'],
    ['hsl(177 56% 28%)', '#1f6f6b'],
    ['hsl(177deg  56%  28% / 1)', '#1f6f6b'],
    ['oklch(0.628 0.2577 29.23)', '#ff0000'],
    ['oklch(62.8%  .2577  29.23deg)', '#ff0000'],
    ['teal', '#008080'],
    ['Rebeccapurple', '#663399'],
    ['background-color: #1f6f6b !important;', '#1f6f6b'],
    ['"#1f6f6b"', '#1f6f6b'],
  ])('%s is %s', (text, color) => {
    expect(read(text)).toBe(color);
  });

  it('one that is see-through is laid on white, and one that no screen shows is brought in; both say so', () => {
    expect(readColour('#00000080')).toMatchObject({ value: { color: '#7f7f7f', note: 'see-through' } });
    expect(readColour('#f008')).toMatchObject({ value: { color: '#ff7777', note: 'see-through' } });
    expect(readColour('rgb(0 0 0 / 50%)')).toMatchObject({
      value: { color: '#808080', note: 'see-through' },
    });
    expect(readColour('rgba(0,0,0,.5)')).toMatchObject({ value: { color: '#808080', note: 'see-through' } });
    expect(readColour('oklch(0.7 0.4 140)')).toMatchObject({ value: { note: 'out-of-reach' } });
    expect(readColour('#123')).toMatchObject({ value: { note: null } });
  });

  it.each([
    ['', 'empty: '],
    ['   ', 'empty: '],
    ['#12345', 'hex-digits: 5'],
    ['1234567', 'hex-digits: 7'],
    ['#12345g', 'hex-sign: g'],
    ['#1f6f6💛', 'hex-sign: 💛'],
    ['tael', 'name-like: teal'],
    ['brand-colour', 'name: brand-colour'],
    ['constructor', 'name: constructor'],
    ['rgb(31, 111)', 'numbers: rgb'],
    ['hsl(a b c)', 'numbers: hsl'],
    ['cmyk(1 2 3 4)', 'function: cmyk'],
    ['linear-gradient(red, blue)', 'gradient: '],
    ['var(--brand)', 'variable: --brand'],
  ])('%j is refused: %s', (text, why) => {
    expect(read(text)).toBe(why);
  });
});

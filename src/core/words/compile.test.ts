import { describe, expect, it } from 'vitest';
import { compileText } from './compile';

const compile = (text: string) => {
  const made = compileText(text, { name: 'text', count: 'count' });
  return made.ok ? made.value : made.errors;
};

describe('compileText', () => {
  it('[T3] plain words stay plain; tags are only characters; quotes quote', () => {
    expect(compile('Ask <b>us</b>')).toBe('Ask <b>us</b>');
    expect(compile("We are '{in}'")).toBe('We are {in}');
    expect(compile('')).toBe('');
  });

  it('[T5] an unknown name, a wrong type and a missing other are refused at their place', () => {
    expect(compile('Ask {nobody}')).toEqual({ code: 'unknown-variable', at: 4, name: 'nobody' });
    expect(compile('{name, plural, other {x}}')).toMatchObject({ code: 'wrong-type', name: 'name' });
    expect(compile('{count, plural, one {x}}')).toMatchObject({ code: 'syntax' });
    expect(compile('Ask {name')).toMatchObject({ code: 'syntax' });
  });

  it('[T3] a third level of nesting is refused, a second one is not', () => {
    const nest = (inner: string) => `{name, select, other {${inner}}}`;
    expect(Array.isArray(compile(nest('{count, plural, other {#}}')))).toBe(true);
    expect(compile(nest(nest(nest('x'))))).toMatchObject({ code: 'nested-too-deep' });
  });

  it('[T5] a name every object has is not a variable', () => {
    expect(compile('{constructor}')).toMatchObject({ code: 'unknown-variable', name: 'constructor' });
  });
});

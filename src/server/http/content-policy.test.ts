import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { TOAST_STYLES, contentPolicy } from './content-policy';

describe('contentPolicy', () => {
  it('[threat 8] lets scripts and style sheets in by the nonce of this answer only: nothing inline, nothing evaluated, no other host', () => {
    const lists = new Map(
      contentPolicy('abc')
        .split('; ')
        .map((list) => list.split(' '))
        .map(([name = '', ...sources]) => [name, sources] as const),
    );
    expect(lists.get('script-src')).toEqual(["'self'", "'nonce-abc'"]);
    expect(lists.get('style-src')).toEqual(["'self'", "'nonce-abc'"]);
    expect(lists.get('default-src')).toEqual(["'self'"]);
    expect(lists.get('frame-ancestors')).toEqual(["'none'"]);
    const loose = [...lists].filter(([, sources]) =>
      sources.some((source) => /unsafe|^\*$|https?:/.test(source)),
    );
    expect(loose.map(([name]) => name)).toEqual(['style-src-attr', 'frame-src']);
  });

  it('knows the one style sheet that the toasts add by themselves', () => {
    const file = join(createRequire(import.meta.url).resolve('sonner'), '..', 'index.mjs');
    const [, text = '""'] = /__insertCSS\(("(?:[^"\\]|\\.)*")\)/.exec(readFileSync(file, 'utf8')) ?? [];
    const hash = createHash('sha256')
      .update(JSON.parse(text) as string)
      .digest('base64');
    expect(TOAST_STYLES).toBe(`'sha256-${hash}'`);
  });
});

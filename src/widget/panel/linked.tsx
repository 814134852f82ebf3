/** @jsxImportSource preact */
import { useMemo } from 'preact/hooks';
import { linksIn } from '../../core/words/links';

/** What somebody wrote: as text, with the addresses and numbers in it to be opened. */
export function Linked({ text }: { readonly text: string }) {
  const parts = useMemo(() => linksIn(text), [text]);
  return (
    <bdi>
      {parts.map(({ text: part, href }) =>
        href === null ? (
          part
        ) : (
          <a href={href} target="_blank" rel="noopener noreferrer nofollow">
            {part}
          </a>
        ),
      )}
    </bdi>
  );
}

/** @jsxImportSource preact */
import { linksIn } from '../../core/words/links';

/** What somebody wrote: as text, with the addresses and numbers in it to be opened. */
export function Linked({ text }: { readonly text: string }) {
  return (
    <bdi>
      {linksIn(text).map(({ text: part, href }) =>
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

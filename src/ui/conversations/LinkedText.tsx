import { memo } from 'react';
import { linksIn } from '../../core/words/links';

/** What somebody wrote: as text, with the addresses and numbers in it to be opened. */
export const LinkedText = memo(function LinkedText({ text }: { readonly text: string }) {
  return (
    <bdi>
      {linksIn(text).map(({ text: part, href }, index) =>
        href === null ? (
          part
        ) : (
          <a key={index} href={href} target="_blank" rel="noopener noreferrer nofollow">
            {part}
          </a>
        ),
      )}
    </bdi>
  );
});

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { LIMITS } from '../../../core/limits';
import type { Launcher } from '../../../core/model/design';
import { PAGES_MAX } from './known-pages';
import { type ElementOnPages, useElementOnPages } from './use-element-on-pages';

interface OwnElementProps {
  readonly launcher: Launcher;
  /** The site's own address; null: none was given. */
  readonly siteAddress: string | null;
  /** Whether the widget shows on a page. */
  readonly shows: (address: string) => boolean;
  readonly onLauncher: (launcher: Launcher, words: string) => void;
}

/** The page's own element instead of a launcher, and on which of the known pages there is one. */
export function OwnElement({ launcher, siteAddress, shows, onLauncher }: OwnElementProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const value = typed ?? launcher.element ?? '';
  const isWrong = value.trim() !== '' && !isKnownHere(value);
  const found = useElementOnPages(isWrong ? null : launcher.element, siteAddress, shows);
  return (
    <>
      <TextField
        label="CSS selector of your element"
        size="small"
        fullWidth
        sx={{ mt: 1 }}
        value={value}
        placeholder=".contact"
        error={isWrong}
        onChange={(event) => {
          setTyped(event.target.value);
          const next = event.target.value.trim();
          if (next === '' || isKnownHere(next))
            onLauncher({ ...launcher, element: next === '' ? null : next }, 'element that opens the window');
        }}
        onBlur={() => {
          if (!isWrong) setTyped(null);
        }}
        helperText={
          isWrong
            ? 'That is not a valid CSS selector, e.g. .contact. Nothing was changed.'
            : value.trim() === ''
              ? 'Without one, only links with data-porch-open open the window.'
              : siteAddress === null
                ? 'On pages without this element the widget cannot be opened. We don’t know your site’s address, so check your pages.'
                : 'On pages without this element the widget cannot be opened.'
        }
        slotProps={{ htmlInput: { spellCheck: false, maxLength: LIMITS.selectorChars } }}
      />
      <Box role="status" aria-label="Where the element is" sx={{ mt: 1, fontSize: '0.8125rem' }}>
        {found === null || isWrong ? null : <Found found={found} />}
      </Box>
    </>
  );
}

function Found({ found }: { readonly found: ElementOnPages }) {
  const { of, has, lacks, failed, isDone, fault } = found;
  if (fault !== null) return <>We could not look for it on your pages. {fault}</>;
  const looked = has.length + lacks.length + failed.length;
  if (!isDone) return <>{of === 0 ? 'Finding your pages…' : `Checking your pages: ${looked} of ${of} …`}</>;
  const seen = has.length + lacks.length;
  const cut = of >= PAGES_MAX ? ` We look at ${PAGES_MAX} pages at most.` : '';
  const more = (failed.length === 0 ? '' : ` ${failed.length} could not be opened.`) + cut;
  if (seen === 0) return <>No page of yours on which this widget shows could be opened.{more}</>;
  if (has.length === 0)
    return (
      <Alert severity="warning">
        {seen === 1 ? 'The only page we know does not have it' : `None of the ${seen} pages we know has it`}:
        nobody could open the window there. We see pages as your server sends them; what scripts add later we
        do not see.{more}
      </Alert>
    );
  if (lacks.length === 0)
    return (
      <>
        {seen === 1 ? 'It is on the one page we know.' : `It is on all ${seen} pages we know.`}
        {more}
      </>
    );
  return (
    <>
      It is on {has.length} of {seen} pages we know. Not on {new Intl.ListFormat('en').format(named(lacks))}.
      {more}
    </>
  );
}

const NAMED_MAX = 5;

function named(addresses: readonly string[]): string[] {
  const paths = addresses.slice(0, NAMED_MAX).map((address) => new URL(address).pathname);
  return addresses.length > NAMED_MAX ? [...paths, `${addresses.length - NAMED_MAX} more`] : paths;
}

/** Whether the browser can look for it; the widget asks for it the same way. */
function isKnownHere(text: string): boolean {
  try {
    document.createDocumentFragment().querySelector(text);
    return true;
  } catch {
    return false; // how the browser says that it cannot read it
  }
}

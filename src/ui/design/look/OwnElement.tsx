import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { LIMITS } from '../../../core/limits';
import type { Launcher } from '../../../core/model/design';
import { PAGES_MAX } from './known-pages';
import { type ElementOnPages, useElementOnPages } from './use-element-on-pages';
import { LOOK_PANEL_WORDS } from '../../wording/screens/look-panel';

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
        label={LOOK_PANEL_WORDS.elementSelector}
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
            onLauncher({ ...launcher, element: next === '' ? null : next }, LOOK_PANEL_WORDS.elementEdit);
        }}
        onBlur={() => {
          if (!isWrong) setTyped(null);
        }}
        helperText={
          isWrong
            ? LOOK_PANEL_WORDS.notASelector
            : value.trim() === ''
              ? LOOK_PANEL_WORDS.noElement
              : siteAddress === null
                ? LOOK_PANEL_WORDS.elementWarningNoAddress
                : LOOK_PANEL_WORDS.elementWarning
        }
        slotProps={{ htmlInput: { spellCheck: false, maxLength: LIMITS.selectorChars } }}
      />
      <Box role="status" aria-label={LOOK_PANEL_WORDS.elementPlaces} sx={{ mt: 1, fontSize: '0.8125rem' }}>
        {found === null || isWrong ? null : <Found found={found} />}
      </Box>
    </>
  );
}

function Found({ found }: { readonly found: ElementOnPages }) {
  const { of, has, lacks, failed, isDone, fault } = found;
  if (fault !== null) return <>{LOOK_PANEL_WORDS.searchFailed(fault)}</>;
  const looked = has.length + lacks.length + failed.length;
  if (!isDone)
    return <>{of === 0 ? LOOK_PANEL_WORDS.findingYourPages : LOOK_PANEL_WORDS.checkingPages(looked, of)}</>;
  const seen = has.length + lacks.length;
  const cut = of >= PAGES_MAX ? LOOK_PANEL_WORDS.pagesAtMost(PAGES_MAX) : '';
  const more = (failed.length === 0 ? '' : LOOK_PANEL_WORDS.notOpenedCount(failed.length)) + cut;
  if (seen === 0) return <>{LOOK_PANEL_WORDS.noPageOpened(more)}</>;
  if (has.length === 0) return <Alert severity="warning">{LOOK_PANEL_WORDS.onNoPage(seen, more)}</Alert>;
  if (lacks.length === 0)
    return (
      <>
        {LOOK_PANEL_WORDS.onAllPages(seen)}
        {more}
      </>
    );
  return (
    <>
      {LOOK_PANEL_WORDS.onSomePages(has.length, seen, new Intl.ListFormat('en').format(named(lacks)), more)}
    </>
  );
}

const NAMED_MAX = 5;

function named(addresses: readonly string[]): string[] {
  const paths = addresses.slice(0, NAMED_MAX).map((address) => new URL(address).pathname);
  return addresses.length > NAMED_MAX
    ? [...paths, LOOK_PANEL_WORDS.moreCount(addresses.length - NAMED_MAX)]
    : paths;
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

'use client';

import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Popover from '@mui/material/Popover';
import { Fragment, useRef } from 'react';
import type { Verdict } from '../../../core/decide/explain';
import { Roving } from '../../parts/Roving';
import {
  type ReasonContext,
  type ReasonLink,
  type ReasonWords,
  nearMiss,
  verdictWords,
} from '../../wording/because';
import { DESIGN_WORDS } from '../../wording/screens/design';

interface BecauseProps {
  readonly verdicts: readonly Verdict[];
  readonly context: ReasonContext;
  readonly onLink: (link: ReasonLink) => void;
  readonly isOpen: boolean;
  readonly onOpen: (isOpen: boolean) => void;
}

const REASONS_MAX = 3;

/** On large screens; on a phone the reasons take as many lines as they need. */
const ONE_LINE = {
  whiteSpace: { md: 'nowrap' },
  overflow: { md: 'hidden' },
  textOverflow: { md: 'ellipsis' },
} as const;

const GROUPS = [
  ['decided', DESIGN_WORDS.whatDecided],
  ['ready', DESIGN_WORDS.alsoReady],
  ['failed', DESIGN_WORDS.didNotApply],
] as const;

/** Why this visitor sees this: the engine's own reasons, decisive first, each leading to its setting. */
export function Because({ verdicts, context, onLink, isOpen, onOpen }: BecauseProps) {
  const bar = useRef<HTMLDivElement>(null);
  const decided = verdicts
    .filter(({ outcome }) => outcome === 'decided')
    .slice(0, REASONS_MAX)
    .map((one) => verdictWords(one, context));
  const reachability = nearMiss(verdicts);
  return (
    <Box
      ref={bar}
      component="section"
      aria-label={DESIGN_WORDS.whyThisShows}
      sx={{
        minHeight: 32,
        overflow: 'hidden',
        display: 'flex',
        alignItems: 'center',
        gap: 2,
        px: 2,
        py: { xs: 0.5, md: 0 },
        bgcolor: 'background.paper',
        borderTop: '1px solid var(--porch-rail)',
        fontSize: '0.8125rem',
        flex: 'none',
      }}
    >
      <Roving
        label={DESIGN_WORDS.reasons}
        sx={{ minWidth: 0, flex: 1, display: 'flex', alignItems: 'center', gap: 2 }}
      >
        <Box role="status" sx={{ minWidth: 0, flex: 1, ...ONE_LINE }}>
          <Box component="b" sx={{ mr: 1 }}>
            {DESIGN_WORDS.whyThisShows}
          </Box>
          {decided.map((words, index) => (
            <Fragment key={words.text}>
              {index === 0 ? '' : ' · '}
              <ReasonText words={words} onLink={onLink} />
            </Fragment>
          ))}
          {reachability === null ? null : (
            <>
              {' · '}
              <ReasonText words={verdictWords(reachability, context)} onLink={onLink} />
            </>
          )}
        </Box>
        <Link
          component="button"
          type="button"
          onClick={() => onOpen(!isOpen)}
          aria-haspopup="dialog"
          aria-keyshortcuts="B"
          sx={{ fontSize: '0.8125rem', whiteSpace: 'nowrap', flex: 'none' }}
        >
          {verdicts.length === 1 ? DESIGN_WORDS.oneReason : DESIGN_WORDS.countOfReasons(verdicts.length)}
        </Link>
      </Roving>
      <Popover
        open={isOpen}
        anchorEl={isOpen ? () => bar.current : null}
        onClose={() => onOpen(false)}
        anchorOrigin={{ vertical: 'top', horizontal: 'right' }}
        transformOrigin={{ vertical: 'bottom', horizontal: 'right' }}
      >
        <Box
          role="dialog"
          aria-label={DESIGN_WORDS.allReasons}
          tabIndex={0}
          sx={{ p: 2, maxHeight: 320, overflow: 'auto', maxWidth: 560, fontSize: '0.8125rem' }}
        >
          {GROUPS.map(([outcome, title]) => {
            const own = verdicts.filter((verdict) => verdict.outcome === outcome);
            return own.length === 0 ? null : (
              <Box key={outcome} sx={{ mb: 1.5 }}>
                <Box component="h3" sx={{ m: 0, fontSize: '0.8125rem' }}>
                  {title}
                </Box>
                <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
                  {own.map((one) => {
                    const words = verdictWords(one, context);
                    return (
                      <li key={words.text}>
                        <ReasonText words={words} onLink={onLink} />
                      </li>
                    );
                  })}
                </Box>
              </Box>
            );
          })}
        </Box>
      </Popover>
    </Box>
  );
}

function ReasonText({ words, onLink }: { words: ReasonWords; onLink: (link: ReasonLink) => void }) {
  const { link, text } = words;
  if (link === null) return <span>{text}</span>;
  return (
    <Link
      component="button"
      type="button"
      color="inherit"
      onClick={() => onLink(link)}
      sx={{
        fontSize: '0.8125rem',
        verticalAlign: 'baseline',
        textDecoration: 'underline',
        textAlign: 'start',
      }}
    >
      {text}
    </Link>
  );
}

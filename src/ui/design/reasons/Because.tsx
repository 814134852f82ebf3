'use client';

import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Popover from '@mui/material/Popover';
import { Fragment, memo, useRef } from 'react';
import type { Verdict } from '../../../core/decide/explain';
import { Roving } from '../../parts/Roving';
import { useSame, useStable } from '../../parts/use-stable';
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
  const near = nearMiss(verdicts);
  const decided = verdicts.filter(({ outcome }) => outcome === 'decided').slice(0, REASONS_MAX);
  const inWords = (some: readonly Verdict[]): ReasonWords[] => some.map((one) => verdictWords(one, context));
  const reasons = useSame<Reasons>({
    brief: inWords(near === null ? decided : [...decided, near]),
    count: verdicts.length,
    groups: GROUPS.map(([outcome, title]) => ({
      title,
      all: inWords(verdicts.filter((one) => one.outcome === outcome)),
    })),
  });
  return <ReasonBar {...{ reasons, isOpen, onOpen }} onLink={useStable(onLink)} />;
}

/** The reasons in words. */
interface Reasons {
  /** What stands on the bar. */
  readonly brief: readonly ReasonWords[];
  readonly count: number;
  /** All of them. */
  readonly groups: readonly { readonly title: string; readonly all: readonly ReasonWords[] }[];
}

interface ReasonBarProps extends Pick<BecauseProps, 'onLink' | 'isOpen' | 'onOpen'> {
  readonly reasons: Reasons;
}

/** Drawn anew only when it says something else. */
const ReasonBar = memo(function ReasonBar({ reasons, onLink, isOpen, onOpen }: ReasonBarProps) {
  const bar = useRef<HTMLDivElement>(null);
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
          {reasons.brief.map((words, index) => (
            <Fragment key={words.text}>
              {index === 0 ? '' : ' · '}
              <ReasonText words={words} onLink={onLink} />
            </Fragment>
          ))}
        </Box>
        <Link
          component="button"
          type="button"
          onClick={() => onOpen(!isOpen)}
          aria-haspopup="dialog"
          aria-keyshortcuts="B"
          sx={{ fontSize: '0.8125rem', whiteSpace: 'nowrap', flex: 'none' }}
        >
          {DESIGN_WORDS.countOfReasons(reasons.count)}
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
          {reasons.groups.map(({ title, all }) =>
            all.length === 0 ? null : (
              <Box key={title} sx={{ mb: 1.5 }}>
                <Box component="h3" sx={{ m: 0, fontSize: '0.8125rem' }}>
                  {title}
                </Box>
                <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
                  {all.map((words) => (
                    <li key={words.text}>
                      <ReasonText words={words} onLink={onLink} />
                    </li>
                  ))}
                </Box>
              </Box>
            ),
          )}
        </Box>
      </Popover>
    </Box>
  );
});

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

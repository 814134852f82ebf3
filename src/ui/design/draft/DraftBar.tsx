'use client';

import HistoryIcon from '@mui/icons-material/History';
import RedoIcon from '@mui/icons-material/Redo';
import UndoIcon from '@mui/icons-material/Undo';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Tooltip from '@mui/material/Tooltip';
import Link from 'next/link';
import { HIDDEN } from '../../theme/hidden';
import { Roving } from '../../parts/Roving';
import { memo } from 'react';
import { useStable } from '../../parts/use-stable';
import type { DraftSaver, DraftState } from './draft-saver';
import { useSite } from '../../frame/SiteContext';
import { DRAFT_WORDS } from '../../wording/screens/draft';
import { SHARED_WORDS } from '../../wording/screens/shared';

interface DraftBarProps {
  readonly draft: DraftState;
  readonly saver: DraftSaver;
  /** Null: nothing was published yet. */
  readonly changeCount: number | null;
  readonly nextVersion: number;
  readonly onPublish: () => void;
}

/** Read out only, between the width of a phone and the one at which everything has room. */
const BETWEEN_HIDDEN = { '@media (min-width: 56.25em) and (max-width: 74.95em)': HIDDEN } as const;
const STATUS_WORDS = {
  saved: DRAFT_WORDS.saved,
  saving: DRAFT_WORDS.saving,
  'not-saved': DRAFT_WORDS.notSaved,
} as const;

/** Undo, redo, whether it is saved, and Publish. */
export function DraftBar({ draft, saver, changeCount, nextVersion, onPublish }: DraftBarProps) {
  const { siteKey } = useSite();
  const publish = useStable(onPublish);
  const label =
    changeCount === null
      ? SHARED_WORDS.publishVersion(nextVersion)
      : changeCount === 0
        ? DRAFT_WORDS.nothingToPublish
        : DRAFT_WORDS.publishChanges(changeCount);
  if (draft.version !== null) return <VersionBar version={draft.version} />;
  return (
    <Drawn
      label={label}
      undoLabel={draft.undoLabel}
      redoLabel={draft.redoLabel}
      status={draft.status}
      why={draft.why}
      canPublish={changeCount !== 0 && draft.status === 'saved'}
      {...{ siteKey, saver, publish }}
    />
  );
}

interface DrawnProps extends Pick<DraftState, 'undoLabel' | 'redoLabel' | 'status' | 'why'> {
  readonly label: string;
  readonly canPublish: boolean;
  readonly siteKey: string;
  readonly saver: DraftSaver;
  readonly publish: () => void;
}

/** Drawn anew only when one of its words is another: not with each letter. */
const Drawn = memo(function Drawn({
  label,
  undoLabel,
  redoLabel,
  status,
  why,
  canPublish,
  siteKey,
  saver,
  publish,
}: DrawnProps) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.5, flex: 'none' }}>
      <Roving label={DRAFT_WORDS.theDraft} sx={{ display: 'flex', alignItems: 'center', gap: 0.5 }}>
        <Step kind="undo" label={undoLabel} onStep={() => saver.step('undo')} />
        <Step kind="redo" label={redoLabel} onStep={() => saver.step('redo')} />
        <Tooltip title={why ?? DRAFT_WORDS.draftHelp}>
          <Box
            role="status"
            sx={{
              fontSize: '0.8125rem',
              px: 0.75,
              whiteSpace: 'nowrap',
              // Where there is little room, only what is not as usual is seen.
              ...(status === 'saved' ? BETWEEN_HIDDEN : {}),
              color: status === 'not-saved' ? 'error.main' : 'text.secondary',
              fontWeight: status === 'not-saved' ? 700 : 400,
            }}
          >
            {STATUS_WORDS[status]}
          </Box>
        </Tooltip>
        <Tooltip title={SHARED_WORDS.versions}>
          <IconButton
            size="small"
            aria-label={SHARED_WORDS.versions}
            component={Link}
            href={`/s/${siteKey}/versions`}
            sx={{
              width: '2rem',
              height: '2rem',
              display: { xs: 'inline-flex', md: 'none', lg: 'inline-flex' },
            }}
          >
            <HistoryIcon fontSize="small" />
          </IconButton>
        </Tooltip>
      </Roving>
      <Button
        size="small"
        variant="contained"
        disabled={!canPublish}
        onClick={publish}
        sx={{ fontSize: '0.8125rem', whiteSpace: 'nowrap' }}
      >
        {label}
      </Button>
    </Box>
  );
});

/** Instead, while a version is only looked at. */
function VersionBar({ version }: { version: number }) {
  const { siteKey } = useSite();
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, flex: 'none' }}>
      <Box role="status" sx={{ fontSize: '0.8125rem', fontWeight: 700, whiteSpace: 'nowrap' }}>
        {DRAFT_WORDS.versionToLookAt(version)}
      </Box>
      <Button
        size="small"
        variant="outlined"
        component={Link}
        href={`/s/${siteKey}/versions`}
        sx={{ fontSize: '0.8125rem', whiteSpace: 'nowrap' }}
      >
        {SHARED_WORDS.versions}
      </Button>
      <Button
        size="small"
        variant="contained"
        component={Link}
        href={`/s/${siteKey}/design`}
        sx={{ fontSize: '0.8125rem', whiteSpace: 'nowrap' }}
      >
        {DRAFT_WORDS.backToTheDraft}
      </Button>
    </Box>
  );
}

function Step({ kind, label, onStep }: { kind: 'undo' | 'redo'; label: string | null; onStep: () => void }) {
  const [name, nothing] =
    kind === 'undo'
      ? [SHARED_WORDS.undo, DRAFT_WORDS.nothingToUndo]
      : [DRAFT_WORDS.redo, DRAFT_WORDS.nothingToRedo];
  return (
    <Tooltip title={label === null ? nothing : `${name}: ${label}`}>
      <span>
        <IconButton
          size="small"
          aria-label={label === null ? name : `${name}: ${label}`}
          disabled={label === null}
          onClick={onStep}
          sx={{ width: '2rem', height: '2rem' }}
        >
          {kind === 'undo' ? <UndoIcon fontSize="small" /> : <RedoIcon fontSize="small" />}
        </IconButton>
      </span>
    </Tooltip>
  );
}

'use client';

import { type ReactNode, useDeferredValue, useMemo, useState } from 'react';
import type { Finding } from '../../../core/findings/finding';
import { changesOf } from '../../../core/publish/changes';
import type { Overview } from '../../../core/wire/desk';
import { changeContext } from '../../publishing/change-context';
import { PublishDialog } from '../../publishing/PublishDialog';
import type { DraftSaver, DraftState } from './draft-saver';
import { PublishChecks } from './PublishChecks';
import { SHARED_WORDS } from '../../wording/screens/shared';

export interface Publishing {
  /** Null: nothing was published yet. */
  readonly changeCount: number | null;
  begin(): void;
  readonly dialog: ReactNode;
}

/** What would change for visitors if the draft were published, and the dialog in which it is. */
export function usePublishing(
  saver: DraftSaver,
  { design, revision }: DraftState,
  overview: Overview,
  findings: readonly Finding[],
): Publishing {
  const [isOpen, setOpen] = useState(false);
  const { publishedDesign } = overview;
  // The number on the button may follow a little later than the stage.
  const later = useDeferredValue(design);
  const changes = useMemo(
    () => (publishedDesign === null ? null : changesOf(publishedDesign, later)),
    [publishedDesign, later],
  );
  const dialog = isOpen ? (
    <PublishDialog
      onClose={() => setOpen(false)}
      revision={revision}
      changes={changes}
      context={changeContext(overview, publishedDesign, design)}
      findings={findings}
      nextVersion={overview.newestVersion + 1}
      checks={<PublishChecks design={design} nameOf={(id) => nameOfInvitation(design, id)} />}
      onPublished={() => void saver.reload()}
    />
  ) : null;
  return { changeCount: changes?.length ?? null, begin: () => setOpen(true), dialog };
}

function nameOfInvitation({ widgets }: DraftState['design'], id: string): string {
  return (
    widgets.flatMap(({ invitations }) => invitations).find((one) => one.id === id)?.name ??
    SHARED_WORDS.anInvitation
  );
}

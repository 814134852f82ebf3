'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Patch } from '../../core/model/json';
import type { Json } from '../../core/model/json';
import type { Design } from '../../core/model/design';
import { changesOf } from '../../core/publish/changes';
import { newClientId } from '../parts/new-client-id';
import { PortError } from '../frame/api';
import { useAttempt } from '../parts/use-attempt';
import { changeContext } from './change-context';
import { ChangeList } from './ChangeList';
import { FaultDialog } from './dialog-parts';
import type { JudgedFile } from './DesignFile';
import { useSite } from '../frame/SiteContext';
import { usePort } from '../frame/Connection';
import { designPort } from '../design/port';
import { PUBLISHING_WORDS } from '../wording/screens/publishing';
import { SHARED_WORDS } from '../wording/screens/shared';

interface DesignFileDialogProps extends JudgedFile {
  readonly onClose: () => void;
  readonly onTaken: () => void;
}

/** What a file would change in the draft; or why it does not fit, line by line. */
export function DesignFileDialog({ name, answer, draft, onClose, onTaken }: DesignFileDialogProps) {
  const { overview } = useSite();
  const port = usePort(designPort);
  const { isBusy, fault, run } = useAttempt(SHARED_WORDS.nothingChanged);
  const { design, faults } = answer;
  const changes = design === null ? [] : changesOf(draft.design, design);
  const hasNews = design !== null && changes.length > 0;
  const take = async (wanted: Design): Promise<void> => {
    const patches = Object.entries(wanted).map(([part, value]): Patch => ({
      op: 'set',
      path: [part],
      value: value as Json,
    }));
    const saved = await port.saveChange({
      clientId: newClientId(),
      base: draft.revision,
      patches,
      label: PUBLISHING_WORDS.importEdit,
      editId: null,
    });
    if (saved.kind === 'behind')
      throw new PortError(
        'refused',
        'Somebody changed the draft in the meantime. Nothing was imported; import the file again.',
      );
    onTaken();
    onClose();
  };
  return (
    <FaultDialog
      title={design === null ? PUBLISHING_WORDS.cannotBeImported(name) : PUBLISHING_WORDS.importNamed(name)}
      onClose={onClose}
      fault={fault}
      actions={
        <>
          <Button onClick={onClose}>{hasNews ? SHARED_WORDS.cancel : SHARED_WORDS.close}</Button>
          {hasNews ? (
            <Button variant="contained" loading={isBusy} onClick={() => void run(() => take(design))}>
              {PUBLISHING_WORDS.importIntoTheDraft}
            </Button>
          ) : null}
        </>
      }
    >
      {design === null ? (
        <Faults faults={faults} />
      ) : changes.length === 0 ? (
        <Typography>{PUBLISHING_WORDS.sameAsDraft}</Typography>
      ) : (
        <>
          <Typography sx={{ mb: 1 }}>
            {changes.length === 1
              ? PUBLISHING_WORDS.willChangeInDraft
              : PUBLISHING_WORDS.thingsWillChangeInDraft(changes.length)}
          </Typography>
          <ChangeList changes={changes} context={changeContext(overview, draft.design, design)} />
        </>
      )}
    </FaultDialog>
  );
}

/** Each thing that does not fit, at its line. */
function Faults({ faults }: Pick<JudgedFile['answer'], 'faults'>) {
  return (
    <>
      <Typography sx={{ mb: 1 }}>{PUBLISHING_WORDS.nothingChangedBecause(faults.length)}</Typography>
      <Box
        component="ul"
        tabIndex={0}
        aria-label={PUBLISHING_WORDS.whatDoesNotFit}
        sx={{ m: 0, pl: 2.5, maxHeight: 320, overflow: 'auto', overflowWrap: 'anywhere' }}
      >
        {faults.map(({ line, column, path, sentence }) => (
          <Box component="li" key={`${line} ${column} ${path} ${sentence}`} sx={{ mb: 0.75 }}>
            <b>{PUBLISHING_WORDS.lineSign(line, column)}</b>
            {path === '' ? '' : ` (${path})`}: {sentence}
          </Box>
        ))}
      </Box>
    </>
  );
}

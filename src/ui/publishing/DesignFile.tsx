'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { type DragEvent, useRef, useState } from 'react';
import { toast } from 'sonner';
import { LIMITS } from '../../core/limits';
import type { DesignFileAnswer, DraftView } from '../../core/wire/desk';
import { writeDesignText } from '../../formats/design/design-text';
import { PortError } from '../frame/api';
import { DesignFileDialog } from './DesignFileDialog';
import { useSite } from '../frame/SiteContext';
import { useConnection, usePort } from '../frame/Connection';
import { designPort } from '../design/port';
import { publishingPort } from './port';
import { PUBLISHING_WORDS } from '../wording/screens/publishing';
import { SHARED_WORDS } from '../wording/screens/shared';

/** A file that was judged, and the draft it would take the place of. */
export interface JudgedFile {
  readonly name: string;
  readonly answer: DesignFileAnswer;
  readonly draft: DraftView;
}

/** The whole design out as one file, and one in: it is judged first, and shown in words before it changes anything. */
export function DesignFile() {
  const { siteKey } = useSite();
  const { notice } = useConnection();
  const port = usePort(publishingPort);
  const draftPort = usePort(designPort);
  const input = useRef<HTMLInputElement>(null);
  const [judged, setJudged] = useState<JudgedFile | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [isOver, setOver] = useState(false);
  const tell = (error: unknown): void => {
    notice(error);
    setFault(error instanceof PortError ? error.sentence : PUBLISHING_WORDS.fileNotRead);
  };
  const save = async (): Promise<void> => {
    const { design } = await draftPort.getDraft();
    const address = URL.createObjectURL(new Blob([writeDesignText(design)], { type: 'application/json' }));
    const link = Object.assign(document.createElement('a'), {
      href: address,
      download: `${siteKey}-design.json`,
    });
    link.click();
    URL.revokeObjectURL(address);
  };
  const take = async (file: File | undefined): Promise<void> => {
    setFault(null);
    if (file === undefined) return;
    const text = await file.text();
    if (text.length > LIMITS.designFileChars) return setFault(PUBLISHING_WORDS.fileTooLarge);
    const [answer, draft] = await Promise.all([port.judgeDesignFile(text), draftPort.getDraft()]);
    setJudged({ name: file.name, answer, draft });
  };
  const drop = (event: DragEvent): void => {
    event.preventDefault();
    setOver(false);
    take(event.dataTransfer.files[0]).catch(tell);
  };
  return (
    <Box
      component="section"
      aria-label={PUBLISHING_WORDS.designFile}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
      sx={{
        mt: 4,
        p: 2,
        borderRadius: '12px',
        border: `1px ${isOver ? 'solid var(--porch-door)' : 'dashed var(--porch-edge)'}`,
        bgcolor: isOver ? 'background.paper' : undefined,
      }}
    >
      <Typography variant="h2" sx={{ fontSize: '1.125rem', mb: 0.5 }}>
        {PUBLISHING_WORDS.designFile}
      </Typography>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1.5 }}>
        {PUBLISHING_WORDS.designFileHelp}
      </Typography>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button variant="outlined" size="small" onClick={() => save().catch(tell)}>
          {PUBLISHING_WORDS.exportDraft}
        </Button>
        <Button variant="outlined" size="small" onClick={() => input.current?.click()}>
          {PUBLISHING_WORDS.importFile}
        </Button>
      </Box>
      <input
        ref={input}
        type="file"
        accept="application/json,.json"
        aria-label={PUBLISHING_WORDS.chooseFile}
        hidden
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          event.target.value = '';
          take(file).catch(tell);
        }}
      />
      {fault === null ? null : (
        <Alert severity="error" role="alert" sx={{ mt: 1.5 }}>
          {fault}
        </Alert>
      )}
      {judged === null ? null : (
        <DesignFileDialog
          {...judged}
          onClose={() => setJudged(null)}
          onTaken={() =>
            toast.success(PUBLISHING_WORDS.imported, {
              action: {
                label: SHARED_WORDS.openDesign,
                onClick: () => window.location.assign(`/s/${siteKey}/design`),
              },
            })
          }
        />
      )}
    </Box>
  );
}

'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import FormControlLabel from '@mui/material/FormControlLabel';
import Popover from '@mui/material/Popover';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import Typography from '@mui/material/Typography';
import { type DragEvent, useEffect, useRef, useState } from 'react';
import { PILL } from './pill';
import type { BackdropKind, PagePictureActions } from './use-page-pictures';
import { STAGE_WORDS } from '../../wording/screens/stage';
import { SHARED_WORDS } from '../../wording/screens/shared';

interface BackdropMenuProps {
  readonly kind: BackdropKind;
  readonly onKind: (kind: BackdropKind) => void;
  readonly acts: PagePictureActions;
}

const WORDS: Readonly<Record<BackdropKind, string>> = {
  drawn: STAGE_WORDS.drawnPage,
  picture: STAGE_WORDS.pictureBehind,
  site: STAGE_WORDS.pageItselfBehind,
};

/** What stands behind the widget: a page of ours, a picture of the owner's, or their page itself. */
export function BackdropMenu({ kind, onKind, acts }: BackdropMenuProps) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <ButtonBase
        aria-haspopup="dialog"
        aria-label={STAGE_WORDS.behindIs(WORDS[kind])}
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={PILL}
      >
        {STAGE_WORDS.pageBehind}
      </ButtonBase>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        {anchor === null ? null : <Choice kind={kind} onKind={onKind} acts={acts} />}
      </Popover>
    </>
  );
}

function Choice({ kind, onKind, acts }: BackdropMenuProps) {
  const { device, known } = acts;
  const [isBusy, setBusy] = useState(false);
  const files = useRef<HTMLInputElement>(null);
  const hasPicture = known.pictures[device] !== undefined;
  const take = async (file: Blob | null | undefined): Promise<void> => {
    if (!file) return;
    setBusy(true);
    await acts.upload(file);
    setBusy(false);
    onKind('picture');
  };
  useEffect(() => {
    const paste = (event: ClipboardEvent): void => void take(event.clipboardData?.files[0]);
    document.addEventListener('paste', paste);
    return () => document.removeEventListener('paste', paste);
  });
  return (
    <Box
      role="dialog"
      aria-label={STAGE_WORDS.behindTheWidget}
      sx={{ p: 2, width: 320 }}
      onDragOver={(event: DragEvent) => event.preventDefault()}
      onDrop={(event: DragEvent) => {
        event.preventDefault();
        void take(event.dataTransfer.files[0]);
      }}
    >
      <RadioGroup
        aria-label={STAGE_WORDS.behindTheWidget}
        value={kind}
        onChange={(event) => onKind(event.target.value as BackdropKind)}
      >
        <Option value="drawn" label={STAGE_WORDS.aPlaceholderPage} />
        <Option value="picture" label={STAGE_WORDS.pictureOfPage(device === 'phone')} isOff={!hasPicture} />
        <Option value="site" label={STAGE_WORDS.yourPageItself} isOff={known.siteAddress === null} />
      </RadioGroup>
      {kind === 'site' ? (
        <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>
          {STAGE_WORDS.pageItselfHelp}
        </Typography>
      ) : null}
      <Box sx={{ mt: 1.5, pt: 1.5, borderTop: '1px solid var(--porch-rail)' }}>
        <Typography variant="body2" sx={{ mb: 1 }}>
          {STAGE_WORDS.pictureHelp(hasPicture, device === 'phone')}
        </Typography>
        <Box sx={{ display: 'flex', gap: 1 }}>
          <input
            ref={files}
            hidden
            type="file"
            accept="image/png,image/jpeg,image/webp"
            onChange={(event) => void take(event.target.files?.[0])}
          />
          <Button size="small" variant="contained" disabled={isBusy} onClick={() => files.current?.click()}>
            {isBusy ? SHARED_WORDS.preparing : SHARED_WORDS.chooseAPicture}
          </Button>
          {hasPicture ? (
            <Button size="small" onClick={() => void acts.remove()}>
              {SHARED_WORDS.remove}
            </Button>
          ) : null}
        </Box>
      </Box>
    </Box>
  );
}

function Option({ value, label, isOff = false }: { value: BackdropKind; label: string; isOff?: boolean }) {
  return (
    <FormControlLabel
      value={value}
      disabled={isOff}
      control={<Radio size="small" />}
      label={label}
      slotProps={{ typography: { variant: 'body2' } }}
    />
  );
}

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { type DragEvent, useContext, useRef, useState } from 'react';
import type { HeaderPicture, PictureRef } from '../../core/model/look';
import type { LookPictureKind } from '../../core/wire/desk';
import { PicturesAt } from '../design/WidgetTile';
import { PortError } from '../frame/port';
import { useSite } from '../frame/SiteContext';

interface PictureFieldProps {
  readonly kind: LookPictureKind;
  readonly label: string;
  /** What it is good for, and how it should be. */
  readonly what: string;
  readonly value: PictureRef | null;
  readonly onChange: (picture: HeaderPicture | null) => void;
}

const KINDS = 'image/png,image/jpeg,image/webp,image/gif,image/avif,image/svg+xml';

/** A picture of a look: dropped, pasted or chosen; drawn on the server, shown as visitors get it. */
export function PictureField({ kind, label, what, value, onChange }: PictureFieldProps) {
  const { port, notice } = useSite();
  const base = useContext(PicturesAt);
  const files = useRef<HTMLInputElement>(null);
  const [isBusy, setBusy] = useState(false);
  const [isOver, setOver] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const take = async (file: Blob | null | undefined): Promise<void> => {
    if (!file) return;
    setBusy(true);
    setFault(null);
    try {
      onChange(await port.keepLookPicture(kind, file));
    } catch (error) {
      notice(error);
      setFault(error instanceof PortError ? error.sentence : 'It could not be sent. Nothing was changed; try again.');
    }
    setBusy(false);
  };
  return (
    <Box
      role="group"
      aria-label={label}
      tabIndex={-1}
      onPaste={(event) => void take(event.clipboardData.files[0])}
      onDragOver={(event: DragEvent) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event: DragEvent) => {
        event.preventDefault();
        setOver(false);
        void take(event.dataTransfer.files[0]);
      }}
      sx={{ border: `1.5px dashed var(--porch-${isOver ? 'door' : 'edge'})`, borderRadius: '10px', p: 1.5, mb: 1.5 }}
    >
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
        {value === null ? null : (
          <Box
            component="img"
            alt={label}
            src={`${base}/${value.twice}.webp`}
            sx={{ maxWidth: 110, maxHeight: 48, objectFit: 'contain', bgcolor: 'var(--porch-lane)', borderRadius: '6px' }}
          />
        )}
        <Box sx={{ fontSize: 13, fontWeight: 600 }}>{label}</Box>
      </Box>
      <Typography variant="body2" color="text.secondary" sx={{ my: 1 }}>
        {what} Drop it here, paste it or choose it: PNG, JPEG, WebP, GIF, AVIF or SVG, up to 5 MB.
      </Typography>
      <input ref={files} hidden type="file" accept={KINDS} aria-label={label} onChange={(event) => void take(event.target.files?.[0])} />
      <Button size="small" variant="outlined" disabled={isBusy} onClick={() => files.current?.click()}>
        {isBusy ? 'Drawing it …' : value === null ? 'Choose a picture' : 'Another one'}
      </Button>
      {value === null ? null : (
        <Button size="small" onClick={() => onChange(null)}>
          Take it away
        </Button>
      )}
      {fault === null ? null : (
        <Typography variant="body2" color="error" role="alert" sx={{ mt: 1 }}>
          {fault}
        </Typography>
      )}
    </Box>
  );
}

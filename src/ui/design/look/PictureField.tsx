import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useContext } from 'react';
import type { HeaderPicture, PictureRef } from '../../../core/model/look';
import type { LookPictureKind } from '../../../core/wire/desk';
import { PicturesAt } from '../path/WidgetTile';
import { PICTURE_KINDS, useSending } from '../../parts/use-sending';
import { useStable } from '../../parts/use-stable';
import { usePort } from '../../frame/Connection';
import { picturesPort } from '../pictures-port';
import { LOOK_PANEL_WORDS } from '../../wording/screens/look-panel';
import { SHARED_WORDS } from '../../wording/screens/shared';

interface PictureFieldProps {
  readonly kind: LookPictureKind;
  readonly label: string;
  /** What it is good for, and how it should be. */
  readonly what: string;
  readonly value: PictureRef | null;
  readonly onChange: (picture: HeaderPicture | null) => void;
}

/** A picture of a look: dropped, pasted or chosen; drawn on the server, shown as visitors get it. */
export function PictureField({ kind, label, what, value, onChange }: PictureFieldProps) {
  const port = usePort(picturesPort);
  const base = useContext(PicturesAt);
  // While a picture is on its way other things may be changed: it goes into the look as it is then.
  const change = useStable(onChange);
  const sending = useSending(async (file) => change(await port.keepLookPicture(kind, file)));
  return (
    <Box
      role="group"
      aria-label={label}
      tabIndex={-1}
      {...sending.place}
      sx={{
        border: `1.5px dashed var(--porch-${sending.isOver ? 'door' : 'edge'})`,
        borderRadius: '10px',
        p: 1.5,
        mb: 1.5,
      }}
    >
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
        {value === null ? null : (
          <Box
            component="img"
            alt={label}
            src={`${base}/${value.twice}.webp`}
            sx={{
              maxWidth: 110,
              maxHeight: 48,
              objectFit: 'contain',
              bgcolor: 'var(--porch-lane)',
              borderRadius: '6px',
            }}
          />
        )}
        <Box sx={{ fontSize: '0.8125rem', fontWeight: 600 }}>{label}</Box>
      </Box>
      <Typography variant="body2" color="text.secondary" sx={{ my: 1 }}>
        {LOOK_PANEL_WORDS.dropHelp(what)}
      </Typography>
      <input
        ref={sending.files}
        hidden
        type="file"
        accept={PICTURE_KINDS}
        aria-label={label}
        onChange={(event) => void sending.take(event.target.files?.[0])}
      />
      <Button size="small" variant="outlined" disabled={sending.isBusy} onClick={sending.choose}>
        {sending.isBusy
          ? SHARED_WORDS.preparing
          : value === null
            ? SHARED_WORDS.chooseAPicture
            : LOOK_PANEL_WORDS.changePicture}
      </Button>
      {value === null ? null : (
        <Button size="small" onClick={() => onChange(null)}>
          {SHARED_WORDS.remove}
        </Button>
      )}
      {sending.fault === null ? null : (
        <Typography variant="body2" color="error" role="alert" sx={{ mt: 1 }}>
          {sending.fault}
        </Typography>
      )}
    </Box>
  );
}

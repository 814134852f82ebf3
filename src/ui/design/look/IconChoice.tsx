import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { useContext } from 'react';
import { ICONS } from '../../../core/look/icons';
import { LAMP_OUTLINE } from '../../../core/model/lamp';
import { ICON_NAMES, type Icon } from '../../../core/model/look';
import { PicturesAt } from '../path/WidgetTile';
import { PICTURE_KINDS, useSending } from '../../parts/use-sending';
import { useStable } from '../../parts/use-stable';
import { ICON_WORDS } from '../../wording/look';
import { radioKeys } from '../../parts/radio-keys';
import { usePort } from '../../frame/Connection';
import { picturesPort } from '../pictures-port';
import { LOOK_PANEL_WORDS } from '../../wording/screens/look-panel';

interface IconChoiceProps {
  readonly label: string;
  /** What is shown where none is chosen. */
  readonly otherwise: string;
  readonly value: Icon | null;
  readonly onChange: (icon: Icon | null) => void;
}

/** A mark: one of ours, a picture of one's own, or what is shown otherwise. */
export function IconChoice({ label, otherwise, value, onChange }: IconChoiceProps) {
  const port = usePort(picturesPort);
  const base = useContext(PicturesAt);
  // While a picture is on its way other things may be changed: it goes into the launcher as it is then.
  const change = useStable(onChange);
  const sending = useSending(async (file) => {
    const { once, twice, width, height } = await port.keepLookPicture('icon', file);
    change({ picture: { once, twice, width, height } });
  });
  const picture = value !== null && 'picture' in value ? value.picture : null;
  const drawing = value !== null && 'drawing' in value ? value.drawing : null;
  return (
    <Box
      {...sending.place}
      sx={{ mt: 1.5, outline: sending.isOver ? '2px dashed var(--porch-door)' : 'none' }}
    >
      <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary', mb: 0.5 }}>{label}</Box>
      <Box
        role="radiogroup"
        aria-label={label}
        onKeyDown={radioKeys}
        sx={{ display: 'grid', gridTemplateColumns: 'repeat(8, 1fr)', gap: 0.5 }}
      >
        <Mark name={otherwise} isChosen={value === null} onChoose={() => onChange(null)}>
          <Drawing path={LAMP_OUTLINE} />
        </Mark>
        {ICON_NAMES.map((name) => (
          <Mark
            key={name}
            name={ICON_WORDS[name] ?? name}
            isChosen={drawing === name}
            onChoose={() => onChange({ drawing: name })}
          >
            <Drawing path={ICONS[name]} />
          </Mark>
        ))}
        <Mark name="A picture of your own" isChosen={picture !== null} asks onChoose={sending.choose}>
          {picture === null ? (
            '…'
          ) : (
            <Box
              component="img"
              alt=""
              src={`${base}/${picture.twice}.webp`}
              sx={{ width: 22, height: 22, objectFit: 'contain' }}
            />
          )}
        </Mark>
      </Box>
      <input
        ref={sending.files}
        hidden
        type="file"
        accept={PICTURE_KINDS}
        aria-label={LOOK_PANEL_WORDS.pictureNamed(label)}
        onChange={(event) => void sending.take(event.target.files?.[0])}
      />
      {sending.fault === null ? null : (
        <Box role="alert" sx={{ fontSize: '0.8125rem', color: 'error.main', mt: 0.5 }}>
          {sending.fault}
        </Box>
      )}
    </Box>
  );
}

interface MarkProps {
  readonly name: string;
  readonly isChosen: boolean;
  /** Chosen, it asks for a file first. */
  readonly asks?: boolean;
  readonly onChoose: () => void;
  readonly children: React.ReactNode;
}

function Mark({ name, isChosen, asks = false, onChoose, children }: MarkProps) {
  return (
    <ButtonBase
      role="radio"
      aria-checked={isChosen}
      tabIndex={isChosen ? 0 : -1}
      data-asks={asks ? '' : undefined}
      aria-label={name}
      title={name}
      onClick={onChoose}
      sx={{
        minHeight: 34,
        borderRadius: '8px',
        outline: isChosen ? '2px solid var(--porch-door)' : '1px solid var(--porch-rail)',
        '&:focus-visible': { outline: '3px solid var(--porch-door)' },
      }}
    >
      {children}
    </ButtonBase>
  );
}

function Drawing({ path }: { readonly path: string }) {
  return (
    <svg
      width="22"
      height="22"
      viewBox="0 0 24 24"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.7"
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden
    >
      <path d={path} />
    </svg>
  );
}

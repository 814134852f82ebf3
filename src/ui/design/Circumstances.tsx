'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Menu from '@mui/material/Menu';
import Popover from '@mui/material/Popover';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { type ReactNode, useEffect, useState } from 'react';
import { LANGUAGES } from '../wording/languages';

/** Who is in, as the stage supposes it: as it is now, or made up. */
export type With = 'now' | 'in' | 'nobody';

export interface CircumstancesProps {
  readonly widgetName: string;
  readonly path: string;
  readonly onPath: (path: string) => void;
  readonly locale: string;
  readonly locales: readonly string[];
  readonly onLocale: (locale: string) => void;
  readonly teamName: string;
  readonly withNow: string;
  readonly who: With;
  readonly onWho: (who: With) => void;
  readonly children: ReactNode;
}

/** The sentence above the stage: on which page, for whom, with whom. Each part opens under itself. */
export function Circumstances(props: CircumstancesProps) {
  const { who, onWho, withNow, teamName } = props;
  const choices: readonly (readonly [With, string])[] = [
    ['now', `as it is now (${withNow})`],
    ['in', 'somebody in'],
    ['nobody', 'nobody in'],
  ];
  const whoWords = `${teamName}: ${who === 'now' ? withNow : who === 'in' ? 'somebody in' : 'nobody in'}`;
  return (
    <Box
      component="section"
      aria-label="Circumstances"
      sx={{
        minHeight: 44,
        display: 'flex',
        alignItems: 'center',
        flexWrap: { xs: 'wrap', md: 'nowrap' },
        gap: { xs: 0.75, md: 1 },
        px: 2,
        py: { xs: 0.75, md: 0 },
        bgcolor: 'background.default',
        borderBottom: '1px solid var(--porch-rail)',
        fontSize: 13,
        flex: 'none',
      }}
    >
      <Word>Widget</Word>
      <Box component="span" sx={{ fontWeight: 600, whiteSpace: 'nowrap' }}>
        {props.widgetName}
      </Box>
      <Word>on</Word>
      <Where {...props} />
      <Word>to somebody who reads</Word>
      <Choice
        label="Language"
        value={LANGUAGES[props.locale] ?? props.locale}
        options={props.locales.map((locale) => [locale, LANGUAGES[locale] ?? locale])}
        chosen={props.locale}
        onChoose={props.onLocale}
      />
      <Word>with</Word>
      <Choice label="Who is in" value={whoWords} options={choices} chosen={who} onChoose={onWho} />
      <Box sx={{ flex: 1 }} />
      {props.children}
    </Box>
  );
}

function Word({ children }: { children: ReactNode }) {
  return (
    <Box component="span" sx={{ color: 'text.secondary', whiteSpace: 'nowrap' }}>
      {children}
    </Box>
  );
}

const PART = {
  fontSize: 13,
  fontWeight: 600,
  minHeight: 28,
  maxWidth: 240,
  borderBottom: '2px solid var(--porch-door)',
  whiteSpace: 'nowrap',
  overflow: 'hidden',
  textOverflow: 'ellipsis',
  display: 'block',
  textAlign: 'start',
} as const;

function Choice<T extends string>({
  label,
  value,
  options,
  chosen,
  onChoose,
}: {
  label: string;
  value: string;
  options: readonly (readonly [T, string])[];
  chosen: T;
  onChoose: (value: T) => void;
}) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <ButtonBase aria-label={`${label}: ${value}`} aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)} sx={PART}>
        {value} ▾
      </ButtonBase>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {options.map(([one, words]) => (
          <MenuItem
            key={one}
            selected={one === chosen}
            onClick={() => {
              onChoose(one);
              setAnchor(null);
            }}
          >
            {words}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}

function Where({ path, onPath }: Pick<CircumstancesProps, 'path' | 'onPath'>) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [typed, setTyped] = useState(path);
  useEffect(() => setTyped(path), [path]);
  const go = (): void => {
    onPath(typed.trim() === '' ? '/' : typed.trim());
    setAnchor(null);
  };
  return (
    <>
      <ButtonBase aria-label={`On the page ${path}`} aria-haspopup="dialog" onClick={(event) => setAnchor(event.currentTarget)} sx={PART}>
        {path} ▾
      </ButtonBase>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        <Box
          component="form"
          onSubmit={(event) => {
            event.preventDefault();
            go();
          }}
          sx={{ p: 2, width: 320 }}
        >
          <Typography variant="body2" color="text.secondary" sx={{ mb: 1.5 }}>
            A page of your site: its path, or its whole address.
          </Typography>
          <TextField label="Page" size="small" fullWidth autoFocus value={typed} onChange={(event) => setTyped(event.target.value)} />
          <Button type="submit" variant="contained" size="small" sx={{ mt: 1.5 }}>
            Look there
          </Button>
        </Box>
      </Popover>
    </>
  );
}

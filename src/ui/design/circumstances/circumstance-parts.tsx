'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Divider from '@mui/material/Divider';
import ListSubheader from '@mui/material/ListSubheader';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Popover from '@mui/material/Popover';
import { type ReactNode, useState } from 'react';

/** A word that joins the parts of the sentence; the first to go where there is little room. */
export function Word({ children }: { children: ReactNode }) {
  return (
    <Box
      component="span"
      sx={{
        color: 'text.secondary',
        whiteSpace: 'nowrap',
        display: { xs: 'inline', md: 'none', lg: 'inline' },
      }}
    >
      {children}
    </Box>
  );
}

const PART = {
  fontSize: '0.875rem',
  fontWeight: 600,
  minHeight: 28,
  borderBottom: '2px solid var(--porch-door)',
  whiteSpace: 'nowrap',
  overflow: 'hidden',
  textOverflow: 'ellipsis',
  display: 'block',
  textAlign: 'start',
} as const;

/** Parts that are cut where there is no room for the whole sentence; the others are short. */
const SHRINKING: ReadonlySet<PartName> = new Set(['widget', 'where', 'with']);
/** So much of them always stays, in rem. */
const LEAST = 4.5;
const SHORT_CHARS = 8;

/** How much room a part takes: one that is short anyway is never cut. */
function roomOf({ part, value, maxWidth }: Pick<PartProps, 'part' | 'value' | 'maxWidth'>) {
  const mayShrink = SHRINKING.has(part) && value.length > SHORT_CHARS;
  return {
    flex: mayShrink ? '0 1 auto' : 'none',
    minWidth: mayShrink ? `${LEAST}rem` : 0,
    maxWidth: `${maxWidth / 16}rem`,
  } as const;
}

export type PartName = 'widget' | 'where' | 'when' | 'visitor' | 'device' | 'language' | 'with';

/** Opens a part of the sentence, as if it had been chosen. */
export function openPart(part: PartName): void {
  document.querySelector<HTMLElement>(`[data-part=${part}]`)?.click();
}

interface PartProps {
  readonly part: PartName;
  /** What the part is, for its accessible name. */
  readonly label: string;
  readonly value: string;
  readonly maxWidth: number;
}

interface Few<T extends string = string> {
  readonly options: readonly (readonly [T, string])[];
  readonly chosen: T;
  readonly onChoose: (value: T) => void;
}

/** A part of the sentence that is one of a few, or two that belong together. */
export function Choice<T extends string>({
  part,
  label,
  value,
  maxWidth,
  options,
  chosen,
  onChoose,
  also,
}: PartProps & Few<T> & { readonly also?: (Few & { readonly heading: string }) | null }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const itemsOf = <V extends string>(few: Few<V>) =>
    few.options.map(([one, words]) => (
      <MenuItem
        key={one}
        selected={one === few.chosen}
        onClick={() => {
          few.onChoose(one);
          setAnchor(null);
        }}
      >
        {words}
      </MenuItem>
    ));
  return (
    <>
      <ButtonBase
        data-part={part}
        aria-label={`${label} ${value}`}
        title={value}
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ ...PART, ...roomOf({ part, value, maxWidth }) }}
      >
        {value}
      </ButtonBase>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {itemsOf({ options, chosen, onChoose })}
        {also === null || also === undefined
          ? null
          : [
              <Divider key="divider" />,
              <ListSubheader key="heading">{also.heading}</ListSubheader>,
              ...itemsOf(also),
            ]}
      </Menu>
    </>
  );
}

/** A part of the sentence that opens a sheet under itself; the stage stays visible. */
export function Sheet({
  part,
  label,
  value,
  maxWidth,
  children,
}: PartProps & { readonly children: (close: () => void) => ReactNode }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const close = (): void => setAnchor(null);
  return (
    <>
      <ButtonBase
        data-part={part}
        aria-label={`${label} ${value}`}
        title={value}
        aria-haspopup="dialog"
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ ...PART, ...roomOf({ part, value, maxWidth }) }}
      >
        {value}
      </ButtonBase>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={close}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        <Box role="dialog" aria-label={label} sx={{ p: 2, width: 'min(20rem, calc(100vw - 2rem))' }}>
          {children(close)}
        </Box>
      </Popover>
    </>
  );
}

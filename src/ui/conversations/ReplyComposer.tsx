import ArrowDropDownIcon from '@mui/icons-material/ArrowDropDown';
import CheckIcon from '@mui/icons-material/Check';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonGroup from '@mui/material/ButtonGroup';
import Divider from '@mui/material/Divider';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { type KeyboardEvent, useState } from 'react';
import { CONVERSATIONS_WORDS } from '../wording/screens/conversations';
import { SEND_KEYS, type SendKey, useSendKey } from './use-send-key';

interface ReplyComposerProps {
  readonly label: string;
  readonly draft: string;
  readonly onDraft: (text: string) => void;
  /** Characters beyond what may be sent. */
  readonly over: number;
  readonly help: string | undefined;
  /** Whether an answer may be the last one. */
  readonly mayEnd: boolean;
  readonly onSend: (thenEnd: boolean) => void;
}

/** Where one answers: a field that grows with the words, *Send* beside it, and what else sending can mean in a menu. */
export function ReplyComposer({ label, draft, onDraft, over, help, mayEnd, onSend }: ReplyComposerProps) {
  const [sendKey, setSendKey] = useSendKey();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const isSendable = draft.trim() !== '' && over <= 0;
  const close = (then: () => void) => () => {
    setAnchor(null);
    then();
  };
  return (
    <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}>
      <TextField
        label={label}
        multiline
        maxRows={8}
        fullWidth
        size="small"
        value={draft}
        onChange={(event) => onDraft(event.target.value)}
        error={over > 0}
        helperText={over > 0 ? CONVERSATIONS_WORDS.tooLong(over) : help}
        onKeyDown={(event) => {
          if (!isSending(event, sendKey)) return;
          event.preventDefault();
          if (isSendable) onSend(false);
        }}
      />
      <ButtonGroup variant="contained" sx={{ flex: 'none', height: 40 }}>
        <Button type="submit" disabled={!isSendable}>
          {CONVERSATIONS_WORDS.send}
        </Button>
        <Button
          size="small"
          aria-label={CONVERSATIONS_WORDS.moreWays}
          aria-haspopup="menu"
          aria-expanded={anchor !== null}
          onClick={(event) => setAnchor(event.currentTarget)}
        >
          <ArrowDropDownIcon />
        </Button>
      </ButtonGroup>
      <Menu
        anchorEl={anchor}
        open={anchor !== null}
        onClose={close(() => undefined)}
        anchorOrigin={{ vertical: 'top', horizontal: 'right' }}
        transformOrigin={{ vertical: 'bottom', horizontal: 'right' }}
      >
        {mayEnd ? (
          <MenuItem disabled={!isSendable} onClick={close(() => onSend(true))}>
            {CONVERSATIONS_WORDS.sendAndEnd}
          </MenuItem>
        ) : null}
        {mayEnd ? <Divider /> : null}
        {SEND_KEYS.map((one) => (
          <MenuItem
            key={one}
            role="menuitemradio"
            aria-checked={one === sendKey}
            onClick={close(() => setSendKey(one))}
          >
            <CheckIcon fontSize="small" sx={{ mr: 1, visibility: one === sendKey ? 'visible' : 'hidden' }} />
            {CONVERSATIONS_WORDS.sendKeys[one]}
          </MenuItem>
        ))}
      </Menu>
    </Box>
  );
}

/** A key that ends a word of a script that is composed sends nothing. */
function isSending(event: KeyboardEvent, sendKey: SendKey): boolean {
  if (event.key !== 'Enter' || event.nativeEvent.isComposing) return false;
  return event.ctrlKey || event.metaKey || (sendKey === 'enter' && !event.shiftKey);
}

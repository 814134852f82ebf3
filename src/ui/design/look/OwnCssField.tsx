import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { LIMITS } from '../../../core/limits';
import { PARTS, rewriteCss } from '../../../core/look/own-css';
import type { Look } from '../../../core/model/look';
import { droppedWords } from '../../wording/look';
import { LOOK_PANEL_WORDS } from '../../wording/screens/look-panel';

const SHOWN_MAX = 50;

/** The owner's own CSS, for what nothing else covers; what visitors do not get of it is listed at its line. */
export function OwnCssField({
  look,
  onLook,
}: {
  readonly look: Look;
  readonly onLook: (look: Look, words: string) => void;
}) {
  const { dropped } = useMemo(() => rewriteCss(look.css), [look.css]);
  return (
    <Box>
      <TextField
        label={LOOK_PANEL_WORDS.ownCss}
        multiline
        fullWidth
        minRows={4}
        maxRows={14}
        size="small"
        value={look.css}
        onChange={(event) => onLook({ ...look, css: event.target.value }, LOOK_PANEL_WORDS.ownCssEdit)}
        slotProps={{
          htmlInput: {
            spellCheck: false,
            maxLength: LIMITS.ownCssChars,
            style: { fontFamily: 'ui-monospace, monospace', fontSize: '0.8125rem' },
          },
        }}
        placeholder={'.head { letter-spacing: 0.5px }'}
      />
      {dropped.length === 0 ? null : (
        <Box role="status" sx={{ mt: 1, fontSize: '0.8125rem' }}>
          <Box sx={{ fontWeight: 600 }}>{LOOK_PANEL_WORDS.ownCssLeftOut}</Box>
          <Box component="ul" aria-label={LOOK_PANEL_WORDS.leftOut} sx={{ m: 0, pl: 2.25 }}>
            {dropped.slice(0, SHOWN_MAX).map((one, at) => (
              <li key={at}>{droppedWords(one)}</li>
            ))}
            {dropped.length > SHOWN_MAX ? (
              <li>{LOOK_PANEL_WORDS.andMore(dropped.length - SHOWN_MAX)}</li>
            ) : null}
          </Box>
        </Box>
      )}
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1, fontSize: '0.8125rem' }}>
        {LOOK_PANEL_WORDS.ownCssHelp(PARTS.map((part) => `.${part}`).join(' '))}
      </Typography>
    </Box>
  );
}

'use client';

import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import type { SxProps } from '@mui/material/styles';
import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import type { WordingKey } from '../../../core/words/wordings';
import { newClientId } from '../../parts/new-client-id';
import type { StageText } from './StageTexts';
import { STAGE_WORDS } from '../../wording/screens/stage';

interface TextEditorProps {
  readonly wording: WordingKey;
  readonly texts: StageText;
  /** Of the field, in px. */
  readonly height: number;
  readonly sx: SxProps;
  readonly onClose: () => void;
}

/** Texts up to so many characters are one line: Enter keeps them too. */
const ONE_LINE_CHARS = 80;

/**
 * Edits one text, with its bound and the way back to ours. What is typed reaches stage and draft at once; leaving or Ctrl Enter
 * keeps it, Escape takes it back. All of it is one step of undo, and the focus goes back to where it came from.
 */
export function TextEditor({ wording, texts, height, sx, onClose }: TextEditorProps) {
  const [before] = useState(() => ({ text: texts.textOf(wording), isOwn: texts.isOwn(wording) }));
  const [editId] = useState(newClientId);
  const [text, setText] = useState(before.text);
  const field = useRef<HTMLTextAreaElement>(null);
  const from = useRef<Element | null>(null);
  useEffect(() => {
    from.current = document.activeElement;
    field.current?.focus();
    field.current?.select();
  }, []);
  const atMost = texts.atMost(wording);
  const name = texts.nameOf(wording);
  const fault = texts.faultOf(wording, text);
  const isWrong = fault !== null || text.length > atMost;
  const type = (next: string): void => {
    setText(next);
    if (next.length <= atMost && texts.faultOf(wording, next) === null) texts.change(wording, next, editId);
  };
  const close = (): void => {
    onClose();
    if (from.current instanceof HTMLElement && from.current.isConnected) from.current.focus();
  };
  const takeBack = (): void => {
    if (!before.isOwn && texts.isOwn(wording)) texts.restoreDefaults(wording, editId);
    else if (texts.textOf(wording) !== before.text) texts.change(wording, before.text, editId);
  };
  const key = (event: KeyboardEvent): void => {
    const isKept =
      event.key === 'Enter' &&
      (event.ctrlKey || event.metaKey || (atMost <= ONE_LINE_CHARS && !event.shiftKey));
    if (event.key !== 'Escape' && (!isKept || event.target !== field.current)) return;
    event.preventDefault();
    event.stopPropagation();
    if (event.key === 'Escape') takeBack();
    close();
  };
  return (
    <Box
      role="dialog"
      aria-label={name}
      data-own-keys
      onBlur={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget)) onClose();
      }}
      onKeyDown={key}
      sx={{
        bgcolor: 'background.paper',
        borderRadius: '10px',
        outline: '2px solid var(--porch-door)',
        ...sx,
      }}
    >
      <Box
        component="textarea"
        ref={field}
        value={text}
        dir={texts.dir}
        aria-label={name}
        aria-invalid={isWrong}
        aria-describedby="text-editor-hint"
        onChange={(event) => type(event.target.value)}
        sx={{ ...FIELD, height }}
      />
      <Box
        id="text-editor-hint"
        role="status"
        sx={{
          px: 1.5,
          pb: 1,
          fontSize: '0.8125rem',
          color: isWrong ? 'error.main' : 'text.secondary',
        }}
      >
        {hint(fault, text.length, atMost)}
        {texts.isOwn(wording) ? (
          <>
            {' · '}
            <Link
              component="button"
              type="button"
              sx={{ fontSize: '0.8125rem', verticalAlign: 'baseline' }}
              onClick={() => {
                texts.restoreDefaults(wording, editId);
                close();
              }}
            >
              {STAGE_WORDS.restoreOurText}
            </Link>
          </>
        ) : null}
        {STAGE_WORDS.escCancels}
      </Box>
    </Box>
  );
}

const FIELD = {
  display: 'block',
  width: '100%',
  p: '10px 12px',
  border: 0,
  outline: 'none !important',
  background: 'none',
  color: 'inherit',
  font: 'inherit',
  lineHeight: 1.45,
  resize: 'vertical',
  borderRadius: '10px',
} as const;

function hint(fault: string | null, length: number, atMost: number): string {
  if (length > atMost) return STAGE_WORDS.tooManyCharacters(length - atMost);
  return fault ?? STAGE_WORDS.lengthOfMost(length, atMost);
}

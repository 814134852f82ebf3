'use client';

import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import { type RefObject, useEffect, useRef, useState } from 'react';
import type { WordingKey } from '../../../core/words/wordings';
import type { StageText } from './StageTexts';

interface TextEditorProps {
  readonly spot: {
    readonly left: number;
    readonly top: number;
    readonly width: number;
    readonly height: number;
  };
  readonly stage: RefObject<HTMLDivElement | null>;
  readonly wording: WordingKey;
  readonly texts: StageText;
  readonly onClose: () => void;
}

const WIDTH_MIN = 240;

/** Edits one text where it stands, with its bound, what is left, and the way back to ours. */
export function TextEditor({ spot, stage, wording, texts, onClose }: TextEditorProps) {
  const [text, setText] = useState(() => texts.textOf(wording));
  const field = useRef<HTMLTextAreaElement>(null);
  // Measured once: to measure with each letter would lay the whole page out in the middle of drawing it.
  const [place] = useState(() => ({
    ...spot,
    stageWidth: stage.current?.clientWidth,
    stageHeight: stage.current?.clientHeight ?? 520,
  }));
  useEffect(() => {
    field.current?.focus();
    field.current?.select();
  }, []);
  const atMost = texts.atMost(wording);
  const name = texts.nameOf(wording);
  const fault = texts.faultOf(wording, text);
  const type = (next: string): void => {
    setText(next);
    if (next.length <= atMost && texts.faultOf(wording, next) === null) texts.change(wording, next);
  };
  const width = Math.max(WIDTH_MIN, place.width + 24);
  const height = Math.max(44, place.height + 22);
  const left = Math.max(8, Math.min(place.left - 12, (place.stageWidth ?? width) - width - 8));
  const top = Math.max(8, Math.min(place.top - 11, place.stageHeight - height - 64));
  return (
    <Box
      role="dialog"
      aria-label={name}
      onBlur={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget)) onClose();
      }}
      onKeyDown={(event) => {
        if (
          event.key !== 'Escape' &&
          (event.key !== 'Enter' || event.shiftKey || event.target !== field.current)
        )
          return;
        event.preventDefault();
        event.stopPropagation();
        onClose();
      }}
      sx={{
        position: 'absolute',
        left,
        top,
        width,
        zIndex: 5,
        bgcolor: 'background.paper',
        borderRadius: '10px',
        outline: '2px solid var(--porch-door)',
      }}
    >
      <Box
        component="textarea"
        ref={field}
        value={text}
        dir={texts.dir}
        aria-label={name}
        aria-invalid={fault !== null || text.length > atMost}
        aria-describedby="text-editor-hint"
        onChange={(event) => type(event.target.value)}
        sx={{
          display: 'block',
          width: '100%',
          height,
          p: '10px 12px',
          border: 0,
          outline: 'none !important',
          background: 'none',
          color: 'inherit',
          font: 'inherit',
          lineHeight: 1.45,
          resize: 'vertical',
          borderRadius: '10px',
        }}
      />
      <Box
        id="text-editor-hint"
        role="status"
        sx={{
          display: 'flex',
          gap: 1.5,
          px: 1.5,
          pb: 1,
          fontSize: '0.8125rem',
          color: fault !== null || text.length > atMost ? 'error.main' : 'text.secondary',
          flexWrap: 'wrap',
        }}
      >
        <span>{hint(fault, text.length, atMost)}</span>
        {texts.isOwn(wording) ? (
          <Link
            component="button"
            type="button"
            sx={{ fontSize: '0.8125rem', ml: 'auto' }}
            onClick={() => {
              texts.restoreDefaults(wording);
              onClose();
            }}
          >
            Restore our text
          </Link>
        ) : null}
      </Box>
    </Box>
  );
}

function hint(fault: string | null, length: number, atMost: number): string {
  if (length > atMost) return `${length - atMost} too many characters. Not saved yet.`;
  return fault ?? `${length} / ${atMost}`;
}

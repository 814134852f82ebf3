import ExpandMoreRounded from '@mui/icons-material/ExpandMoreRounded';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { type ReactNode, useId } from 'react';

interface FoldProps {
  readonly title: string;
  /** How things stand, so that it need not be opened to know. */
  readonly state: string;
  /** Something is to be mended inside. */
  readonly isWrong?: boolean;
  readonly isOpen: boolean;
  readonly onOpen: (isOpen: boolean) => void;
  readonly children: ReactNode;
}

/** A part of the look, closed: its name and how it stands; open: what can be set. */
export function Fold({ title, state, isWrong = false, isOpen, onOpen, children }: FoldProps) {
  const id = useId();
  return (
    <Box component="section" aria-label={title} sx={{ borderTop: '1px solid var(--porch-rail)' }}>
      <Box component="h3" sx={{ m: 0, font: 'inherit' }}>
        <ButtonBase
          aria-expanded={isOpen}
          aria-controls={id}
          onClick={() => onOpen(!isOpen)}
          sx={{
            width: '100%',
            minHeight: 44,
            py: 0.75,
            textAlign: 'start',
            justifyContent: 'space-between',
            gap: 1,
          }}
        >
          <Box component="span">
            <Box component="span" sx={{ display: 'block', fontSize: '0.8125rem', fontWeight: 700 }}>
              {title}
            </Box>
            <Box
              component="span"
              sx={{
                display: 'block',
                fontSize: '0.8125rem',
                color: isWrong ? 'error.main' : 'text.secondary',
                fontWeight: isWrong ? 600 : 400,
              }}
            >
              {state}
            </Box>
          </Box>
          <ExpandMoreRounded
            fontSize="small"
            sx={{ transform: isOpen ? 'rotate(180deg)' : 'none', flex: 'none' }}
          />
        </ButtonBase>
      </Box>
      <Box id={id} hidden={!isOpen} sx={{ pb: isOpen ? 2 : 0 }}>
        {isOpen ? children : null}
      </Box>
    </Box>
  );
}

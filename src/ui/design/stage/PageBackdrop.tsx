import Box from '@mui/material/Box';
import { memo } from 'react';
import { StandInPage } from './StandInPage';
import type { StageView } from './stage-geometry';
import type { Backdrop } from './use-page-pictures';
import { STAGE_WORDS } from '../../wording/screens/stage';

interface PageBackdropProps {
  readonly backdrop: Backdrop;
  readonly view: StageView;
  readonly siteName: string;
  readonly path: string;
}

/** The page behind the widget, at the stage's scale; decorative, and out of reach of mouse and keyboard. */
export const PageBackdrop = memo(function PageBackdrop({
  backdrop,
  view,
  siteName,
  path,
}: PageBackdropProps) {
  return (
    <Box
      aria-hidden
      inert
      sx={{
        position: 'absolute',
        width: view.pageWidth,
        height: view.pageHeight,
        transform: `scale(${view.scale})`,
        transformOrigin: '0 0',
        bgcolor: 'var(--porch-page)',
        overflow: 'hidden',
      }}
    >
      {backdrop.kind === 'drawn' ? (
        <StandInPage siteName={siteName} path={path} />
      ) : backdrop.kind === 'picture' ? (
        <img
          src={backdrop.address}
          alt=""
          style={{ display: 'block', width: view.pageWidth, height: 'auto' }}
        />
      ) : (
        // [threat 30] No scripts: nothing is counted there, our own tag stays silent, and nothing can speak to us.
        <iframe
          key={backdrop.address}
          src={backdrop.address}
          title={STAGE_WORDS.yourPage}
          tabIndex={-1}
          sandbox="allow-same-origin"
          referrerPolicy="no-referrer"
          style={{ border: 0, width: view.pageWidth, height: view.pageHeight, background: '#fff' }}
        />
      )}
    </Box>
  );
});

import Box from '@mui/material/Box';

/** The font of the stand-in page, which the widget takes over as it would on a real one. */
export const PAGE_FONT = '"Figtree Variable", "Noto Sans Arabic Variable"';

/** A page that stands in for the owner's, until there is a picture of theirs. */
export function StandInPage({ siteName, path }: { siteName: string; path: string }) {
  const line = (width: string, key: number) => (
    <Box key={key} sx={{ height: 12, width, bgcolor: 'var(--porch-pageInk)', borderRadius: 1, mb: 2 }} />
  );
  return (
    <Box
      sx={{
        position: 'absolute',
        inset: 0,
        p: '48px 64px',
        bgcolor: 'var(--porch-page)',
        color: 'text.primary',
        fontFamily: PAGE_FONT,
      }}
    >
      <Box
        sx={{
          display: 'flex',
          justifyContent: 'space-between',
          alignItems: 'baseline',
          borderBottom: '1px solid var(--porch-pageInk)',
          pb: 2,
          mb: 5,
        }}
      >
        <Box sx={{ fontSize: '1.375rem' }}>{siteName}</Box>
        <Box sx={{ fontSize: '0.9375rem', color: 'text.secondary' }}>{path}</Box>
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1.2fr 1fr', gap: 6 }}>
        <Box>
          {['62%', '96%', '91%', '94%', '40%'].map(line)}
          <Box sx={{ height: 230, bgcolor: 'var(--porch-pageInk)', opacity: 0.5, borderRadius: 1, my: 3 }} />
          {['93%', '88%', '52%'].map(line)}
        </Box>
        <Box sx={{ pt: 4 }}>{['80%', '90%', '86%', '70%', '92%', '64%'].map(line)}</Box>
      </Box>
    </Box>
  );
}

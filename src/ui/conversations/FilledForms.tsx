import Box from '@mui/material/Box';
import type { FilledForm } from '../../core/wire/desk';
import { dayWords } from '../wording/times';
import { CONVERSATIONS_WORDS } from '../wording/screens/conversations';

const TITLES: Readonly<Record<FilledForm['place'], string>> = {
  before: CONVERSATIONS_WORDS.filledInBefore,
  note: CONVERSATIONS_WORDS.filledInWithNote,
  after: CONVERSATIONS_WORDS.filledInAfter,
};

/** What the visitor filled in, form by form, above what was said. */
export function FilledForms({
  forms,
  zone,
}: {
  readonly forms: readonly FilledForm[];
  readonly zone: string;
}) {
  return forms.map((form) => (
    <Box
      key={`${form.place} ${form.storedMs}`}
      component="section"
      aria-label={TITLES[form.place]}
      sx={{
        maxWidth: 800,
        my: 2,
        px: 1.5,
        py: 1,
        border: '1px solid var(--porch-rail)',
        borderRadius: '10px',
        bgcolor: 'background.paper',
      }}
    >
      <Box component="h3" sx={{ m: 0, fontSize: '0.8125rem', fontWeight: 700 }}>
        {TITLES[form.place]}
        <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary' }}>
          {' '}
          · {dayWords(form.storedMs, zone)}
        </Box>
      </Box>
      <Box
        component="dl"
        sx={{
          m: 0,
          mt: 0.5,
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: 'minmax(0, 1fr) minmax(0, 1fr)' },
          columnGap: 2,
          rowGap: 0.5,
          fontSize: '0.875rem',
        }}
      >
        {form.replies.map(({ label, kind, values }, index) => (
          <Box key={index} sx={{ display: 'contents' }}>
            <Box component="dt" sx={{ color: 'text.secondary', overflowWrap: 'anywhere' }}>
              <bdi>{label}</bdi>
            </Box>
            <Box component="dd" sx={{ m: 0, overflowWrap: 'anywhere', whiteSpace: 'pre-wrap' }}>
              <bdi>
                {values
                  .map((value) => (kind === 'yes-no' || kind === 'consent' ? (TICKS[value] ?? value) : value))
                  .join(', ')}
              </bdi>
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  ));
}

const TICKS: Readonly<Record<string, string>> = { yes: CONVERSATIONS_WORDS.yes, no: CONVERSATIONS_WORDS.no };

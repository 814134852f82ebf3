'use client';

import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Link from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import { useEffect, useState } from 'react';
import type { Design } from '../../core/model/design';
import type { Patch } from '../../core/model/json';
import type { Locale } from '../../core/model/units';
import { OUR_TEXTS } from '../../core/words/catalogue';
import type { DraftView } from '../../core/wire/desk';
import { designPort } from '../design/port';
import { PortError } from '../frame/api';
import { useConnection, usePort } from '../frame/Connection';
import { useSite } from '../frame/SiteContext';
import { newClientId } from '../parts/new-client-id';
import { useAttempt } from '../parts/use-attempt';
import { OFFERED_LANGUAGES, languageName } from '../wording/languages';
import { SETTINGS_WORDS } from '../wording/screens/settings';
import { SHARED_WORDS } from '../wording/screens/shared';

/** The languages of the widget. They are a part of the draft: visitors get them with the next version. */
export function Languages({ onChanged }: { readonly onChanged: () => Promise<void> }) {
  const { siteKey } = useSite();
  const { notice } = useConnection();
  const port = usePort(designPort);
  const [draft, setDraft] = useState<DraftView | null>(null);
  const { fault, run } = useAttempt(SHARED_WORDS.nothingChanged);
  useEffect(() => {
    port.getDraft().then(setDraft, notice);
  }, [port, notice]);
  if (draft === null) return <LinearProgress aria-label={SETTINGS_WORDS.loadingLanguages} />;
  const { design } = draft;
  // Where the draft was changed meanwhile, the same is done to it as it is since.
  const save = (patchOf: (design: Design) => Patch): void =>
    void run(async () => {
      let view = draft;
      for (let tries = 0; tries < TRIES; tries++) {
        const saved = await port.saveChange({
          clientId: newClientId(),
          base: view.revision,
          patches: [patchOf(view.design)],
          label: 'languages',
          editId: null,
        });
        view = saved.view;
        setDraft(view);
        if (saved.kind === 'saved') return onChanged();
      }
      throw new PortError('refused', 'The draft is being changed right now. Try again in a moment.');
    });
  const setLocales = (of: (locales: readonly Locale[]) => Locale[]): void =>
    save(({ locales }) => ({ op: 'set', path: ['locales'], value: of(locales) }));
  return (
    <Box sx={{ maxWidth: '32rem' }}>
      <Box component="ol" aria-label={SETTINGS_WORDS.languages} sx={{ m: 0, mb: 2, p: 0, listStyle: 'none' }}>
        {design.locales.map((locale) => (
          <LanguageRow
            key={locale}
            locale={locale}
            design={design}
            onDefault={() => save(() => ({ op: 'set', path: ['defaultLocale'], value: locale }))}
            onRemove={() => setLocales((locales) => locales.filter((one) => one !== locale))}
          />
        ))}
      </Box>
      <Autocomplete
        size="small"
        value={null}
        blurOnSelect
        options={OFFERED_LANGUAGES.filter((one) => !design.locales.includes(one))}
        getOptionLabel={languageName}
        onChange={(_, next) => {
          if (next !== null) setLocales((locales) => [...locales.filter((one) => one !== next), next]);
        }}
        renderInput={(field) => (
          <TextField
            {...field}
            label={SETTINGS_WORDS.addALanguage}
            error={fault !== null}
            helperText={fault ?? SETTINGS_WORDS.removedLanguageHelp}
          />
        )}
      />
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1.5 }}>
        {SETTINGS_WORDS.seenWithNextVersion}{' '}
        <Link component={NextLink} href={`/s/${siteKey}/design`}>
          {SHARED_WORDS.openDesign}
        </Link>
      </Typography>
    </Box>
  );
}

const TRIES = 3;

interface LanguageRowProps {
  readonly locale: Locale;
  readonly design: Pick<Design, 'defaultLocale'>;
  readonly onDefault: () => void;
  readonly onRemove: () => void;
}

function LanguageRow({ locale, design: { defaultLocale }, onDefault, onRemove }: LanguageRowProps) {
  const name = languageName(locale);
  const isDefault = locale === defaultLocale;
  const hasOurs = OUR_TEXTS[locale.split('-')[0] ?? locale] !== undefined;
  return (
    <Box
      component="li"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1,
        minHeight: 44,
        borderBottom: '1px solid var(--porch-rail)',
      }}
    >
      <Box sx={{ flex: 1 }}>
        <span lang={locale}>{name}</span>
        <Box component="span" sx={{ color: 'text.secondary', fontSize: '0.8125rem' }}>
          {isDefault ? SETTINGS_WORDS.forEverybodyElseMark : ''}
          {hasOurs ? '' : SETTINGS_WORDS.ownWordsElseMark(languageName(defaultLocale))}
        </Box>
      </Box>
      {isDefault ? null : (
        <>
          <Button size="small" aria-label={SETTINGS_WORDS.makeDefaultNamed(name)} onClick={onDefault}>
            {SETTINGS_WORDS.makeDefault}
          </Button>
          <Button size="small" aria-label={SETTINGS_WORDS.removeLanguage(name)} onClick={onRemove}>
            {SHARED_WORDS.remove}
          </Button>
        </>
      )}
    </Box>
  );
}

'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Collapse from '@mui/material/Collapse';
import Link from '@mui/material/Link';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useActionState, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { LIMITS } from '../../core/limits';
import { DEFAULT_BRAND, defaultDesign } from '../../core/model/defaults';
import type { LocaleTable } from '../../core/wire/pointer';
import { chooseLocale } from '../../core/words/locale';
import { BrandField } from '../design/look/BrandField';
import { WidgetTile } from '../design/path/WidgetTile';
import { PAGE_FONT } from '../design/stage/StandInPage';
import { draftSite } from '../design/state/draft-site';
import { arrivingAt } from '../../core/rehearse/arriving';
import { LANGUAGES } from '../wording/languages';
import { previewAt } from '../../core/rehearse/preview-at';
import { ENTRANCE_WORDS } from '../wording/screens/entrance';
import { SHARED_WORDS } from '../wording/screens/shared';

export type StartState = { readonly errors: Readonly<Record<string, string>> };
export type StartAction = (before: StartState, form: FormData) => Promise<StartState>;

interface StartFormProps {
  readonly action: StartAction;
  /** Whether a setup code, mail and password are asked: not where somebody is signed in already. */
  readonly asksAccount: boolean;
  /** Of the languages the widget has our texts in. */
  readonly localeTable: LocaleTable;
}

interface Answers {
  readonly siteName: string;
  readonly siteAddress: string;
  readonly brand: string;
  readonly name: string;
  readonly mail: string;
  readonly locale: string;
  readonly zone: string;
}

const KEPT = 'sunny-porch-start';
const EMPTY: Answers = {
  siteName: '',
  siteAddress: '',
  brand: DEFAULT_BRAND,
  name: '',
  mail: '',
  locale: '',
  zone: '',
};

/** The first page: five questions, and the widget drawing itself beside them. What is typed survives a reload; the password does not leave the field. */
export function StartForm({ action, asksAccount, localeTable }: StartFormProps) {
  const [state, submit, isPending] = useActionState(action, { errors: {} });
  const [answers, setAnswers] = useState<Answers>(EMPTY);
  const [code, setCode] = useState('');
  const [codeInAddress, setCodeInAddress] = useState('');
  const [password, setPassword] = useState('');
  const [isShown, setShown] = useState(false);
  const [isUnfolded, setUnfolded] = useState(false);
  const isReady = useIsReady();
  useEffect(() => {
    setAnswers((before) => ({ ...before, ...proposed(localeTable), ...kept() }));
    const readCode = (): void => {
      setCode(window.location.hash.slice(1));
      setCodeInAddress(window.location.hash.slice(1));
    };
    readCode();
    window.addEventListener('hashchange', readCode);
    return () => window.removeEventListener('hashchange', readCode);
  }, [localeTable]);
  const isCodeKnown = codeInAddress !== '' && state.errors.code === undefined;
  const set = (part: Partial<Answers>): void => {
    const next = { ...answers, ...part };
    setAnswers(next);
    sessionStorage.setItem(KEPT, JSON.stringify(next));
  };
  const field = (name: keyof Answers) => ({
    name,
    value: answers[name],
    onChange: (event: { target: { value: string } }) => set({ [name]: event.target.value }),
    error: state.errors[name] !== undefined,
  });
  const fold = ENTRANCE_WORDS.guessRight(
    LANGUAGES[answers.locale] ?? ENTRANCE_WORDS.english,
    timeIn(answers.zone),
    answers.zone || ENTRANCE_WORDS.yourZone,
  );
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '440px 1fr' }, minHeight: '100vh' }}>
      <Box
        component="main"
        sx={{
          p: { xs: 2, md: 4 },
          bgcolor: 'background.paper',
          borderRight: { md: '1px solid var(--porch-rail)' },
        }}
      >
        <Typography variant="h1" sx={{ mb: 0.5 }}>
          {ENTRANCE_WORDS.setUpYourSite}
        </Typography>
        <Typography color="text.secondary" sx={{ mb: 3 }}>
          {ENTRANCE_WORDS.fiveQuestions}
        </Typography>
        <form action={submit} noValidate>
          <Stack spacing={2.5}>
            {state.errors[''] === undefined ? null : (
              <Alert severity="error" role="alert">
                {state.errors['']}
              </Alert>
            )}
            {asksAccount ? (
              <TextField
                label={ENTRANCE_WORDS.setupCode}
                name="code"
                value={code}
                onChange={(event) => setCode(event.target.value)}
                error={state.errors.code !== undefined}
                helperText={state.errors.code ?? ENTRANCE_WORDS.setupCodeHelp}
                sx={{ display: isCodeKnown ? 'none' : undefined }}
              />
            ) : null}
            <TextField
              {...field('siteName')}
              label={SHARED_WORDS.nameOfYourSite}
              autoFocus
              helperText={state.errors.siteName ?? ENTRANCE_WORDS.siteNameHelp}
              slotProps={{ htmlInput: { maxLength: LIMITS.siteNameChars } }}
            />
            <TextField
              {...field('siteAddress')}
              label={ENTRANCE_WORDS.addressOfYourSite}
              placeholder="https://"
              type="url"
              helperText={state.errors.siteAddress ?? ENTRANCE_WORDS.addressHelp}
            />
            <Box>
              <BrandField
                label={ENTRANCE_WORDS.yourColour}
                value={answers.brand}
                onChange={(brand) => set({ brand })}
              />
              <input type="hidden" name="brand" value={answers.brand} />
            </Box>
            {asksAccount ? (
              <>
                <TextField
                  {...field('mail')}
                  label={SHARED_WORDS.yourEmail}
                  type="email"
                  autoComplete="username"
                  helperText={state.errors.mail ?? SHARED_WORDS.emailHelp}
                />
                <Box>
                  <TextField
                    fullWidth
                    label={ENTRANCE_WORDS.aPassword}
                    name="password"
                    type={isShown ? 'text' : 'password'}
                    autoComplete="new-password"
                    value={password}
                    onChange={(event) => setPassword(event.target.value)}
                    error={state.errors.password !== undefined}
                    helperText={state.errors.password ?? ENTRANCE_WORDS.passwordHelp(LIMITS.passwordCharsMin)}
                  />
                  <Link component="button" type="button" variant="body2" onClick={() => setShown(!isShown)}>
                    {isShown ? ENTRANCE_WORDS.hidePassword : ENTRANCE_WORDS.showPassword}
                  </Link>
                </Box>
              </>
            ) : null}
            <Box>
              <Typography variant="body2">
                {fold}{' '}
                <Link
                  component="button"
                  type="button"
                  variant="body2"
                  aria-expanded={isUnfolded}
                  onClick={() => setUnfolded(!isUnfolded)}
                >
                  {SHARED_WORDS.change}
                </Link>
              </Typography>
              <Collapse in={isUnfolded || state.errors.name !== undefined || state.errors.zone !== undefined}>
                <Stack spacing={2} sx={{ pt: 2 }}>
                  {asksAccount ? (
                    <TextField
                      {...field('name')}
                      label={SHARED_WORDS.yourName}
                      autoComplete="name"
                      helperText={state.errors.name ?? ENTRANCE_WORDS.yourNameHelp}
                    />
                  ) : null}
                  <TextField
                    select
                    label={ENTRANCE_WORDS.languageOfTheWidget}
                    value={answers.locale}
                    onChange={(event) => set({ locale: event.target.value })}
                  >
                    {Object.entries(LANGUAGES).map(([locale, name]) => (
                      <MenuItem key={locale} value={locale}>
                        {name}
                      </MenuItem>
                    ))}
                  </TextField>
                  <TextField
                    select
                    label={SHARED_WORDS.timeZone}
                    value={answers.zone}
                    onChange={(event) => set({ zone: event.target.value })}
                    error={state.errors.zone !== undefined}
                    helperText={state.errors.zone}
                  >
                    {(isReady ? zones(answers.zone) : [answers.zone]).map((zone) => (
                      <MenuItem key={zone} value={zone}>
                        {zone}
                      </MenuItem>
                    ))}
                  </TextField>
                </Stack>
              </Collapse>
              <input type="hidden" name="locale" value={answers.locale} />
              <input type="hidden" name="zone" value={answers.zone} />
            </Box>
            <Button type="submit" variant="contained" size="large" loading={isPending}>
              {ENTRANCE_WORDS.createMyWidget}
            </Button>
          </Stack>
        </form>
      </Box>
      <FirstLook answers={answers} />
    </Box>
  );
}

/** The widget as it will be, growing with each answer. */
function FirstLook({ answers }: { answers: Answers }) {
  const feed = useMemo(() => {
    const locale = answers.locale === '' ? 'en' : answers.locale;
    const design = defaultDesign(
      answers.siteName.trim() === '' ? ENTRANCE_WORDS.yourSite : answers.siteName,
      locale,
      answers.brand,
      () => 'preview0',
    );
    const widgets = design.widgets.map((widget) => ({ ...widget, teams: ['preview1'] }));
    const teams = [{ id: 'preview1', key: 'preview', name: {}, state: 'in' }] as const;
    const made = draftSite({ ...design, widgets }, locale, { teams, facts: null, overrides: {} });
    if (!made.ok) return null;
    const base = arrivingAt('https://your-site.example/', 1);
    const { site, circumstances, entries } = previewAt(made.value, base, 'at-the-door');
    return { site, circumstances, entries, scheme: 'day', width: 520, height: 560, font: PAGE_FONT } as const;
  }, [answers.siteName, answers.locale, answers.brand]);
  return (
    <Box
      component="aside"
      aria-label={ENTRANCE_WORDS.yourWidget}
      sx={{
        display: { xs: 'none', md: 'grid' },
        placeItems: 'center',
        bgcolor: 'var(--porch-page)',
        position: 'sticky',
        top: 0,
        height: '100vh',
      }}
    >
      <Box sx={{ textAlign: 'center' }}>
        {feed === null ? null : <WidgetTile feed={feed} />}
        <Typography variant="body2" color="text.secondary" sx={{ mt: 2 }}>
          {ENTRANCE_WORDS.widgetHelp}
        </Typography>
      </Box>
    </Box>
  );
}

function proposed(localeTable: LocaleTable): Partial<Answers> {
  return {
    locale: chooseLocale(navigator.languages, localeTable, 'en'),
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  };
}

function kept(): Partial<Answers> {
  try {
    return JSON.parse(sessionStorage.getItem(KEPT) ?? '{}') as Partial<Answers>;
  } catch {
    return {}; // storage that throws, or damaged: begun anew
  }
}

function zones(chosen: string): string[] {
  return [...new Set([chosen, ...Intl.supportedValuesOf('timeZone')])].filter(Boolean).sort();
}

function timeIn(zone: string): string {
  if (zone === '') return '…';
  return new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: zone }).format(
    new Date(),
  );
}

const NEVER = () => () => undefined;
/** False while the server draws: what depends on the browser comes after. */
function useIsReady(): boolean {
  return useSyncExternalStore(
    NEVER,
    () => true,
    () => false,
  );
}

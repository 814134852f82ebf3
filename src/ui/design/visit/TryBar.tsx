'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { type ReactNode, useEffect, useMemo, useRef, useState } from 'react';
import { axisOf, doableSteps, startOf } from '../../../core/rehearse/try-visit';
import { STEP_WORDS, axisWords, clockOf } from '../../wording/tried';
import type { Tried } from './use-tried';
import { VISIT_WORDS } from '../../wording/screens/visit';

interface TryBarProps {
  readonly tried: Tried;
  readonly nameOfInvitation: (id: string) => string;
}

/** Between two things on the axis: a second is near, a day not out of sight. */
const gapPx = (ms: number): number => 10 + 26 * Math.log2(1 + ms / 2000);

/** The time of a visit that is tried, and all that can be done next. */
export function TryBar({ tried, nameOfInvitation }: TryBarProps) {
  const { simulations, steps, last, next, go, back, anew } = tried;
  const start = startOf(simulations);
  const now = last.circumstances.now - start;
  return (
    <Box
      component="section"
      aria-label={VISIT_WORDS.theVisit}
      sx={{ flex: 'none', bgcolor: 'background.paper', borderTop: '1px solid var(--porch-rail)' }}
    >
      <Axis tried={tried} nameOfInvitation={nameOfInvitation} />
      <Box sx={{ display: 'flex', gap: 0.75, px: 2, pb: 1, flexWrap: 'wrap', alignItems: 'center' }}>
        <Group label={VISIT_WORDS.timePasses}>
          <Step onClick={() => go({ kind: 'wait', seconds: 1 })}>{VISIT_WORDS.plusOneSecond}</Step>
          <Step onClick={() => go({ kind: 'wait', seconds: 10 })}>{VISIT_WORDS.plusTenSeconds}</Step>
          <Step
            isMain
            disabled={next === null}
            onClick={() => next !== null && go({ kind: 'wait', seconds: next.seconds })}
          >
            {next === null
              ? VISIT_WORDS.nothingMore
              : VISIT_WORDS.nextEvent(clockOf(now + next.seconds * 1000))}
          </Step>
        </Group>
        <Group label={VISIT_WORDS.theVisitor}>
          <GoTo onGo={(path) => go({ kind: 'page', path })} />
          {SCROLLS.filter((percent) => percent > last.circumstances.page.scrolled)
            .slice(0, 1)
            .map((percent) => (
              <Step
                key={percent}
                disabled={!last.circumstances.page.isVisible}
                onClick={() => go({ kind: 'scroll', percent })}
              >
                {VISIT_WORDS.scrollTo(percent)}
              </Step>
            ))}
          {doableSteps(last).map((kind) => (
            <Step key={kind} onClick={() => go({ kind })}>
              {STEP_WORDS[kind]}
            </Step>
          ))}
          <Step onClick={() => go({ kind: 'tomorrow' })}>{STEP_WORDS.tomorrow}</Step>
        </Group>
        <Box sx={{ flex: 1 }} />
        <Step disabled={steps.length === 0} onClick={back}>
          {VISIT_WORDS.undoStep}
        </Step>
        <Step disabled={steps.length === 0} onClick={anew}>
          {VISIT_WORDS.startAgain}
        </Step>
      </Box>
    </Box>
  );
}
const SCROLLS = [25, 50, 75, 100] as const;

/** What was done and what came of it, along the time; it shows its end. */
function Axis({ tried: { simulations, steps, last }, nameOfInvitation }: TryBarProps) {
  const box = useRef<HTMLDivElement>(null);
  const all = useMemo(() => axisOf(simulations, steps), [simulations, steps]);
  const now = last.circumstances.now - startOf(simulations);
  // What happens in the same second stands in one column, so that no words stand on others.
  const columns = useMemo(
    () =>
      [...new Set(all.map(({ at }) => at))].map((at) => {
        const here = all.filter((one) => one.at === at);
        const turns = all
          .filter((one) => one.at <= at)
          .flatMap(({ step }) => (step === null ? [] : [step.kind]));
        return {
          at,
          here: here.map((one) => ({ one, words: axisWords(one, nameOfInvitation) })),
          isHidden: isHiddenAfter(turns),
        };
      }),
    [all, nameOfInvitation],
  );
  useEffect(() => {
    if (box.current !== null) box.current.scrollLeft = box.current.scrollWidth;
  }, [columns, now]);
  return (
    <Box
      ref={box}
      tabIndex={0}
      role="group"
      aria-label={VISIT_WORDS.whatHappened}
      sx={{ height: 72, overflow: 'auto hidden', position: 'relative' }}
    >
      <Box
        component="ol"
        sx={{
          m: 0,
          p: 0,
          px: 2,
          listStyle: 'none',
          display: 'flex',
          alignItems: 'flex-start',
          height: '100%',
          minWidth: 'max-content',
          pt: 1,
        }}
      >
        {columns.map(({ at, here, isHidden }, index) => {
          const until = columns[index + 1]?.at ?? now;
          return (
            <Box component="li" key={at} sx={{ display: 'flex', minWidth: gapPx(until - at) + 20 }}>
              <Box
                sx={{
                  flex: 1,
                  borderTop: '2px solid var(--porch-edge)',
                  borderTopStyle: isHidden ? 'dotted' : 'solid',
                  position: 'relative',
                  pt: '6px',
                  pr: 1.5,
                  minWidth: 'max-content',
                }}
              >
                <Box
                  aria-hidden
                  sx={{
                    position: 'absolute',
                    left: 0,
                    top: -6,
                    width: 10,
                    height: 10,
                    borderRadius: '50%',
                    bgcolor: 'var(--porch-ink)',
                  }}
                />
                <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary', lineHeight: '0.9375rem' }}>
                  {clockOf(at)}
                </Box>
                <Box sx={{ fontSize: '0.8125rem', lineHeight: '0.9375rem', whiteSpace: 'nowrap' }}>
                  {here.map(({ words, one }, place) => (
                    <Box
                      component="span"
                      key={`${place} ${words}`}
                      sx={{ fontWeight: one.kind === 'step' ? 400 : 600 }}
                    >
                      {place === 0 ? '' : ' · '}
                      {words}
                    </Box>
                  ))}
                </Box>
              </Box>
            </Box>
          );
        })}
        <Box component="li" sx={{ borderTop: '2px solid var(--porch-door)', pt: '6px', pr: 3, minWidth: 64 }}>
          <Box sx={{ fontSize: '0.8125rem', fontWeight: 700, lineHeight: '0.9375rem', whiteSpace: 'nowrap' }}>
            {VISIT_WORDS.nowClock(clockOf(now))}
          </Box>
        </Box>
      </Box>
    </Box>
  );
}

/** Whether the tab lies hidden after these steps: clocks of the page stand still. */
function isHiddenAfter(kinds: readonly string[]): boolean {
  return kinds.filter((kind) => kind === 'hide' || kind === 'show' || kind === 'tomorrow').at(-1) === 'hide';
}

function Group({ label, children }: { label: string; children: ReactNode }) {
  return (
    <Box
      role="group"
      aria-label={label}
      sx={{ display: 'flex', gap: 0.75, flexWrap: 'wrap', alignItems: 'center' }}
    >
      {children}
    </Box>
  );
}

function Step({
  onClick,
  disabled = false,
  isMain = false,
  children,
}: {
  onClick: () => void;
  disabled?: boolean;
  isMain?: boolean;
  children: ReactNode;
}) {
  return (
    <Button
      size="small"
      variant={isMain ? 'contained' : 'outlined'}
      disabled={disabled}
      onClick={onClick}
      sx={{ fontSize: '0.8125rem', minHeight: 30, py: 0, px: 1.25, whiteSpace: 'nowrap' }}
    >
      {children}
    </Button>
  );
}

function GoTo({ onGo }: { onGo: (path: string) => void }) {
  const [path, setPath] = useState('');
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        const typed = path.trim();
        if (typed === '') return;
        onGo(typed.startsWith('/') ? typed : `/${typed}`);
        setPath('');
      }}
      sx={{ display: 'flex', gap: 0.5 }}
    >
      <TextField
        size="small"
        label={VISIT_WORDS.goToThePage}
        value={path}
        onChange={(event) => setPath(event.target.value)}
        slotProps={{
          htmlInput: { maxLength: 400, style: { padding: '4px 10px', fontSize: '0.8125rem' } },
          inputLabel: {
            sx: { fontSize: '0.8125rem', transform: path === '' ? 'translate(10px, 6px)' : undefined },
          },
        }}
        sx={{ width: 132 }}
      />
    </Box>
  );
}

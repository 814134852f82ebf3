'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Popover from '@mui/material/Popover';
import { useState } from 'react';
import type { CaseCondition } from '../../../core/model/case-condition';
import type { CaseOfText } from '../../../core/words/cases';
import type { TextKey } from '../../../core/model/text-keys';
import type { WordingKey } from '../../../core/words/wordings';
import { caseTitle, caseWords } from '../../wording/cases';
import { textName } from '../../wording/texts';
import { CaseSheet } from './CaseSheet';
import { VisitedMark } from '../path/VisitedMark';
import { Roving } from '../../parts/Roving';
import { PILL } from '../stage/pill';
import { DESIGN_WORDS } from '../../wording/screens/design';

export interface CaseChipsProps {
  readonly text: TextKey;
  readonly cases: Cases;
  /** What could not be shown, in a sentence. */
  readonly message: string | null;
  nameOfTeam(id: string): string;
  readonly acts: CaseActions;
}

/** The cases of a text. */
interface Cases {
  readonly all: readonly CaseOfText[];
  /** What is said in these circumstances. */
  readonly picked: WordingKey;
  /** Own cases that nobody ever hears. */
  readonly unread: readonly WordingKey[];
  /** What a new case may ask, each heard by somebody. */
  readonly offered: readonly CaseCondition[];
}

interface CaseActions {
  /** Makes the stage say it. */
  look(one: CaseOfText): void;
  add(when: CaseCondition): void;
  change(id: string, when: readonly CaseCondition[]): void;
  move(id: string, by: -1 | 1): void;
  remove(id: string): void;
}

/** A text said differently for somebody, as a row of chips in the order in which they are asked; `otherwise` is last. */
export function CaseChips(props: CaseChipsProps) {
  const { text, nameOfTeam, acts } = props;
  const { all: cases, picked, unread, offered } = props.cases;
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const [sheet, setSheet] = useState<{ readonly id: string; readonly anchor: HTMLElement } | null>(null);
  const own = cases.filter(({ isOwn }) => isOwn);
  const edited = own.find(({ wording }) => idOf(wording) === sheet?.id);
  const said = picked.replace(/\/(without|no-email)$/, '');
  return (
    <Roving
      role="group"
      label={DESIGN_WORDS.wordingForWhom(textName(text))}
      sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 0.75, pb: 1 }}
    >
      <Box component="span" sx={{ fontSize: '0.8125rem', flexBasis: '100%', color: 'text.secondary' }}>
        {DESIGN_WORDS.wordingFor(textName(text))}
      </Box>
      <Box component="ol" sx={{ display: 'contents', m: 0, p: 0, listStyle: 'none' }}>
        {cases.map((one) => {
          const isSaid = one.wording === said;
          const words = caseWords(one.when, nameOfTeam);
          const isUnread = unread.includes(one.wording);
          return (
            <Box component="li" key={one.wording} sx={{ display: 'flex', maxWidth: 240 }}>
              <ButtonBase
                aria-pressed={isSaid}
                aria-label={`${words}${isSaid ? DESIGN_WORDS.saidNow : ''}${isUnread ? DESIGN_WORDS.nobodyHearsIt : ''}${one.isOwn || one.when.length === 0 ? '' : DESIGN_WORDS.ours}`}
                title={isUnread ? DESIGN_WORDS.neverHeard : undefined}
                onClick={() => acts.look(one)}
                sx={{
                  ...CHIP,
                  ...(one.isOwn ? { borderStartEndRadius: 0, borderEndEndRadius: 0 } : {}),
                  ...(isUnread ? { borderColor: 'var(--porch-clay)', color: 'error.main' } : {}),
                  ...(isSaid
                    ? {
                        fontWeight: 700,
                        borderColor: 'var(--porch-door)',
                        boxShadow: '0 2px 0 var(--porch-door)',
                      }
                    : {}),
                  overflow: 'hidden',
                }}
              >
                <Box
                  component="span"
                  sx={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}
                >
                  {caseTitle(one.when, nameOfTeam)}
                </Box>
                {isSaid ? <VisitedMark /> : null}
              </ButtonBase>
              {one.isOwn ? (
                <ButtonBase
                  aria-label={DESIGN_WORDS.changeForWhom(words)}
                  aria-haspopup="dialog"
                  onClick={(event) => setSheet({ id: idOf(one.wording), anchor: event.currentTarget })}
                  sx={{
                    ...CHIP,
                    px: 0.75,
                    borderStartStartRadius: 0,
                    borderEndStartRadius: 0,
                    ml: '-1px',
                    flex: 'none',
                  }}
                >
                  ▾
                </ButtonBase>
              ) : null}
            </Box>
          );
        })}
      </Box>
      <ButtonBase
        aria-haspopup="menu"
        onClick={(event) => setMenu(event.currentTarget)}
        sx={{ ...CHIP, borderStyle: 'dashed', color: 'text.secondary' }}
      >
        {DESIGN_WORDS.otherWording}
      </ButtonBase>
      <Box role="status" sx={{ fontSize: '0.8125rem', flexBasis: '100%', '&:empty': { display: 'none' } }}>
        {props.message}
      </Box>
      <Menu anchorEl={menu} open={menu !== null} onClose={() => setMenu(null)}>
        {offered.map((condition) => (
          <MenuItem
            key={condition.join(' ')}
            onClick={() => {
              setMenu(null);
              acts.add(condition);
            }}
          >
            {caseWords([condition], nameOfTeam)}
          </MenuItem>
        ))}
      </Menu>
      <Popover
        open={sheet !== null && edited !== undefined}
        anchorEl={sheet?.anchor ?? null}
        onClose={() => setSheet(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        {edited === undefined || sheet === null ? null : (
          <CaseSheet
            when={edited.when}
            offered={offered}
            nameOfTeam={nameOfTeam}
            isFirst={own.indexOf(edited) === 0}
            isLast={own.indexOf(edited) === own.length - 1}
            onChange={(when) => acts.change(sheet.id, when)}
            onMove={(by) => acts.move(sheet.id, by)}
            onRemove={() => {
              setSheet(null);
              acts.remove(sheet.id);
            }}
          />
        )}
      </Popover>
    </Roving>
  );
}

const CHIP = { ...PILL, gap: 0.5, minWidth: 0 } as const;

function idOf(wording: WordingKey): string {
  return wording.replace(/^case:/, '');
}

'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Popover from '@mui/material/Popover';
import { useState } from 'react';
import type { Corner } from '../../../core/model/design';
import type { CaseCondition } from '../../../core/model/case-condition';
import type { CaseOfText } from '../../../core/words/cases';
import type { TextKey } from '../../../core/model/text-keys';
import type { WordingKey } from '../../../core/words/wordings';
import { caseWords } from '../../wording/cases';
import { textName } from '../../wording/texts';
import { CaseSheet } from './CaseSheet';
import { VisitedMark } from '../path/VisitedMark';
import { PILL } from '../stage/pill';

export interface CaseChipsProps {
  /** The texts of the moment that may have cases, and the one whose cases are shown. */
  readonly texts: readonly TextKey[];
  readonly text: TextKey;
  readonly onText: (text: TextKey) => void;
  readonly cases: Cases;
  readonly corner: Corner;
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
  const { texts, text, onText, corner, nameOfTeam, acts } = props;
  const { all: cases, picked, unread, offered } = props.cases;
  const [menu, setMenu] = useState<{ readonly of: 'texts' | 'new'; readonly anchor: HTMLElement } | null>(
    null,
  );
  const [sheet, setSheet] = useState<{ readonly id: string; readonly anchor: HTMLElement } | null>(null);
  const own = cases.filter(({ isOwn }) => isOwn);
  const edited = own.find(({ wording }) => idOf(wording) === sheet?.id);
  const said = picked.replace(/\/without$/, '');
  const side = corner.endsWith('right') ? { left: 12 } : { right: 12 };
  return (
    <Box
      role="group"
      aria-label={`${textName(text)}: who hears what`}
      sx={{
        position: { xs: 'static', md: 'absolute' },
        top: 62,
        ...side,
        maxWidth: { md: 'max(240px, calc(100% - 412px))' },
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        gap: 0.75,
        // However many there are, the signposts below stay free.
        maxHeight: { md: 176 },
        overflow: 'auto',
        pb: '3px',
        zIndex: 4,
        pointerEvents: 'none',
        '& > *': { pointerEvents: 'auto' },
      }}
    >
      <ButtonBase
        aria-haspopup="menu"
        aria-label={`Wordings of: ${textName(text)}`}
        onClick={(event) => setMenu({ of: 'texts', anchor: event.currentTarget })}
        sx={{
          ...CHIP,
          fontWeight: 600,
          border: '1px solid transparent',
          bgcolor: 'var(--porch-ink)',
          color: 'var(--porch-paper)',
        }}
      >
        {textName(text)} ▾
      </ButtonBase>
      <Box component="ol" sx={{ display: 'contents', m: 0, p: 0, listStyle: 'none' }}>
        {cases.map((one) => {
          const isSaid = one.wording === said;
          const words = caseWords(one.when, nameOfTeam);
          const isUnread = unread.includes(one.wording);
          return (
            <Box component="li" key={one.wording} sx={{ display: 'flex', maxWidth: 240 }}>
              <ButtonBase
                aria-pressed={isSaid}
                aria-label={`${words}${isSaid ? ', said now' : ''}${isUnread ? ', nobody hears it' : ''}${one.isOwn || one.when.length === 0 ? '' : ', ours'}`}
                title={
                  isUnread
                    ? 'Nobody sees this wording: its conditions never fit, or an earlier one always comes first.'
                    : undefined
                }
                onClick={() => acts.look(one)}
                sx={{
                  ...CHIP,
                  ...(one.isOwn
                    ? { borderStartEndRadius: 0, borderEndEndRadius: 0 }
                    : { borderStyle: one.when.length === 0 ? 'solid' : 'dashed' }),
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
                  {words}
                </Box>
                {isSaid ? <VisitedMark /> : null}
              </ButtonBase>
              {one.isOwn ? (
                <ButtonBase
                  aria-label={`Change for whom: ${words}`}
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
        onClick={(event) => setMenu({ of: 'new', anchor: event.currentTarget })}
        sx={{ ...CHIP, borderStyle: 'dotted', color: 'text.secondary' }}
      >
        + other wording
      </ButtonBase>
      <Box role="status" sx={{ fontSize: '0.8125rem', flexBasis: '100%', '&:empty': { display: 'none' } }}>
        {props.message}
      </Box>
      <Menu anchorEl={menu?.anchor ?? null} open={menu !== null} onClose={() => setMenu(null)}>
        {menu?.of === 'new'
          ? offered.map((condition) => (
              <MenuItem
                key={condition.join(' ')}
                onClick={() => {
                  setMenu(null);
                  acts.add(condition);
                }}
              >
                {caseWords([condition], nameOfTeam)}
              </MenuItem>
            ))
          : texts.map((one) => (
              <MenuItem
                key={one}
                selected={one === text}
                onClick={() => {
                  setMenu(null);
                  onText(one);
                }}
              >
                {textName(one)}
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
    </Box>
  );
}

const CHIP = { ...PILL, gap: 0.5, minWidth: 0 } as const;

function idOf(wording: WordingKey): string {
  return wording.replace(/^case:/, '');
}

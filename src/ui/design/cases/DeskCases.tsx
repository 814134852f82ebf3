'use client';

import { useMemo, useState } from 'react';
import { assumeCase } from '../../../core/rehearse/assume-case';
import type { CaseCondition } from '../../../core/model/case-condition';
import { casesOf, offeredConditions, unreadCases } from '../../../core/words/cases';
import { caseWords } from '../../wording/cases';
import { CaseChips } from './CaseChips';
import { useDesign } from '../state/DesignContext';
import { DESIGN_WORDS } from '../../wording/screens/design';

/** Whether whoever it is meant for is told something else before. */
function isCovered(when: readonly CaseCondition[], before: readonly (readonly CaseCondition[])[]): boolean {
  const asked = when.map((one) => one.join(' '));
  return before.some((other) => other.every((one) => asked.includes(one.join(' '))));
}

/** The cases of a text at a moment, and what can be done with them; nothing where nothing has cases. */
export function DeskCases() {
  const { design, rehearsed, assumptions, assume, overview, shown, edits, chosen } = useDesign();
  const { moment, texts } = shown;
  const { widget, asItIs, nameOfTeam } = rehearsed;
  const text = texts.cased.find((one) => one === chosen.cased) ?? texts.cased[0];
  const cases = useMemo(() => (text === undefined ? [] : casesOf(widget, text)), [widget, text]);
  const offered = useMemo(
    () => (text === undefined ? [] : offeredConditions(design, widget, text)),
    [design, widget, text],
  );
  const unread = useMemo(
    () => unreadCases(design, widget).map(({ id }) => `case:${id}` as const),
    [design, widget],
  );
  const [missed, setMissed] = useState<{ readonly at: string; readonly words: string } | null>(null);
  if (text === undefined) return null;
  const here = `${widget.id} ${moment} ${text}`;
  const look = (when: readonly CaseCondition[], before: readonly (readonly CaseCondition[])[]): void => {
    const scene = {
      site: asItIs,
      widgetKey: widget.key,
      calendarId: widget.calendarId,
      moment,
      locales: design.locales,
      teams: widget.teams,
      now: overview.now,
    };
    const found = assumeCase(scene, when, before, assumptions);
    setMissed(
      found === null ? { at: here, words: DESIGN_WORDS.doesNotHappen(caseWords(when, nameOfTeam)) } : null,
    );
    if (found !== null) assume(found);
  };
  const own = cases.filter(({ isOwn }) => isOwn).map(({ when }) => when);
  return (
    <CaseChips
      text={text}
      cases={{
        all: cases.filter((one) => one.isOwn || !isCovered(one.when, own)),
        picked: texts.wordingAt(text),
        unread,
        offered,
      }}
      message={missed?.at === here ? missed.words : null}
      nameOfTeam={nameOfTeam}
      acts={{
        look: ({ when, wording }) => {
          const index = cases.findIndex((one) => one.wording === wording);
          look(
            when,
            cases.slice(0, index).map((one) => one.when),
          );
        },
        add: (condition) => {
          edits.addCase(text, [condition]);
          look([condition], own);
        },
        change: edits.setCase,
        move: edits.moveCase,
        remove: edits.removeCase,
      }}
    />
  );
}

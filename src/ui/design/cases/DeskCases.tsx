'use client';

import { useMemo, useState } from 'react';
import type { Corner, Design } from '../../../core/model/design';
import type { DrawnMoment } from '../../../core/model/moment';
import { assumeCase } from '../../../core/rehearse/assume-case';
import type { Assumptions } from '../../../core/rehearse/assumptions';
import type { EpochMs } from '../../../core/model/units';
import type { CaseCondition } from '../../../core/model/case-condition';
import { casesOf, offeredConditions, unreadCases } from '../../../core/words/cases';
import type { TextKey } from '../../../core/model/text-keys';
import { caseWords } from '../../wording/cases';
import { CaseChips } from './CaseChips';
import type { DesignEdits } from '../draft/design-edits';
import type { MomentTexts } from '../stage/stage-texts';
import type { Rehearsed } from '../state/use-rehearsed';

interface DeskCasesProps {
  readonly corner: Corner;
  readonly design: Design;
  readonly rehearsed: Rehearsed;
  readonly assumptions: Assumptions;
  readonly now: EpochMs;
  readonly moment: DrawnMoment;
  readonly texts: MomentTexts;
  readonly edits: DesignEdits;
  /** The text whose cases are asked for; null: the one the moment is known by. */
  readonly asked: TextKey | null;
  readonly onText: (text: TextKey) => void;
  readonly onSuppose: (assumptions: Assumptions) => void;
}

/** The cases of a text at a moment, and what can be done with them; nothing where nothing has cases. */
export function DeskCases({
  design,
  rehearsed,
  assumptions,
  now,
  moment,
  texts,
  edits,
  asked,
  corner,
  onText,
  onSuppose,
}: DeskCasesProps) {
  const { widget, asItIs, nameOfTeam } = rehearsed;
  const text = texts.cased.find((one) => one === asked) ?? texts.cased[0];
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
      now,
    };
    const found = assumeCase(scene, when, before, assumptions);
    setMissed(
      found === null
        ? { at: here, words: `“${caseWords(when, nameOfTeam)}” does not come about here in the next year.` }
        : null,
    );
    if (found !== null) onSuppose(found);
  };
  const own = cases.filter(({ isOwn }) => isOwn).map(({ when }) => when);
  return (
    <CaseChips
      texts={texts.cased}
      text={text}
      onText={onText}
      cases={cases}
      picked={texts.wordingAt(text)}
      unread={unread}
      offered={offered}
      corner={corner}
      message={missed?.at === here ? missed.words : null}
      nameOfTeam={nameOfTeam}
      onLook={({ when, wording }) =>
        look(
          when,
          cases
            .slice(
              0,
              cases.findIndex((one) => one.wording === wording),
            )
            .map((one) => one.when),
        )
      }
      onAdd={(condition) => {
        edits.addCase(text, [condition]);
        look([condition], own);
      }}
      onChange={edits.setCase}
      onMove={edits.moveCase}
      onRemove={edits.removeCase}
    />
  );
}

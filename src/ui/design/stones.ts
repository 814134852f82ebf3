import { decide } from '../../core/decide/decide';
import type { Circumstances } from '../../core/model/circumstances';
import type { Widget } from '../../core/model/design';
import { arrivingAt } from '../../core/rehearse/arriving';
import { DRAWN_MOMENTS, type DrawnMoment, type Standpoint, standAt } from '../../core/rehearse/stand-at';
import type { PublishedSite } from '../../core/wire/published-site';
import { textKeyOf } from '../../core/words/catalogue';
import { hearerOf } from '../../core/words/hearer';
import { say } from '../../core/words/say';
import { FIRST_WORDS } from '../wording/moments';
import type { Stone } from './Path';

/** A visitor who has just come to a page, with a closed window and nothing said; the server was heard this instant. */
export function arrivingVisitor(address: string, now: number): Circumstances {
  return arrivingAt(address, now);
}

/** Every stone as the engine draws it for these circumstances, with the first words said there. */
export function stonesOf(site: PublishedSite, widget: Widget, base: Circumstances): Stone[] {
  const isShown = decide(site, base).widget !== null;
  return DRAWN_MOMENTS.map((moment): Stone => {
    const standpoint = standAt(site, base, moment);
    return {
      moment,
      standpoint,
      words: firstWords(standpoint, widget, moment),
      dir: site.design.dir,
      outOfReach: reasonOf(standpoint, isShown, moment),
    };
  });
}

function reasonOf({ needs }: Standpoint, isShown: boolean, moment: DrawnMoment): string | null {
  if (!isShown) return 'not on this page';
  if (needs === null || moment === 'passing-by') return null;
  return needs === 'nobody' ? 'not while somebody is in' : 'not while nobody is in';
}

function firstWords({ site, circumstances }: Standpoint, widget: Widget, moment: DrawnMoment): string {
  const decision = decide(site, circumstances);
  const key = textKeyOf(FIRST_WORDS[moment]);
  const line = decision.lines.find((one) => one.key === key);
  const live = site.design.widgets.find((one) => one.key === (decision.widget ?? widget.key));
  const words = live?.words[key];
  return live === undefined || words === undefined
    ? ''
    : say(
        words,
        { siteName: site.design.siteName, ...line?.values },
        hearerOf({ site, widget: live, decision, circumstances }, -new Date(circumstances.now).getTimezoneOffset()),
      );
}

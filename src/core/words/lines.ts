import type { Circumstances } from '../model/circumstances';
import type { Deed, Moment, WidgetState } from '../model/moment';
import type { TextKey } from './catalogue';

/** Which text is said, and with which values; numbers are counts or instants, nothing is formatted ([D1]). */
export interface Line {
  readonly key: TextKey;
  readonly values: Readonly<Record<string, string | number>>;
}

/** The texts that stand in a moment, in reading order. The furniture of the window (labels, errors) is said by the panel itself. */
export function linesOf(moment: Moment, state: WidgetState, deed: Deed, circumstances: Circumstances): Line[] {
  return moment === 'passing-by' ? closedLines(circumstances) : [line('window.title'), ...openLines(moment, deed, circumstances)];
}

function closedLines({ unread }: Circumstances): Line[] {
  const lines = [line('launcher.words'), line('launcher.name')];
  return unread > 0 ? [...lines, line('launcher.unread', { count: unread })] : lines;
}

function openLines(moment: Moment, deed: Deed, circumstances: Circumstances): Line[] {
  const talk = circumstances.conversation;
  const responder = talk?.responderName ?? '';
  switch (moment) {
    case 'at-the-door':
      return [line('status'), line('greeting')];
    case 'waiting':
      return [line('waiting.status'), line('waiting.first')];
    case 'talking':
      return [line('talking.status', { responderName: responder }), line('talking.joined', { responderName: responder })];
    case 'goodbye':
      return [line('goodbye.status'), goodbyeLine(circumstances, responder), line('goodbye.again')];
    case 'nobody-home':
      return [line('status'), line('nobodyHome'), ...(talk === null ? [] : [line('nobodyHome.kept')])];
    case 'note-left':
      return [line('noteLeft.status'), line('noteLeft.got', talk?.noteMail ? { email: talk.noteMail } : {}), line('noteLeft.add')];
    default:
      return [];
  }
}

function goodbyeLine({ conversation }: Circumstances, responderName: string): Line {
  if (conversation?.endedBy === 'visitor') return line('goodbye.byVisitor');
  return conversation?.endedBy === 'silence' ? line('goodbye.bySilence') : line('goodbye.byResponder', { responderName });
}

function line(key: TextKey, values: Line['values'] = {}): Line {
  return { key, values };
}

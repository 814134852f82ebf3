import { gunzipSync } from 'node:zlib';
import { type ReplyFault, checkReplies } from '../../core/forms/check';
import type { Replies } from '../../core/model/form';
import type { DesignFileV1 } from '../../core/wire/design-file';
import type { WireField } from '../../core/wire/form-file';
import { findFileBody } from '../db/repositories/publications';
import { listTeams } from '../db/repositories/teams';
import type { NoteInput } from '../input/visitor.input';
import type { State } from '../state';

/** What of a note's form does not fit, by field; the form is the one of the design it was given under ([L10]). */
export async function noteFaults(
  state: Pick<State, 'db'>,
  siteId: string,
  said: NoteInput,
  hasSaid: boolean,
): Promise<Readonly<Record<string, ReplyFault>>> {
  if (said.replies === undefined) return {};
  const fields = await formOf(state, siteId, said);
  const words = fields.find(({ kind }) => kind === 'long');
  const asked = hasSaid ? fields.map((field) => (field === words ? { ...field, isRequired: false } : field)) : fields;
  const replies: Replies = words === undefined ? said.replies : { ...said.replies, [words.id]: said.body };
  const teams = await listTeams(state.db, siteId);
  return checkReplies(
    asked,
    replies,
    teams.map(({ id }) => id),
  ).faults;
}

async function formOf(state: Pick<State, 'db'>, siteId: string, { design, locale, widget }: NoteInput): Promise<readonly WireField[]> {
  const body = /^d\d+-[0-9a-f]{16}$/.test(design) ? await findFileBody(state.db, siteId, `${design}.${locale}.json`) : null;
  if (body === null) return [];
  const file = JSON.parse(gunzipSync(body).toString()) as DesignFileV1;
  return (file.widgets.find(({ key }) => key === widget) ?? file.widgets[0])?.forms.note ?? [];
}

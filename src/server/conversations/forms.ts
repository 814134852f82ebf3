import { gunzipSync } from 'node:zlib';
import { type CheckedReplies, checkReplies } from '../../core/forms/check';
import { SENDS_LETTERS } from '../facts/letters';
import { askedFields, fieldsOf, wordsField } from '../../core/forms/fill';
import type { FormPlace } from '../../core/model/form';
import type { Replies } from '../../core/model/form';
import type { FilledForm } from '../../core/wire/desk';
import type { DesignFileV1, WireWidget } from '../../core/wire/design-file';
import type { WireField } from '../../core/wire/form-file';
import { type WindowFileV1, joinDesign } from '../../core/wire/split';
import { type FormReply, insertFormReply, listFormReplies } from './form-replies.repository';
import { findFileBody } from '../designs/publications.repository';
import { listTeams } from '../facts/teams.repository';
import type { Db, Tx } from '../db/open';
import { newId } from '../ids';
import type { MessageInput } from '../input/visitor.input';

/** What names the form something was given under ([L10]). */
type Asked = Pick<MessageInput, 'design' | 'locale' | 'widget' | 'replies'> & { readonly body?: string };

/** What was filled in, held against its form. */
export interface CheckedForm extends CheckedReplies {
  readonly fields: readonly WireField[];
}

/** Holds what was filled in against the form of the design it was given under; an unknown design asks nothing. */
export async function checkForm(
  { db }: { readonly db: Db | Tx },
  siteId: string,
  place: FormPlace,
  said: Asked,
  hasSaid = false,
): Promise<CheckedForm> {
  const fields = await formOf(db, siteId, place, said);
  const words = place === 'note' ? wordsField(fields) : undefined;
  const replies: Replies =
    words === undefined ? (said.replies ?? {}) : { ...said.replies, [words.id]: said.body ?? '' };
  const teams = await listTeams(db, siteId);
  const checked = checkReplies(
    askedFields(fields, { hasSaid: place === 'note' && hasSaid, sendsLetters: SENDS_LETTERS }),
    replies,
    teams.map(({ id }) => id),
  );
  return { ...checked, fields };
}

/** A form as far as it fits its fields. */
export interface GivenForm {
  readonly place: FormPlace;
  readonly replies: Replies;
  /** The team that was chosen in it, by its id; null: none was. */
  readonly team: string | null;
}

/** What comes with no form. */
export function noForm(place: FormPlace): GivenForm {
  return { place, replies: {}, team: null };
}

/** What was given in a form, as far as it fits. */
export function givenForm(place: FormPlace, { replies, fields }: CheckedForm): GivenForm {
  const choice = fields.find(({ kind }) => kind === 'team');
  const team = choice === undefined ? undefined : replies[choice.id];
  return { place, replies, team: typeof team === 'string' ? team : null };
}

/** Stores a form; nothing where nothing was filled in. */
export async function keepForm(
  tx: Tx,
  siteId: string,
  conversationId: string,
  { place, replies }: GivenForm,
  said: Asked & { readonly clientId: string },
  at: number,
): Promise<void> {
  if (Object.keys(replies).length === 0) return;
  const { clientId, design, locale, widget } = said;
  await insertFormReply(tx, siteId, conversationId, {
    id: newId(at),
    clientId,
    place,
    design,
    locale,
    widgetKey: widget,
    replies,
    storedMs: at,
  });
}

/** A conversation's forms for the desk: each reply with its label, in the desk's language where the design has it. */
export async function describeForms(db: Db, siteId: string, conversationId: string): Promise<FilledForm[]> {
  const forms = await listFormReplies(db, siteId, conversationId);
  const teams = await listTeams(db, siteId);
  return Promise.all(
    forms.map(async (form) => {
      const widget = await widgetOf(db, siteId, { ...form, widget: form.widgetKey }, DESK_LOCALE);
      const fields = widget === null ? [] : fieldsOf(widget, form.place);
      const words = form.place === 'note' ? wordsField(fields)?.id : undefined; // stands in the conversation itself
      const given = fields.filter(({ id }) => id !== words && Object.hasOwn(form.replies, id));
      const names = new Map(
        teams.map(({ id, name }) => [id, name[DESK_LOCALE] ?? Object.values(name)[0] ?? id]),
      );
      return {
        place: form.place,
        storedMs: form.storedMs,
        replies: given.map((field) => ({
          label: labelOf(field, widget),
          kind: field.kind,
          values: valuesOf(field, form.replies[field.id] ?? '', names),
        })),
      };
    }),
  );
}

const DESK_LOCALE = 'en';

function labelOf({ label, words, attribute, id }: WireField, widget: WireWidget | null): string {
  const said = label ? widget?.words[label] : words;
  return typeof said === 'string' && said !== '' ? said : (attribute ?? id);
}

function valuesOf(
  { kind, options = [] }: WireField,
  reply: string | readonly string[],
  teams: ReadonlyMap<string, string>,
): string[] {
  const labels = kind === 'team' ? teams : new Map(options);
  return (typeof reply === 'string' ? [reply] : reply).map((value) => labels.get(value) ?? value);
}

async function formOf(
  db: Db | Tx,
  siteId: string,
  place: FormPlace,
  said: Asked,
): Promise<readonly WireField[]> {
  const widget = await widgetOf(db, siteId, said, said.locale);
  return widget === null ? [] : fieldsOf(widget, place);
}

/** A widget as a design file has it: in the language wished for, else in the one it was seen in. */
async function widgetOf(
  db: Db | Tx,
  siteId: string,
  { design, locale, widget }: Pick<FormReply, 'design' | 'locale'> & { readonly widget: string },
  preferred: string,
): Promise<WireWidget | null> {
  if (!/^d\d+-[0-9a-f]{16}$/.test(design)) return null;
  const file =
    (await readDesign(db, siteId, `${design}.${preferred}`)) ??
    (await readDesign(db, siteId, `${design}.${locale}`));
  if (file === null) return null;
  return file.widgets.find(({ key }) => key === widget) ?? file.widgets[0] ?? null;
}

/** A design file by its name without `.json`, with its room where it was published in two. */
async function readDesign(db: Db | Tx, siteId: string, name: string): Promise<DesignFileV1 | null> {
  const file = await readFile<DesignFileV1>(db, siteId, `${name}.json`);
  if (file?.room === undefined) return file;
  const room = await readFile<WindowFileV1>(db, siteId, `${name}.room.json`);
  return room === null ? file : joinDesign(file, room);
}

async function readFile<T>(db: Db | Tx, siteId: string, name: string): Promise<T | null> {
  const body = await findFileBody(db, siteId, name);
  return body === null ? null : (JSON.parse(gunzipSync(body).toString()) as T);
}

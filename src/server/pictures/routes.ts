import { LOOK_PICTURE_KINDS, type PagePictures } from '../../core/wire/desk';
import { PAGE_DEVICES } from '../../core/model/page-bars';
import { listPageBars, listPagePictures, setPageBars } from '../db/repositories/uploads';
import { inTransaction } from '../db/transaction';
import { readBytes } from '../http/read-body';
import type { Member } from '../http/who';
import type { PageBarsInput } from '../input/desk.input';
import { PICTURE_BYTES_MAX } from '../pictures/draw-picture';
import { pictureOf } from '../pictures/send-picture';
import type { State } from '../state';
import { keepLookPicture } from '../usecases/look-pictures';
import { forgetPagePicture, keepPagePicture } from '../usecases/page-pictures';
import { json, errorResponse } from '../visitor/replies';
import { type DeskCall, actorOf } from './call';

// What the desk asks about pictures: those of the owner's page, and those that belong to a look.

async function pagePictures({ db }: Pick<State, 'db'>, { site }: Member): Promise<PagePictures> {
  const [pictures, bars] = await Promise.all([listPagePictures(db, site.id), listPageBars(db, site.id)]);
  return { pictures, bars, siteAddress: site.address };
}

export async function handlePagePictures({ state, member }: DeskCall): Promise<Response> {
  return json(200, await pagePictures(state, member), {});
}

/** The body is the picture itself, read no further than it may be large. */
export async function handlePagePicture(call: DeskCall): Promise<Response> {
  const device = PAGE_DEVICES.find((one) => one === call.id);
  if (device === undefined) return errorResponse(404, 'There is no such device.', {});
  const sent = await readBytes(call.request, PICTURE_BYTES_MAX);
  if (sent === null) return tooLarge();
  const kept = await keepPagePicture(call.state, actorOf(call), device, sent);
  return kept.ok
    ? json(200, await pagePictures(call.state, call.member), {})
    : json(400, { errors: kept.errors }, {});
}

export async function handleRemovePagePicture({ state, member, id }: DeskCall): Promise<Response> {
  const device = PAGE_DEVICES.find((one) => one === id);
  if (device === undefined) return errorResponse(404, 'There is no such device.', {});
  await forgetPagePicture(state, member.site.id, device);
  return json(200, await pagePictures(state, member), {});
}

export async function handlePageBars(
  { state, member, id }: DeskCall,
  { upper, lower }: PageBarsInput,
): Promise<Response> {
  const device = PAGE_DEVICES.find((one) => one === id);
  if (device === undefined) return errorResponse(404, 'There is no such device.', {});
  await inTransaction(state.db, (tx) => setPageBars(tx, member.site.id, device, { upper, lower }));
  return json(200, await pagePictures(state, member), {});
}

/** A picture for a look, in its two sizes; the draft names it once the owner's screen has put it there. */
export async function handleLookPicture(call: DeskCall): Promise<Response> {
  const kind = LOOK_PICTURE_KINDS.find((one) => one === call.id);
  if (kind === undefined) return errorResponse(404, 'No picture of a look is called that.', {});
  const sent = await readBytes(call.request, PICTURE_BYTES_MAX);
  if (sent === null) return tooLarge();
  const kept = await keepLookPicture(call.state, actorOf(call), kind, sent);
  return kept.ok ? json(200, kept.value, {}) : json(400, { errors: kept.errors }, {});
}

export function tooLarge(): Response {
  return errorResponse(400, 'That is more than 5 MB. Nothing was stored; make it smaller and try again.', {});
}

/** [threat 13] A picture of this site, for whoever designs it. */
export async function handleGetUpload({ state, member, id }: DeskCall): Promise<Response> {
  const picture = await pictureOf(state, member.site.id, id, () => true);
  return picture ?? errorResponse(404, 'There is no such picture.', {});
}

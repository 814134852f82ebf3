import type { HttpAnswer } from '../http/exchange';
import { LOOK_PICTURE_KINDS, type PagePictures } from '../../core/wire/desk';
import { PAGE_DEVICES } from '../../core/model/page-bars';
import { listPageBars, listPagePictures, setPageBars } from './uploads.repository';
import { inTransaction } from '../db/transaction';
import type { Member } from '../accounts/who';
import { NothingInput, PageBarsInput } from '../input/desk.input';
import { PICTURE_BYTES_MAX } from './drawer';
import { pictureOf } from './send-picture';
import type { State } from '../state';
import { keepLookPicture } from './look-pictures';
import { forgetPagePicture, keepPagePicture } from './page-pictures';
import { errorResponse, json, tooLarge } from '../http/replies';
import { type DeskCall, type DeskRoutes, actorOf, route, routeWith } from '../desk/route';

/** What the desk asks about pictures: those of the owner's page, and those that belong to a look. */
export const PICTURE_ROUTES: DeskRoutes = {
  'GET page-pictures': route('designer', handlePagePictures),
  'POST page-pictures/*': route('designer', handlePagePicture),
  'POST page-pictures/*/remove': routeWith('designer', NothingInput, handleRemovePagePicture),
  'POST page-bars/*': routeWith('designer', PageBarsInput, handlePageBars),
  'POST look-pictures/*': route('designer', handleLookPicture),
  'GET uploads/*': route('designer', handleGetUpload),
};

async function pagePictures({ db }: Pick<State, 'db'>, { site }: Member): Promise<PagePictures> {
  const [pictures, bars] = await Promise.all([listPagePictures(db, site.id), listPageBars(db, site.id)]);
  return { pictures, bars, siteAddress: site.address };
}

async function handlePagePictures({ state, member }: DeskCall): Promise<HttpAnswer> {
  return json(200, await pagePictures(state, member), {});
}

/** The body is the picture itself, read no further than it may be large. */
async function handlePagePicture(call: DeskCall): Promise<HttpAnswer> {
  const device = PAGE_DEVICES.find((one) => one === call.id);
  if (device === undefined) return errorResponse(404, 'There is no such device.', {});
  const sent = await call.request.read(PICTURE_BYTES_MAX);
  if (sent === null) return tooLarge();
  const kept = await keepPagePicture(call.state, actorOf(call), device, sent);
  return kept.ok
    ? json(200, await pagePictures(call.state, call.member), {})
    : json(400, { errors: kept.errors }, {});
}

async function handleRemovePagePicture({ state, member, id }: DeskCall): Promise<HttpAnswer> {
  const device = PAGE_DEVICES.find((one) => one === id);
  if (device === undefined) return errorResponse(404, 'There is no such device.', {});
  await forgetPagePicture(state, member.site.id, device);
  return json(200, await pagePictures(state, member), {});
}

async function handlePageBars(
  { state, member, id }: DeskCall,
  { upper, lower }: PageBarsInput,
): Promise<HttpAnswer> {
  const device = PAGE_DEVICES.find((one) => one === id);
  if (device === undefined) return errorResponse(404, 'There is no such device.', {});
  await inTransaction(state.db, (tx) => setPageBars(tx, member.site.id, device, { upper, lower }));
  return json(200, await pagePictures(state, member), {});
}

/** A picture for a look, in its two sizes; the draft names it once the owner's screen has put it there. */
async function handleLookPicture(call: DeskCall): Promise<HttpAnswer> {
  const kind = LOOK_PICTURE_KINDS.find((one) => one === call.id);
  if (kind === undefined) return errorResponse(404, 'No picture of a look is called that.', {});
  const sent = await call.request.read(PICTURE_BYTES_MAX);
  if (sent === null) return tooLarge();
  const kept = await keepLookPicture(call.state, actorOf(call), kind, sent);
  return kept.ok ? json(200, kept.value, {}) : json(400, { errors: kept.errors }, {});
}

/** [threat 13] A picture of this site, for whoever designs it. */
async function handleGetUpload({ state, member, id }: DeskCall): Promise<HttpAnswer> {
  const picture = await pictureOf(state, member.site.id, id, () => true);
  return picture ?? errorResponse(404, 'There is no such picture.', {});
}

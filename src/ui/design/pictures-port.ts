import type { HeaderPicture } from '../../core/model/look';
import type { Bars, PageDevice } from '../../core/model/page-bars';
import type { LookPictureKind, PagePictures } from '../../core/wire/desk';
import type { Api } from '../frame/api';

/** Pictures of the look and of the owner's own pages. */
export interface PicturesPort {
  getPagePictures(): Promise<PagePictures>;
  setPagePicture(device: PageDevice, picture: Blob): Promise<PagePictures>;
  removePagePicture(device: PageDevice): Promise<PagePictures>;
  setPageBars(device: PageDevice, bars: Bars): Promise<PagePictures>;
  /** Draws and keeps a picture for a look; the draft does not name it yet. */
  keepLookPicture(kind: LookPictureKind, picture: Blob): Promise<HeaderPicture>;
  /** A page of the site's own, as its server sends it. */
  getPageSource(address: string): Promise<{ readonly address: string; readonly text: string }>;
}

export function picturesPort({ get, post, upload }: Api): PicturesPort {
  return {
    getPagePictures: () => get('page-pictures'),
    setPagePicture: (device, picture) => upload(`page-pictures/${device}`, picture),
    removePagePicture: (device) => post(`page-pictures/${device}/remove`, {}),
    setPageBars: (device, bars) => post(`page-bars/${device}`, bars),
    keepLookPicture: (kind, picture) => upload(`look-pictures/${kind}`, picture),
    getPageSource: (address) => post('page-source', { address }),
  };
}

import type { DesignFileV1 } from './design-file';
import type { FactsFileV1 } from './facts-file';
import type { PointerV1 } from './pointer';

/** [D5] The design file of one locale, the facts file and the pointer: all that `decide` knows of a site. */
export interface PublishedSite {
  readonly design: DesignFileV1;
  readonly facts: FactsFileV1;
  readonly pointer: PointerV1;
}

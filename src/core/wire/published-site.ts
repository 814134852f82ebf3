import type { DesignFileV1 } from './design-file';
import type { FactsFileV1 } from './facts-file';
import type { PointerV1 } from './pointer';
import type { Face } from './talk';

/** [D5] The design file of one locale, the facts file and the pointer: all that `decide` knows of a site. */
export interface PublishedSite {
  readonly design: DesignFileV1;
  readonly facts: FactsFileV1;
  readonly pointer: PointerV1;
  /** Who answers in what the stage draws; no visitor's browser is told of one. */
  readonly answerer?: Answerer;
}

/** Somebody who answers, as visitors see them. */
export interface Answerer {
  readonly name: string;
  readonly face: Face | null;
}

import type { Circumstances } from '../model/circumstances';
import type { Behaviour } from '../model/moment';
import type { PageFacts } from '../pages/page-facts';
import type { WireWidget } from '../wire/design-file';
import type { PublishedSite } from '../wire/published-site';
import type { Presence } from './presence';

/** How a widget was chosen, or why there is none. */
export type WidgetChoice = 'running' | 'left-out' | 'forced' | 'no-address' | 'none' | 'first';

/** What is settled before anything is shown: the widget, its state and behaviour. */
export interface DecisionContext {
  readonly site: PublishedSite;
  readonly circumstances: Circumstances;
  readonly page: PageFacts;
  readonly widget: WireWidget;
  readonly by: WidgetChoice;
  readonly presence: Presence;
  readonly behaviour: Behaviour;
  readonly isCountOnly: boolean;
}

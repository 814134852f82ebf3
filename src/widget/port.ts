import type { Decision } from '../core/decide/decide';
import type { Happening, Memory } from '../core/decide/remember';
import type { EpochMs } from '../core/model/units';
import type { DesignFileV1, WireWidget } from '../core/wire/design-file';
import type { ConversationFacts } from '../core/wire/talk';
import type { TeamState } from '../core/model/moment';
import type { Frame } from './frame';
import type { Surroundings } from './surroundings';

/** What the launcher's script lends the panel's. The panel decides nothing: it tells what it heard, and is told what to paint. */
export interface PanelPort {
  readonly frame: Frame;
  readonly surroundings: Surroundings;
  /** Address of the site's visitor endpoints, without a final slash. */
  readonly base: string;
  readonly memory: { read(): Memory; happen(happening: Happening): void; readonly tabKey: string | null };
  /** The address of the page, as it is said with a message. */
  page(): string;
  /** The stream or an answer told about people. */
  hearTeams(teams: Readonly<Record<string, TeamState>> | null, at: EpochMs): void;
  hearConversation(facts: ConversationFacts | null, unread: number): void;
  setAsksAgain(value: boolean): void;
  close(): void;
  /** The design file's name a message was written under ([L10]). */
  designName(): string;
}

/** What the panel paints. */
export interface PanelPicture {
  readonly design: DesignFileV1;
  readonly widget: WireWidget;
  readonly decision: Decision;
  readonly visit: 'first' | 'returning' | 'unknown';
  readonly isWindowOpen: boolean;
}

/** The panel once it has been fetched. */
export interface MountedPanel {
  paint(picture: PanelPicture): void;
  focus(): void;
}

export interface PanelModule {
  mountPanel(port: PanelPort): MountedPanel;
}

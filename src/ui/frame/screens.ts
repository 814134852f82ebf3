import type { Role } from '../../core/model/role';
import { FRAME_WORDS } from '../wording/screens/frame';
import { SHARED_WORDS } from '../wording/screens/shared';

/** The screens that there are, in the order of the top bar. */
export interface Screen {
  readonly path: string;
  readonly name: string;
  /** Trade words and others under which the search finds it. */
  readonly alsoKnownAs: string;
  readonly hidesFrom?: 'responder';
  readonly onlyFor?: 'owner';
  /** Reached from other screens, and by the search. */
  readonly isAside?: true;
}

export const SCREENS: readonly Screen[] = [
  { path: 'today', name: SHARED_WORDS.today, alsoKnownAs: 'home dashboard overview start' },
  {
    path: 'design',
    name: FRAME_WORDS.design,
    alsoKnownAs: 'widget editor customise appearance pop-up look',
    hidesFrom: 'responder',
  },
  {
    path: 'conversations',
    name: SHARED_WORDS.conversations,
    alsoKnownAs: 'inbox chats messages notes answer reply',
  },
  {
    path: 'team',
    name: FRAME_WORDS.teamHours,
    alsoKnownAs: 'working hours business hours opening times holidays people members away face photo avatar',
  },
  { path: 'install', name: SHARED_WORDS.install, alsoKnownAs: 'snippet tag embed code script webmaster' },
  {
    path: 'versions',
    name: SHARED_WORDS.versions,
    alsoKnownAs: 'history publish rollback restore earlier compare schedule season pause disable switch off',
    hidesFrom: 'responder',
    isAside: true,
  },
  {
    path: 'practice',
    name: SHARED_WORDS.sayHello,
    alsoKnownAs: 'practice practise test chat try both sides',
    hidesFrom: 'responder',
    isAside: true,
  },
  {
    path: 'settings',
    name: FRAME_WORDS.siteSettings,
    alsoKnownAs: 'name address domain subdomain allow list time zone language translation preferences',
    onlyFor: 'owner',
    isAside: true,
  },
  {
    path: 'account',
    name: FRAME_WORDS.myAccount,
    alsoKnownAs: 'profile name e-mail password sessions sign in security',
    isAside: true,
  },
];

/** The screens somebody may open, by their role on the site. */
export function screensOf(role: Role): readonly Screen[] {
  return SCREENS.filter(
    ({ hidesFrom, onlyFor }) => hidesFrom !== role && (onlyFor === undefined || onlyFor === role),
  );
}

/** The screen of a path. Throws where there is none: a page was named wrongly. */
export function screenAt(path: string): Screen {
  const found = SCREENS.find((screen) => screen.path === path);
  if (found === undefined) throw new Error(`Expected the path of a screen, got "${path}".`);
  return found;
}

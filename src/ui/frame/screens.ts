/** The screens in the order of the top bar, and what stands in those that are still to come. */
export interface Screen {
  readonly path: string;
  readonly name: string;
  /** Trade words and others under which the palette finds it. */
  readonly alsoKnownAs: string;
  readonly toCome?: string;
  readonly hidesFrom?: 'responder';
  /** Reached from other screens, and by the palette. */
  readonly isAside?: true;
}

export const SCREENS: readonly Screen[] = [
  { path: 'today', name: 'Today', alsoKnownAs: 'home dashboard overview start' },
  {
    path: 'design',
    name: 'Design',
    alsoKnownAs: 'widget editor customise appearance pop-up look',
    hidesFrom: 'responder',
  },
  {
    path: 'rehearse',
    name: 'Rehearse',
    alsoKnownAs: 'test simulate try visit replay day preview',
    toCome:
      'Here you will walk through a visit step by step, and replay a day of real traffic against your draft before anybody sees it.',
  },
  {
    path: 'versions',
    name: 'Versions',
    alsoKnownAs: 'history publish rollback restore earlier compare schedule season pause disable switch off',
    hidesFrom: 'responder',
    isAside: true,
  },
  { path: 'install', name: 'Install', alsoKnownAs: 'snippet tag embed code script webmaster' },
  { path: 'conversations', name: 'Conversations', alsoKnownAs: 'inbox chats messages notes answer reply' },
  {
    path: 'answers',
    name: 'Answers',
    alsoKnownAs: 'articles help faq knowledge',
    toCome:
      'Here you will keep short articles that visitors find inside the widget, before and during a conversation.',
  },
  {
    path: 'results',
    name: 'Results',
    alsoKnownAs: 'statistics reports analytics numbers',
    toCome:
      'Here you will see what the widget did: who was invited, who opened it, who was answered, and whom it missed.',
  },
  {
    path: 'team',
    name: 'Team & hours',
    alsoKnownAs: 'working hours business hours opening times holidays people members away face photo avatar',
    toCome: 'Here you will set opening hours and holidays. Until then the widget goes by who says “I am in”.',
  },
];

/** The screen of a path. Throws where there is none: a page was named wrongly. */
export function screenAt(path: string): Screen {
  const found = SCREENS.find((screen) => screen.path === path);
  if (found === undefined) throw new Error(`Expected the path of a screen, got "${path}".`);
  return found;
}

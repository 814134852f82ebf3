/** What *Team & hours* says. */
export const TEAM_WORDS = {
  youMark: ' (you)',
  inNoTeam: 'in no team',
  notAnswering: 'Not answering',
  photoOf: (name: string) => `Photo of ${name}`,
  aPictureOf: (name: string) => `A picture of ${name}`,
  chooseAPhoto: 'Choose a photo',
  changePhoto: 'Change photo',
  removePhoto: 'Remove photo',
  photoHelp: 'Or drop or paste one here, up to 5 MB.',
  notLoaded: 'The list of people could not be loaded. Nothing was changed.',
  people: 'People',
  peopleHelp: 'Visitors see your photo next to your answers. Without one they see your initials.',
  loadingPeople: 'Loading the people',
  openingHours: 'Opening hours',
  openingHoursHelp: 'Opening hours can’t be changed here yet.',
};

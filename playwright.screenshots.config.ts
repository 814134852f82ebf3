import base from './playwright.config';

/** The same browser and house as the tests, for the pictures of the README. */
export default { ...base, testMatch: 'screenshots.ts', reporter: 'list' };

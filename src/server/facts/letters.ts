/** Whether this program sends e-mail. Until it does, nothing that visitors read promises one, and no form insists on an address. */
export const SENDS_LETTERS: boolean = false;

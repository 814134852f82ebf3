/** For what is read from the browser once: it does not change while the page is open, or not so that it must be drawn anew. */
export const never = (): (() => void) => () => undefined;

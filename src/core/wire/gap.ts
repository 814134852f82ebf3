/** The place in a conversation after which something is missing; null: nothing is, from the first entry here to the last. */
export function gapAfter(entries: readonly { readonly seq: number }[]): number | null {
  const before = entries.find(({ seq }, index) => {
    const next = entries[index + 1];
    return next !== undefined && next.seq !== seq + 1;
  });
  return before?.seq ?? null;
}

/** The entry after which one of its conversation is missing; null: none is, of each from its first entry here to its last. */
export function gapAfter(
  entries: readonly { readonly id: number; readonly conversationId: string; readonly seq: number }[],
): number | null {
  const last = new Map<string, { readonly id: number; readonly seq: number }>();
  for (const { id, conversationId, seq } of entries) {
    const before = last.get(conversationId);
    if (before !== undefined && seq !== before.seq + 1) return before.id;
    last.set(conversationId, { id, seq });
  }
  return null;
}

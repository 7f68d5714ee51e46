/** An id for a new tile. */
export const freshId = (kind: string) => `${kind}-${crypto.randomUUID().slice(0, 8)}`;

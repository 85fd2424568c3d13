/** Since when a block rests, on this device: a reload or a locked phone must not start its clock again. */
const key = (block: string) => `greypebble.trial-rest.${block}`;

export function restingSince(block: string | undefined): Date | undefined {
  const t = block && localStorage.getItem(key(block));
  return t ? new Date(t) : undefined;
}

export function rest(block: string, now: Date): void {
  localStorage.setItem(key(block), now.toISOString());
}

/** The block goes on; returns for how many seconds it rested. */
export function goOn(block: string, now: Date): number {
  const since = restingSince(block);
  localStorage.removeItem(key(block));
  return since ? Math.max(0, Math.round((now.getTime() - since.getTime()) / 1000)) : 0;
}

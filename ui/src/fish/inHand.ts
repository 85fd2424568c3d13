import { born, outingsOf, restore, touchesOf, type Kept } from '../device/device';
import type { Touch } from './touch';

/** The outing in hand as the device keeps it. */
export interface InHand {
  kept: Kept | null;
  touches: Touch[];
}

/** What this page read last, of whom, and from which storage. */
let last: (InHand & { owner: string; born: string }) | undefined;

/** A touch that was written since this page read last: it is known, should the storage be cleared away. */
export function noteTouch(outing: string, touch: Touch) {
  if (last?.kept?.id !== outing || last.touches.some((t) => t.id === touch.id)) return;
  last = { ...last, kept: { ...last.kept, count: touch.n }, touches: [...last.touches, touch] };
}

/** Reads the outing in hand. One that was cleared away under the page is written again from what the page knows. */
export async function inHand(owner: string): Promise<InHand> {
  const now = await born();
  if (last?.kept && last.owner === owner && last.born !== now) await restore(last.kept, last.touches);
  const list = await outingsOf(owner);
  const kept = list.findLast((o) => !o.over) ?? null;
  const touches = kept ? await touchesOf(kept.id) : [];
  // Cleared away while it was read: what was read is of two storages, or of none.
  if ((await born()) !== now) return inHand(owner);
  const read = { kept, touches };
  last = { ...read, owner, born: now };
  return read;
}

import type { Block, Trial } from '../api/client';
import type { Waiting } from '../device/entries';

/** A trial with the blocks of it that wait on this device, as the server will tell it once it has them. */
export function withWaiting(t: Trial, waiting: Waiting[]): Trial {
  const blocks = new Map(t.blocks.map((b) => [b.id, b]));
  for (const e of waiting) {
    if (e.kind !== 'block' || e.trial !== t.id) continue;
    const had: Block | undefined = blocks.get(e.id);
    const arm = e.body.arm ?? t.turns.find((k) => k.n === e.body.turn)?.arm;
    blocks.set(e.id, {
      rod_hours: 0,
      ...had,
      ...e.body,
      ...(arm ? { arm } : {}),
      id: e.id,
      // The server may have had an earlier touch whose answer was lost.
      revision: Math.max(had?.revision ?? 0, e.body.revision ?? 0),
    });
  }
  const all = [...blocks.values()].sort((a, b) => Date.parse(a.started_at) - Date.parse(b.started_at));
  const done = new Set(all.filter((b) => !b.dropped).map((b) => b.turn));
  const { next: _, ...rest } = t;
  const next = t.turns.find((k) => !done.has(k.n));
  return { ...rest, blocks: all, ...(next ? { next } : {}) };
}

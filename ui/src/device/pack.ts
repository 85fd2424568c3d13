import { api, type Asked } from '../api/client';
import { ask } from '../core/core';
import { clockAhead, owner, partsOf, putParts, type Part } from './device';

/** Whose pack the core was given, and of when. */
let given: { owner: string; at: string } | undefined;

/** Asks the server for what the device has not got yet, or not any more. */
export async function refreshPack(): Promise<void> {
  const whose = owner();
  const have = await partsOf(whose);
  const fresh = await api.offline(have.parts.map((p) => p.mark));
  if (owner() !== whose) return;
  const by = new Map(have.parts.map((p) => [p.mark, p.data]));
  const parts: Part[] = [];
  for (const p of fresh.parts) {
    const data = p.data ?? by.get(p.mark);
    if (data === undefined) throw new Error(p.name); // another tab changed what there is: the next time
    parts.push({ name: p.name, mark: p.mark, data });
  }
  await putParts(whose, fresh.made_at, parts);
}

/** Gives the core what the device keeps of an angler; false where it keeps nothing. */
export async function loadPack(whose: string): Promise<boolean> {
  const { at, parts } = await partsOf(whose);
  if (!at) return false;
  if (given?.owner !== whose || given.at !== at) {
    await ask('pack', { parts });
    given = { owner: whose, at };
  }
  return true;
}

/** What the core in the browser answers to a question the server cannot be asked. */
export async function answerOf(asked: Asked): Promise<Response> {
  const { status, body } = await ask<{ status: number; body: unknown }>('ask', {
    path: asked.path.replace('/v1', '') + (asked.query ? `?${asked.query}` : ''),
    body: asked.body === undefined ? null : (JSON.parse(asked.body) as unknown),
    now: new Date(Date.now() + clockAhead()).toISOString(),
  });
  return new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });
}

/** When the pack was made, and when the forecast of a water in it was issued. */
export async function packedAt(whose: string, water: string): Promise<{ made?: string; issued?: string }> {
  const { at, parts } = await partsOf(whose);
  if (!at) return {};
  const data = parts.find((p) => p.name === `water ${water}`)?.data;
  const issued = data && (JSON.parse(data) as { Feed?: { IssuedAt?: string } }).Feed?.IssuedAt;
  return issued ? { made: at, issued } : { made: at };
}

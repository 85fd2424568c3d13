import type { Spell, SpellIn } from '../api/client';

/** A catch as it is written. */
export const written = (c: Spell['catches'][number]) => ({
  target: c.target,
  ...(c.species ? { species: c.species } : {}),
  caught_at: c.caught_at,
  kept: c.kept,
  note: c.note,
  ...(c.length_m ? { length_m: c.length_m } : {}),
  ...(c.mass_kg ? { mass_kg: c.mass_kg } : {}),
  ...(c.who ? { who: c.who } : {}),
  ...(c.rod ? { rod: c.rod } : {}),
  ...more(c),
});

/** What few catches say. */
export const more = (c: Spell['catches'][number]) => ({
  ...(c.girth_m ? { girth_m: c.girth_m } : {}),
  ...(c.measured ? { measured: c.measured } : {}),
  ...(c.hook_place ? { hook_place: c.hook_place } : {}),
  ...(c.hook ? { hook: c.hook } : {}),
  ...(c.tag_number ? { tag_number: c.tag_number } : {}),
  ...(c.tag_side ? { tag_side: c.tag_side } : {}),
  ...(c.tag_programme ? { tag_programme: c.tag_programme } : {}),
});

/** A spell as it is written, to bring it back. */
export const again = (s: Spell): SpellIn => ({
  spot_id: s.spot_id,
  target: s.target,
  started_at: s.started_at,
  ended_at: s.ended_at,
  rods: s.rods,
  mark: s.mark,
  offering: s.offering,
  note: s.note,
  ...(s.approach ? { approach: s.approach as NonNullable<SpellIn['approach']> } : {}),
  readings: s.readings
    .filter((r) => r.origin === 'observed')
    .map((r) => ({ kind: r.kind, value: r.value })) as NonNullable<SpellIn['readings']>,
  catches: s.catches.map((c) => ({ id: c.id, ...written(c) })),
  ...(s.outing_id ? { outing_id: s.outing_id } : {}),
  ...(s.rod ? { rod: s.rod } : {}),
  ...(s.who ? { who: s.who } : {}),
  ...(s.paused_s ? { paused_s: s.paused_s } : {}),
  ...(s.casts ? { casts: s.casts } : {}),
  ...(s.presentation ? { presentation: s.presentation } : {}),
  ...(s.events ? { events: s.events } : {}),
  ...(s.signs ? { signs: s.signs } : {}),
});

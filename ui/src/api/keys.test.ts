import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { known, rests } from './keys';

const files = readdirSync('src', { recursive: true, encoding: 'utf8' })
  .filter((f) => /\.tsx?$/.test(f) && !/test|schema/.test(f))
  .map((f) => [f, readFileSync(join('src', f), 'utf8')] as const);

/** First words of the keys the pages ask by, written out. */
const asked = files.flatMap(([f, text]) =>
  [...text.matchAll(/queryKey: \[\s*'([\w-]+)'/g)].map((m) => [m[1]!, f] as const),
);

describe('keys of queries', () => {
  it('are found in the sources', () => expect(asked.length).toBeGreaterThan(15));
  it('each rest on something one can change, or never change', () => {
    expect(asked.filter(([k]) => !known.has(k))).toEqual([]);
  });
  it('stand for one answer each: no two pages ask different things by the same first word', () => {
    // One query is written in one place and used from there; these are asked in two, for the same answer.
    const shared = new Set(['spells', 'spot', 'chart', 'rig-card', 'water']);
    for (const [k, f] of asked)
      if (!shared.has(k)) expect([k, ...asked.filter((a) => a[0] === k && a[1] !== f)]).toEqual([k]);
  });
  it('that rest on a subject are all asked by some page', () => {
    const words = new Set(asked.map(([k]) => k));
    const fixed = files.map(([, text]) => text).join('\n');
    for (const k of new Set(Object.values(rests).flat()))
      expect(words.has(k) || fixed.includes(`keys.${k}`), k).toBe(true);
  });
});

describe('what follows from a change', () => {
  const follows = (s: keyof typeof rests) => new Set<string>(rests[s]);
  it('is the advice, whatever was changed but the session', () => {
    for (const s of ['log', 'readings', 'spots', 'water', 'tide', 'playbook', 'kit'] as const)
      expect(follows(s).has('advise'), s).toBe(true);
  });
  it('is the ribbon, where the water is another', () => {
    for (const s of ['readings', 'spots', 'tide'] as const) expect(follows(s).has('ribbon'), s).toBe(true);
    expect(follows('kit').has('ribbon')).toBe(false);
  });
});

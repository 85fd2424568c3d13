import { expect, it } from 'vitest';
import type { Block, Trial } from '../api/client';
import type { Waiting } from '../device/entries';
import { withWaiting } from './withWaiting';

const turn = (n: number, arm: string) => ({ n, round: Math.floor(n / 2), arm });
const block = (id: string, n: number, more: Partial<Block> = {}) =>
  ({
    id,
    turn: n,
    arm: n % 2 ? 'white' : 'dark',
    started_at: `2026-11-20T0${n}:00:00Z`,
    revision: 1,
    rod_hours: 0.3,
    ...more,
  }) as Block;
const trial = (blocks: Block[], next?: number) =>
  ({
    id: 't',
    turns: [turn(0, 'dark'), turn(1, 'white'), turn(2, 'dark')],
    blocks,
    ...(next === undefined ? {} : { next: turn(next, 'x') }),
  }) as unknown as Trial;
const waits = (id: string, n: number, more: object = {}, of = 't') =>
  ({
    kind: 'block',
    id,
    trial: of,
    body: { turn: n, started_at: `2026-11-20T0${n}:00:00Z`, ...more },
  }) as unknown as Waiting;

it('a block that waits is one of the trial: what came of it, its arm, and what is next', () => {
  const t = withWaiting(trial([block('a', 0, { ended_at: '2026-11-20T00:20:00Z' })], 1), [
    waits('b', 1, { landed: 2 }),
    waits('other', 2, {}, 'another trial'),
  ]);
  expect(t.blocks.map((b) => [b.id, b.arm, b.landed, b.revision])).toEqual([
    ['a', 'dark', undefined, 1],
    ['b', 'white', 2, 0],
  ]);
  expect(t.next?.n).toBe(2);
});

it('what waits of a block goes over what the server had, under its revision', () => {
  const t = withWaiting(trial([block('a', 0, { landed: 1, revision: 4 })], 1), [
    waits('a', 0, { landed: 3, revision: 2 }),
  ]);
  expect(t.blocks).toMatchObject([{ landed: 3, revision: 4, rod_hours: 0.3 }]);
});

it('a block left out is fished again, and when all are fished nothing is next', () => {
  expect(withWaiting(trial([], 0), [waits('a', 0, { dropped: 'the line broke' })]).next?.n).toBe(0);
  const all = withWaiting(trial([block('a', 0), block('b', 1)], 2), [waits('c', 2)]);
  expect(all).not.toHaveProperty('next');
});

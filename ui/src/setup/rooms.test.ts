import { expect, it } from 'vitest';
import { found, rooms } from './rooms';

it('finds a room by what it holds', () => {
  expect(found(rooms, 'forecast').map((r) => r.at)).toEqual(['waters']);
  expect(found(rooms, 'FAHREN').map((r) => r.at)).toEqual(['units']);
  expect(found(rooms, 'tide lag').map((r) => r.at)).toEqual(['waters/spot-tide']);
  expect(found(rooms, '')).toHaveLength(rooms.length);
  expect(found(rooms, 'submarine')).toEqual([]);
});

it('gives each room an address of its own', () => {
  expect(new Set(rooms.map((r) => r.at)).size).toBe(rooms.length);
});

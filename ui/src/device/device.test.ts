import 'fake-indexeddb/auto';
import { describe, expect, it } from 'vitest';
import {
  adopt,
  outingsOf,
  partsOf,
  putParts,
  recall,
  remember,
  sent,
  touchesOf,
  unsent,
  wipe,
  write,
  type Kept,
} from './device';

const outing = (id: string, owner: string): Kept => ({
  id,
  owner,
  began: '2026-11-20T09:00:00Z',
  over: false,
  count: 0,
  sent: 0,
  spot: 'Kettle Bar',
});
const at = new Date('2026-11-20T09:00:00Z');

describe('what a device keeps', () => {
  it('numbers touches in the order they were made, from two pages too', async () => {
    const o = outing('two', 'wren');
    await Promise.all(['bite', 'missed', 'bite'].map((kind) => write(o, { kind: kind as 'bite' }, at)));
    expect((await touchesOf('two')).map((t) => t.n)).toEqual([1, 2, 3]);
    expect((await outingsOf('wren')).find((k) => k.id === 'two')?.count).toBe(3);
    expect(await outingsOf('tern')).toEqual([]);
  });
  it('forgets an outing when it is over and the server has all of it, not before', async () => {
    const o = outing('over', 'moss');
    await write(o, { kind: 'bite' }, at);
    await sent('over', 1);
    expect(await outingsOf('moss')).toHaveLength(1);
    await write(o, { kind: 'end' }, at);
    await sent('over', 1);
    expect((await outingsOf('moss'))[0]).toMatchObject({ over: true, count: 2, sent: 1 });
    await sent('over', 2);
    expect(await outingsOf('moss')).toEqual([]);
    expect(await touchesOf('over')).toEqual([]);
  });
  it('wipes what was sent and known when its owner signs out, keeps what was not sent', async () => {
    await write(outing('sent', 'reed'), { kind: 'bite' }, at);
    await sent('sent', 1);
    await write(outing('unsent', 'reed'), { kind: 'bite' }, at);
    await remember('reed', 'spots', ['a'], at);
    await putParts('reed', at.toISOString(), [{ name: 'mine', mark: 'm', data: '{}' }]);
    await wipe('reed');
    expect((await outingsOf('reed')).map((o) => o.id)).toEqual(['unsent']);
    expect(await unsent('reed')).toBe(1);
    expect(await recall('reed', 'spots')).toBeUndefined();
    expect(await partsOf('reed')).toEqual({ parts: [] });
  });
  it('takes over what two other devices numbered alike, in one order, and goes on above it', async () => {
    const t = (id: string, n: number, time: string) => ({ id, n, time, kind: 'bite' as const });
    const { count: _, sent: __, over: ___, ...o } = outing('taken', 'tern');
    await adopt(o, [
      t('c', 3, '2026-11-20T09:30:00Z'),
      t('b', 2, '2026-11-20T09:20:00Z'),
      t('a', 2, '2026-11-20T09:10:00Z'),
    ]);
    expect((await touchesOf('taken')).map((k) => k.id)).toEqual(['a', 'b', 'c']);
    expect(await unsent('tern')).toBe(0);
    await write(outing('taken', 'tern'), { kind: 'missed' }, at);
    expect((await touchesOf('taken')).map((k) => k.n)).toEqual([1, 2, 3, 4]);
    expect(await unsent('tern')).toBe(1);
  });
});

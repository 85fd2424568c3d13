import 'fake-indexeddb/auto';
import { beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { api } from '../api/client';
import { keepFor, putParts, recall, remember, wipe } from './device';
import { settled } from '../testkit/settled';
import { renewKept, signal, standReady } from './stand';

const json = (body: unknown) =>
  Promise.resolve(
    new Response(JSON.stringify(body), { status: 200, headers: { 'Content-Type': 'application/json' } }),
  );
const silent = () => Promise.reject(new TypeError('no signal'));
const fetched = vi.fn<typeof fetch>();

describe('with no signal', () => {
  beforeAll(() => {
    standReady();
    keepFor('wren', 0);
  });
  beforeEach(() => void vi.stubGlobal('fetch', fetched));
  it('gives the last answer to the same question, and says that there is no signal', async () => {
    fetched.mockImplementation(() => json([{ id: 'a' }]));
    expect(await api.targets()).toEqual([{ id: 'a' }]);
    await settled();
    expect(signal.lost()).toBe(false);
    fetched.mockImplementation(silent);
    expect(await api.targets()).toEqual([{ id: 'a' }]);
    expect(signal.lost()).toBe(true);
    await expect(api.spots()).rejects.toThrow('cannot be reached');
    fetched.mockImplementation(() => json([]));
    await api.spots();
    expect(signal.lost()).toBe(false);
  });
  it('does not mind when it was asked', async () => {
    fetched.mockImplementation(() => json({ spots: [1] }));
    await api.chart('2026-11-20T09:00:00Z');
    await settled();
    fetched.mockImplementation(silent);
    expect(await api.chart('2026-11-20T19:00:00Z')).toEqual({ spots: [1] });
  });
  it('gives nobody what is of somebody else, nor what they took along at sign-out', async () => {
    fetched.mockImplementation(() => json([{ id: 'a' }]));
    await api.targets();
    await settled();
    fetched.mockImplementation(silent);
    keepFor('tern', 0);
    await expect(api.targets()).rejects.toThrow('cannot be reached');
    keepFor('wren', 0);
    await wipe('wren');
    await expect(api.targets()).rejects.toThrow('cannot be reached');
  });
  it('lets the clock of who was here last go on', async () => {
    fetched.mockImplementation(() => json({ name: 'wren', now: '2026-11-20T09:00:00Z' }));
    await api.me();
    await settled();
    fetched.mockImplementation(silent);
    const now = Date.parse((await api.me()).now) - Date.parse('2026-11-20T09:00:00Z');
    expect(now).toBeGreaterThan(15);
    expect(now).toBeLessThan(5_000);
  });
  it('gives the last answer where the core cannot make one of what is kept', async () => {
    fetched.mockImplementation(() => json({ spots: [2] }));
    await api.ahead([]);
    await settled();
    // Of another program, say: the core here takes none.
    await putParts('wren', '2026-11-20T09:00:00Z', [{ name: 'mine', mark: 'x', data: '{}' }]);
    fetched.mockImplementation(silent);
    expect(await api.ahead([])).toEqual({ spots: [2] });
    await expect(api.advise({ spot_id: 'a', target: 'b' } as never)).rejects.toThrow('cannot be reached');
  });
  it('asks for anew what an older program kept, once, and forgets what there is not any more', async () => {
    const older = (path: string, query: string, api?: string) =>
      remember(
        'wren',
        `${path}?`,
        { type: 'application/json', body: new TextEncoder().encode('[]').buffer, query, api },
        new Date(),
      );
    await wipe('wren');
    await older('/v1/kit', '', 'before');
    await older('/v1/chart', 'time=2026-11-20T09%3A00%3A00Z', 'before');
    await older('/v1/plans/gone', '');
    await remember('tern', '/v1/limits?', { type: '', body: new ArrayBuffer(0), api: 'before' }, new Date());
    const asked: string[] = [];
    fetched.mockImplementation((request) => {
      const url = (request as Request).url;
      asked.push(url.slice(url.indexOf('/v1')));
      return url.includes('gone')
        ? Promise.resolve(new Response('{}', { status: 404 }))
        : json([{ id: 'fresh' }]);
    });
    await renewKept();
    await settled();
    expect(asked.sort()).toEqual(['/v1/chart?time=2026-11-20T09%3A00%3A00Z', '/v1/kit?', '/v1/plans/gone?']);
    expect(await recall('wren', '/v1/plans/gone?')).toBeUndefined();
    asked.length = 0;
    await renewKept();
    expect(asked).toEqual([]);

    await older('/v1/limits', '', 'before');
    fetched.mockImplementation(silent);
    await renewKept();
    expect(await api.kit()).toEqual([{ id: 'fresh' }]);
    expect(await api.limits()).toEqual([]);
    await wipe('wren');
  });
  it('passes on what the server says, and keeps no refusal', async () => {
    fetched.mockImplementation(() =>
      Promise.resolve(new Response('{"detail":"Sign in first."}', { status: 401 })),
    );
    await expect(api.kit()).rejects.toThrow('Sign in first.');
    await settled();
    fetched.mockImplementation(silent);
    await expect(api.kit()).rejects.toThrow('cannot be reached');
  });
});

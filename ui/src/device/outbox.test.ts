import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { keepFor, unsent, wipe } from './device';
import { entriesOf, keepEntry, keptOf, refuseEntry, type Waiting } from './entries';
import { Outbox, sendOrKeep, type Post } from './outbox';
import { settled } from '../testkit/settled';

const spell = (id: string, owner: string, note = ''): Extract<Waiting, { kind: 'spell' }> => ({
  kind: 'spell',
  id,
  owner,
  at: `2026-11-20T09:00:0${id.length % 10}Z`,
  spot: 'Kettle Bar',
  zone: 'Etc/GMT+3',
  body: {
    spot_id: 's',
    target: 'red-drum',
    started_at: '2026-11-20T08:30:00Z',
    ended_at: '2026-11-20T09:00:00Z',
    note,
    catches: [
      { id: 'f', target: 'red-drum', kept: true, length_m: 0.5 },
      { id: 'g', target: 'red-drum' },
    ],
  },
});

/** A server that hears, or not, and refuses the ids it is told to. */
const server = { hears: true, status: 200, refuses: '', had: [] as string[] };
const fetched = vi.fn<typeof fetch>((request) => {
  const { method, url } = request as Request;
  if (!server.hears) return Promise.reject(new TypeError('no signal'));
  const path = url.slice(url.indexOf('/v1/') + 4);
  server.had.push(`${method} ${path}`);
  const status = path.endsWith(server.refuses || '?') ? 422 : server.status;
  return Promise.resolve(
    new Response(JSON.stringify(status === 200 ? {} : { detail: 'too long a fish?' }), { status }),
  );
});

/** Has everything that waits sent, once. */
async function post(owner: string) {
  let any = 0;
  const told = await new Promise<Post>((done) => {
    const box = new Outbox(
      owner,
      () => new Date(),
      (p) => {
        box.stop();
        done(p);
      },
      () => any++,
    );
    box.now();
  });
  await settled();
  return { ...told, any };
}

describe('an entry for the log', () => {
  beforeEach(() => {
    vi.stubGlobal('fetch', fetched);
    Object.assign(server, { hears: true, status: 200, refuses: '', had: [] });
  });

  it('is with the server where it is heard, and waits here where not, whole, until it is', async () => {
    keepFor('plover', 0);
    expect(await sendOrKeep(spell('a', 'plover'))).toBe(true);
    expect(await entriesOf('plover')).toEqual([]);
    server.hears = false;
    expect(await sendOrKeep(spell('b', 'plover'))).toBe(false);
    // Changed before it went: there is one.
    expect(await sendOrKeep(spell('b', 'plover', 'a fine one'))).toBe(false);
    expect(await entriesOf('plover')).toMatchObject([{ id: 'b', body: { note: 'a fine one' } }]);
    expect(keptOf(await entriesOf('plover')).map((f) => f.id)).toEqual(['f']);
    expect(await unsent('plover')).toBe(1);
    expect(await post('plover')).toMatchObject({ waiting: 1, failed: { status: 0 }, any: 0 });
    // It stays for its owner when they sign out, and nobody else is shown or sends it.
    await wipe('plover');
    server.hears = true;
    server.had = [];
    expect(await post('tern')).toMatchObject({ waiting: 0, any: 0 });
    expect(await entriesOf('tern')).toEqual([]);
    expect(await post('plover')).toEqual({ waiting: 0, any: 1 });
    expect(server.had).toEqual(['PUT spells/b']);
    expect(await entriesOf('plover')).toEqual([]);
    await post('plover');
    expect(server.had).toHaveLength(1);
  });

  it('waits too where one is signed out or the server has trouble, not where it is refused', async () => {
    for (const status of [401, 503]) {
      server.status = status;
      expect(await sendOrKeep(spell(`s${status}`, 'moss'))).toBe(false);
    }
    server.status = 422;
    await expect(sendOrKeep(spell('no', 'moss'))).rejects.toThrow('too long a fish?');
    expect((await entriesOf('moss')).map((e) => e.id)).toEqual(['s401', 's503']);
  });

  it('that cannot be kept is never taken for done', async () => {
    server.hears = false;
    const odd = { ...spell('odd', 'moss'), spot: (() => 0) as unknown as string };
    await expect(sendOrKeep(odd)).rejects.toThrow('Write it down');
  });

  it('that is refused later says why and holds up no other, until it is changed', async () => {
    for (const id of ['x', 'yy', 'zzz']) await keepEntry(spell(id, 'reed'));
    server.refuses = 'yy';
    expect(await post('reed')).toMatchObject({ waiting: 1, failed: { status: 422 }, any: 1 });
    expect(server.had).toEqual(['PUT spells/x', 'PUT spells/yy', 'PUT spells/zzz']);
    expect((await entriesOf('reed')).map((e) => [e.id, e.refused])).toEqual([['yy', 'too long a fish?']]);
    server.had = [];
    await post('reed');
    expect(server.had).toEqual([]);
    await keepEntry(spell('yy', 'reed', 'measured again'));
    // The refusal of what it was before says nothing of what it is.
    await refuseEntry(spell('yy', 'reed'), 'too long a fish?');
    server.refuses = '';
    expect(await post('reed')).toEqual({ waiting: 0, any: 1 });
  });

  it('that was changed elsewhere meanwhile says so, and has at hand what goes over it', async () => {
    const mine = spell('sp', 'heron', 'mine');
    await keepEntry({ ...mine, body: { ...mine.body, revision: 2 } });
    fetched.mockImplementationOnce(() =>
      Promise.resolve(
        new Response(
          JSON.stringify({
            detail: 'this spell was changed elsewhere',
            errors: [
              { location: 'body.revision', message: 'is not the one that is stored', value: 5 },
              { location: 'body.note', message: 'differs' },
              { location: 'body.tide_says', message: 'differs' },
            ],
          }),
          { status: 409 },
        ),
      ),
    );
    await post('heron');
    expect(await entriesOf('heron')).toMatchObject([
      {
        refused: 'It was changed elsewhere meanwhile; yours differs in the note and tide says.',
        body: { note: 'mine', revision: 2 },
        over: { note: 'mine', revision: 5 },
      },
    ]);
  });

  it('that is a block of a trial goes over what the server had of it, where an answer was lost', async () => {
    await keepEntry({
      ...spell('b1', 'ibis'),
      kind: 'block',
      trial: 't1',
      body: { turn: 0, started_at: '2026-11-20T08:30:00Z', landed: 2, revision: 0 },
    });
    const had: [string, number | undefined][] = [];
    fetched.mockImplementation(async (r) => {
      const request = r as Request;
      if (request.method === 'GET')
        return new Response(JSON.stringify({ blocks: [{ id: 'b1', revision: 3 }] }), { status: 200 });
      const { revision } = (await request.json()) as { revision?: number };
      had.push([request.url.slice(request.url.indexOf('/v1/')), revision]);
      return new Response('{}', { status: revision === 3 ? 200 : 409 });
    });
    expect(await post('ibis')).toEqual({ waiting: 0, any: 1 });
    expect(had).toEqual([
      ['/v1/trials/t1/blocks/b1', 0],
      ['/v1/trials/t1/blocks/b1', 3],
    ]);
  });
});

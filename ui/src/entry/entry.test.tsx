import 'fake-indexeddb/auto';
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { useEffect } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi, type Mock, type MockInstance } from 'vitest';
import { api, Problem, type Spell, type SpellIn } from '../api/client';
import { useGiven, useMoment } from '../moment/moment';
import { iso, noon, serve, show, spell } from '../testkit/coast';
import { keepFor } from '../device/device';
import { dropEntry, entriesOf } from '../device/entries';
import type { Entry, WaitingSpell } from './entry';
import { last } from './entry';
import QuickEntry from './QuickEntry';

const minute = 60_000;

/** Quick entry as the page opens it, the moment moved and a reading given first. */
function Opened({ entry, onClose, moved = 0, water }: Props) {
  const { ribbon, moveTime } = useMoment();
  const { override } = useGiven();
  const ready = !!ribbon;
  useEffect(() => {
    if (ready && moved) moveTime(new Date(noon + moved * minute));
    if (ready && water) override('water_temp_c', water);
    // Once.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [ready]);
  return ready ? <QuickEntry entry={entry} onClose={onClose} /> : null;
}
type Props = { entry: Entry; onClose: () => void; moved?: number; water?: number };

let put: MockInstance<typeof api.putSpell>;
beforeEach(() => {
  localStorage.clear();
  keepFor('', 0);
  serve();
  put = vi.spyOn(api, 'putSpell').mockImplementation((_, s) => Promise.resolve(answer(s)));
  window.matchMedia ??= () => ({ matches: false, addListener: () => 0, removeListener: () => 0 }) as never;
});
afterEach(async () => {
  // What is remembered once an entry is in must not be there for the next test.
  const wrote: boolean = await Promise.resolve(put.mock.results.at(-1)?.value).then(
    (s) => s !== undefined,
    () => false,
  );
  if (wrote) await waitFor(() => expect(closed).toHaveBeenCalled());
});

const answer = (s: SpellIn): Spell => ({ ...spell({}), ...s, blank: !s.catches?.length }) as Spell;

let closed: Mock;
async function opened(entry: Entry, more: Partial<Props> = {}) {
  const onClose = vi.fn();
  closed = onClose;
  show(<Opened entry={entry} onClose={onClose} {...more} />);
  await screen.findByText('Fished for');
  // The readings asked for follow from the place.
  await screen.findByLabelText('water');
  return onClose;
}
const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label);
const type = (label: string, value: string) => fireEvent.change(field(label), { target: { value } });
const send = (button: string) => fireEvent.click(screen.getByRole('button', { name: button }));
const sent = async () => {
  await waitFor(() => expect(put).toHaveBeenCalled());
  return put.mock.calls.at(-1)![1];
};

describe('quick entry', () => {
  it('logs a blank in one touch, with what is known and nothing that is not', async () => {
    const onClose = await opened({ kind: 'blank', target: 'drum', mark: '', offering: '' });
    send('Log the blank');
    expect(await sent()).toEqual({
      spot_id: 'bar',
      target: 'drum',
      started_at: iso(noon - 30 * minute),
      ended_at: iso(noon),
    });
    await waitFor(() => expect(onClose).toHaveBeenCalled());
  });
  it('writes a catch in SI, with the reading said on screen and those typed', async () => {
    await opened({ kind: 'catch', target: 'drum', approach: 'lure', mark: 'Crest' }, { water: 12.5 });
    type('Length', '61');
    type('Fished for', '20');
    type('clarity', '2');
    fireEvent.click(screen.getByRole('checkbox', { name: 'kept' }));
    send('Log the catch');
    const s = await sent();
    expect(s.catches).toMatchObject([{ target: 'drum', length_m: 0.61, kept: true }]);
    expect(s.catches![0]).not.toHaveProperty('mass_kg');
    expect(s.readings).toEqual([
      { kind: 'clarity_secchi_m', value: 2 },
      { kind: 'water_temp_c', value: 12.5 },
    ]);
    expect(s).toMatchObject({ started_at: iso(noon - 20 * minute), approach: 'lure', mark: 'Crest' });
  });
  it('asks for the first three readings of the place, what is believed in grey', async () => {
    await opened({ kind: 'blank' });
    expect(field('water').placeholder).toBe('14.3');
    expect(field('clarity').placeholder).toBe('0.8');
    expect(field('wind').placeholder).toBe('');
    expect(screen.queryByLabelText('cloud')).toBeNull();
  });
  it('logs a time to come as now, and says so', async () => {
    await opened({ kind: 'blank', target: 'drum' }, { moved: 180 });
    expect(screen.getByText(/The ribbon shows a time to come/)).toBeTruthy();
    send('Log the blank');
    expect(Math.abs(Date.parse((await sent()).ended_at) - noon)).toBeLessThan(minute);
  });
  it('logs a time gone by at that time', async () => {
    await opened({ kind: 'blank', target: 'drum' }, { moved: -120 });
    send('Log the blank');
    expect((await sent()).ended_at).toBe(iso(noon - 120 * minute));
  });
  it('asks what was sought before anything is sent', async () => {
    await opened({ kind: 'blank' });
    send('Log the blank');
    expect(await screen.findByText('Say what you were after.')).toBeTruthy();
    expect(put).not.toHaveBeenCalled();
  });
  it('remembers what was tied on, for the next one', async () => {
    await opened({ kind: 'blank', target: 'trout', approach: 'cut bait', offering: 'Strip' });
    send('Log the blank');
    await waitFor(() =>
      expect(last()).toMatchObject({ target: 'trout', approach: 'cut bait', offering: 'Strip' }),
    );
    cleanup();
    await opened({ kind: 'blank' });
    send('Log the blank');
    expect(await sent()).toMatchObject({ target: 'trout', approach: 'cut bait', offering: 'Strip' });
  });
  it('keeps how it was presented, as long as the offering is the same', async () => {
    const way = { offering: 'Strip', offering_id: 'squid-strip', rig_id: 'drop-shot', style: 'drift' };
    await opened({ kind: 'blank', target: 'trout', approach: 'cut bait', offering: 'Strip', way });
    send('Log the blank');
    expect((await sent()).presentation).toMatchObject({ offering_id: 'squid-strip', rig_id: 'drop-shot' });
    await waitFor(() => expect(last().way?.offering).toBe('Strip'));
    cleanup();
    await opened({ kind: 'blank', target: 'trout', offering: 'Strip' });
    type('Bait or lure', 'Something else');
    send('Log the blank');
    await waitFor(async () => expect(put.mock.calls.at(-1)![1].offering).toBe('Something else'));
    expect(put.mock.calls.at(-1)![1].presentation).toBeUndefined();
  });
  it('logs several fish in one go, the measures of the first', async () => {
    await opened({ kind: 'catch', target: 'drum' });
    type('How many', '3');
    type('Length', '52');
    send('Log the catch');
    const { catches } = await sent();
    expect(catches?.length).toBe(3);
    expect(new Set(catches?.map((c) => c.id)).size).toBe(3);
    expect(catches?.filter((c) => c.length_m)).toHaveLength(1);
  });
  it('keeps what was typed when the server refuses, and sends the same spell again', async () => {
    put.mockRejectedValueOnce(new Problem(422, 'The spot is gone.'));
    const onClose = await opened({ kind: 'catch', target: 'drum' });
    type('Note', 'by the post');
    send('Log the catch');
    expect((await screen.findByRole('alert')).textContent).toBe('The spot is gone.');
    expect(onClose).not.toHaveBeenCalled();
    expect(field('Note').value).toBe('by the post');
    send('Log the catch');
    await waitFor(() => expect(onClose).toHaveBeenCalled());
    const [first, second] = put.mock.calls;
    expect(second![0]).toBe(first![0]);
    expect(second![1].catches![0]!.id).toBe(first![1].catches![0]!.id);
  });
  it('waits on this device where the server is not heard, and can be changed there', async () => {
    put.mockRejectedValue(new Problem(0, 'The server cannot be reached.'));
    const onClose = await opened({ kind: 'catch', target: 'drum' });
    type('Length', '52');
    type('How many', '2');
    send('Log the catch');
    await waitFor(() => expect(onClose).toHaveBeenCalled());
    const [first] = await entriesOf('');
    expect(first).toMatchObject({
      kind: 'spell',
      spot: 'Shell Bar',
      body: { target: 'drum', ended_at: iso(noon) },
    });
    cleanup();
    put.mockReset();
    put.mockImplementation((_, s) => Promise.resolve(answer(s)));
    await opened({ kind: 'catch', waiting: first as WaitingSpell }, { moved: -120 });
    expect(field('Length').value).toBe('52');
    type('Length', '54');
    send('Log the catch');
    const s = await sent();
    expect(put.mock.calls[0]![0]).toBe(first!.id);
    expect(s.ended_at).toBe(iso(noon));
    expect(s.catches).toMatchObject([{ length_m: 0.54 }, {}]);
    expect(s.catches!.map((c) => c.id)).toEqual((first as WaitingSpell).body.catches!.map((c) => c.id));
    await waitFor(async () => expect(await entriesOf('')).toEqual([]));
  });
  it('changes a spell of the log here too, and goes on from what waits', async () => {
    const stored = spell({ id: 'stored', revision: 3, note: 'ebb', catches: [] });
    put.mockRejectedValue(new Problem(0, 'The server cannot be reached.'));
    for (const note of ['ebb, weed', 'ebb, weed, dolphins']) {
      const onClose = await opened({ kind: 'blank', spell: stored });
      if (note.includes('dolphins')) expect(field('Note').value).toBe('ebb, weed');
      type('Note', note);
      send('Save');
      await waitFor(() => expect(onClose).toHaveBeenCalled());
      expect(await entriesOf('')).toMatchObject([{ id: 'stored', body: { note, revision: 3 } }]);
      cleanup();
    }
    await dropEntry('stored');
  });
  it('asks about a fish longer than any known, and logs it when told to', async () => {
    put.mockRejectedValueOnce(
      new Problem(422, 'A 3.9 m drum?', [{ location: 'body.catches[0].length_m', message: 'A 3.9 m drum?' }]),
    );
    const onClose = await opened({ kind: 'catch', target: 'drum' });
    type('Length', '390');
    send('Log the catch');
    expect((await screen.findByRole('alert')).textContent).toContain('A 3.9 m drum?');
    send('It was: log it');
    await waitFor(() => expect(onClose).toHaveBeenCalled());
    expect(put.mock.calls[0]![1].catches![0]).not.toHaveProperty('sure');
    expect(put.mock.calls[1]![1].catches![0]).toMatchObject({ length_m: 3.9, sure: true });
  });
  it('shows the tide of the middle of the spell, which is what is kept', async () => {
    await opened({ kind: 'blank', target: 'drum' });
    const said = () => document.querySelector('.entry-where .quiet')!.textContent;
    const before = said();
    type('Fished for', '240');
    await waitFor(() => expect(said()).not.toBe(before));
  });
});

describe('changing a spell', () => {
  const reading = (kind: string, value: number, origin: string) => ({
    kind,
    value,
    origin,
    source: 'the angler',
    time: iso(noon),
    unit: '',
  });
  const old = spell({
    readings: [
      reading('water_temp_c', 11.0371, 'observed'),
      reading('swell_height_m', 0.4, 'observed'),
      reading('wind_speed_ms', 3, 'forecast'),
    ],
  });
  it('leaves alone what is not asked for', async () => {
    await opened({ kind: 'blank', spell: old });
    expect(field('water').value).toBe('11');
    send('Save');
    const s = await sent();
    expect(put.mock.calls[0]![0]).toBe('s1');
    expect(s).toMatchObject({
      spot_id: 'flat',
      revision: 3,
      rods: 2,
      started_at: old.started_at,
      ended_at: old.ended_at,
      note: 'kept as it was',
      readings: [
        { kind: 'water_temp_c', value: 11 },
        { kind: 'swell_height_m', value: 0.4 },
      ],
    });
    expect(s).not.toHaveProperty('catches');
  });
  it('names what was changed elsewhere meanwhile, and goes over it when told to', async () => {
    put.mockRejectedValueOnce(
      new Problem(409, 'changed', [
        { location: 'body.revision', message: '', value: 7 },
        { location: 'body.note', message: '' },
      ]),
    );
    await opened({ kind: 'blank', spell: old });
    send('Save');
    expect((await screen.findByRole('alert')).textContent).toContain(
      'changed elsewhere meanwhile; yours differs in the note.',
    );
    expect(await sent()).toMatchObject({ revision: 3 });
    type('Fished for', '20');
    send('Write mine over it');
    await waitFor(() => expect(closed).toHaveBeenCalled());
    expect(await sent()).toMatchObject({
      revision: 7,
      started_at: iso(Date.parse(old.ended_at) - 20 * minute),
    });
  });
  it('is put back when told to, where it was taken out elsewhere meanwhile', async () => {
    put.mockRejectedValueOnce(new Problem(404, 'There is nothing here by that id.'));
    await opened({ kind: 'blank', spell: old });
    send('Save');
    expect((await screen.findByRole('alert')).textContent).toContain('taken out of the log elsewhere');
    send('Write mine over it');
    await waitFor(() => expect(closed).toHaveBeenCalled());
    expect(await sent()).not.toHaveProperty('revision');
  });
});

import { act, cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { useLayoutEffect } from 'react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { api } from '../api/client';
import { bar, iso, noon, serve, show } from '../testkit/coast';
import { useGiven, useGoing, useMoment, usePlace, type Given, type Going, type Moment } from './moment';
import { saidAt } from './useGivenState';

const minute = 60_000;
let moment: Moment;
let given: Given;
let going: Going;

/** Hands what the page is given to the test. */
function Probe() {
  const now = useMoment();
  const said = useGiven();
  const plan = useGoing();
  useLayoutEffect(() => {
    moment = now;
    given = said;
    going = plan;
  });
  const { spots, spot, choose } = usePlace();
  return (
    <>
      <p data-testid="time">{now.frame?.time}</p>
      <p data-testid="spot">{spot.name}</p>
      <input aria-label="a field" />
      {spots.map((s) => (
        <button key={s.id} onClick={() => choose(s.id)}>
          {s.name}
        </button>
      ))}
    </>
  );
}

const shown = () => screen.getByTestId('time').textContent;
const press = (key: string, on: Element = document.body) => act(() => void fireEvent.keyDown(on, { key }));

beforeEach(() => {
  localStorage.clear();
  serve();
});

async function opened() {
  show(<Probe />);
  await waitFor(() => expect(shown()).toBe(iso(noon)));
}

describe('the moment', () => {
  it('is opened on the present and moves by ten minutes with the keys', async () => {
    await opened();
    press('.');
    press('.');
    expect(shown()).toBe(iso(noon + 20 * minute));
    press(',');
    expect(shown()).toBe(iso(noon + 10 * minute));
  });
  it('moves to the turns of the tide, and never stays on the one it stands on', async () => {
    await opened();
    press('>');
    expect(shown()).toBe(iso(noon + 360 * minute));
    press('>');
    expect(shown()).toBe(iso(noon + 720 * minute));
    press('<');
    press('<');
    expect(shown()).toBe(iso(noon));
  });
  it('leaves keys typed into a field to the field', async () => {
    await opened();
    press('.', screen.getByLabelText('a field'));
    expect(shown()).toBe(iso(noon));
  });
  it('asks for other hours when it leaves those it has, and shows them', async () => {
    await opened();
    act(() => moment.moveTime(new Date(noon + 72 * 60 * minute)));
    await waitFor(() => expect(shown()).toBe(iso(noon + 72 * 60 * minute)));
    expect(vi.mocked(api.ribbon).mock.calls.at(-1)![1]).toBe(iso(noon + 67 * 60 * minute));
    press('.');
    expect(shown()).toBe(iso(noon + (72 * 60 + 10) * minute));
  });
  it('stays on a moment to come through a reload, and on none that has gone by', async () => {
    await opened();
    press('.');
    cleanup();
    show(<Probe />);
    await waitFor(() => expect(shown()).toBe(iso(noon + 10 * minute)));
    press(',');
    press(',');
    cleanup();
    await opened();
  });
  it('goes on past the edge of the ribbon', async () => {
    await opened();
    act(() => moment.moveTo(moment.ribbon!.frames.length - 1));
    const edge = Date.parse(shown()!);
    press('.');
    await waitFor(() => expect(Date.parse(shown()!)).toBeGreaterThan(edge));
  });
  it('says why there is none', async () => {
    vi.mocked(api.ribbon).mockRejectedValue(new Error('The server cannot be reached.'));
    show(<Probe />);
    await waitFor(() => expect(moment.error).toBe('The server cannot be reached.'));
    expect(shown()).toBe('');
  });
});

describe('the place', () => {
  it('is remembered, and one that is gone is not', async () => {
    await opened();
    fireEvent.click(screen.getByRole('button', { name: 'Mud Flat' }));
    expect(screen.getByTestId('spot').textContent).toBe('Mud Flat');
    cleanup();
    await opened();
    expect(screen.getByTestId('spot').textContent).toBe('Mud Flat');
    cleanup();
    localStorage.setItem('greypebble.spot', 'gone');
    await opened();
    expect(screen.getByTestId('spot').textContent).toBe(bar.name);
  });
});

describe('what the angler says', () => {
  it('is on screen at once, belongs to its spot and is asked after with the advice', async () => {
    await opened();
    act(() => given.override('water_temp_c', 12));
    expect(given.readings).toEqual([{ kind: 'water_temp_c', value: 12 }]);
    expect(given.overrides.water_temp_c).toEqual({ value: 12, time: iso(noon), spotId: 'bar' });
    fireEvent.click(screen.getByRole('button', { name: 'Mud Flat' }));
    expect(given.readings).toEqual([]);
    act(() => given.override('water_temp_c', null));
    expect(given.overrides).toEqual({});
  });
  it('goes to the server for the water, after which the server says it', async () => {
    await opened();
    const add = vi.spyOn(api, 'addReadings').mockResolvedValue(undefined as never);
    act(() => given.override('water_temp_c', 12));
    await act(() =>
      given.say([
        { kind: 'water_temp_c', value: 12 },
        { kind: 'clarity_secchi_m', word: 'muddy' },
      ]),
    );
    expect(add).toHaveBeenCalledWith('water of bar', {
      time: iso(noon),
      spot_id: 'bar',
      readings: [
        { kind: 'water_temp_c', value: 12 },
        { kind: 'clarity_secchi_m', word: 'muddy' },
      ],
    });
    expect(given.readings).toEqual([]);
  });
  it('stays on screen when the server does not have it', async () => {
    await opened();
    vi.spyOn(api, 'addReadings').mockRejectedValue(new Error('no signal'));
    act(() => given.override('water_temp_c', 12));
    await act(() => expect(given.say([{ kind: 'water_temp_c', value: 12 }])).rejects.toThrow('no signal'));
    expect(given.readings).toEqual([{ kind: 'water_temp_c', value: 12 }]);
  });
  it('is said now where the nearest frame shows now, and never of a time to come', () => {
    expect(saidAt(noon + 4 * minute, noon).getTime()).toBe(noon);
    expect(saidAt(noon - 4 * minute, noon).getTime()).toBe(noon - 4 * minute);
    expect(saidAt(noon + 60 * minute, noon).getTime()).toBe(noon + 60 * minute);
    expect(saidAt(noon - 60 * minute, noon).getTime()).toBe(noon - 60 * minute);
  });
});

describe('how one goes', () => {
  it('is remembered, and asked with', async () => {
    await opened();
    expect(going.plan).toEqual({ margin: 20, daylight: false, night: false });
    act(() => going.setPlan({ margin: 60, daylight: true, night: false }));
    await waitFor(() =>
      expect(vi.mocked(api.visits).mock.calls.at(-1)![1]).toMatchObject({ margin_min: 60, daylight: true }),
    );
    cleanup();
    await opened();
    expect(going.plan).toEqual({ margin: 60, daylight: true, night: false });
  });
  it('begins anew where what was remembered is broken', async () => {
    localStorage.setItem('greypebble.plan', '{');
    await opened();
    expect(going.plan.margin).toBe(20);
  });
});

import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { ChartSpot } from '../api/client';
import type { Reach } from './SpotFilter';
import { SpotList } from './SpotList';

const spot = (id: string, more: Partial<ChartSpot>) =>
  ({
    id,
    name: `Spot ${id}`,
    place: 'pier',
    manner: 'kayak',
    manners: [],
    time_zone: 'Etc/UTC',
    open: false,
    surface: { word: 'ripple' },
    warnings: [],
    ...more,
  }) as unknown as ChartSpot;

const list = (spots: ChartSpot[], reaches?: Map<string, Reach>, choose = vi.fn()) => {
  render(
    <SpotList
      spots={spots}
      shown={new Set(spots.map((s) => s.id))}
      reaches={reaches}
      chosen=""
      onChoose={choose}
    />,
  );
  return screen.getAllByRole('button').map((b) => b.textContent);
};

describe('the list beside the map', () => {
  it('has what is open first, then what is nearest, then the alphabet', () => {
    const reach = (id: string, minutes?: number): [string, Reach] => [
      id,
      { spot_id: id, minutes, manner: 'kayak', bee_line: id === 'b' },
    ];
    const said = list(
      [spot('a', {}), spot('b', { open: true }), spot('c', { open: true }), spot('d', { open: true })],
      new Map([reach('b', 90), reach('c', 20), reach('d')]),
    );
    expect(said.map((s) => s!.slice(0, 6))).toEqual(['Spot c', 'Spot b', 'Spot d', 'Spot a']);
    expect(said[0]).toContain('20 min paddle');
    expect(said[1]).toContain('1 h 30 paddle, guessed from the bee line');
    expect(said[2]).not.toContain('paddle');
  });
  it('says until when, or from when', () => {
    const said = list([
      spot('a', { open: true, closes: '2026-11-20T14:05:00Z' }),
      spot('b', { opens: '2026-11-20T18:30:00Z' }),
      spot('c', {}),
      spot('d', { open: true }),
    ]);
    expect(said.join(' ')).toMatch(/Spot auntil 14:05.*Spot dopen.*Spot bfrom 18:30.*Spot cshut/);
  });
  it('carries the rule of a zone with its spot, and is chosen by a touch', () => {
    const choose = vi.fn();
    const said = list([spot('a', { warnings: ['No take. Ask your authority.'] })], undefined, choose);
    expect(said[0]).toContain('No take. Ask your authority.');
    fireEvent.click(screen.getByRole('button'));
    expect(choose).toHaveBeenCalledWith('a');
  });
  it('says what to do when there is nothing', () => {
    render(<SpotList spots={[]} shown={new Set()} chosen="" onChoose={vi.fn()} />);
    expect(screen.getByText(/No spots yet/)).toBeTruthy();
    cleanup();
    render(<SpotList spots={[spot('a', {})]} shown={new Set()} chosen="" onChoose={vi.fn()} />);
    expect(screen.getByText(/Move the ribbon, or ask for less/)).toBeTruthy();
  });
});

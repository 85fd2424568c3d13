import { fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Advice, Drawing, Reason, School, Target } from '../api/client';
import { Positions } from './Positions';
import { MemoryRouter } from 'react-router';
import { Reasons } from './Reasons';
import { Seen } from './Seen';
import { Sketch } from './Sketch';
import { Targets } from './Targets';
import { Thresholds } from './Thresholds';

const fish = (id: string, ...lives: string[]): Target => ({
  id,
  name: id,
  name_in_sentence: id,
  latin: id,
  note: '',
  lives,
  known: true,
});
const asking = { targets: ['drum'], several: false, kitOnly: false, belief: 'log' as const, schools: {} };

describe('targets', () => {
  const all = [fish('drum', 'pier'), fish('trout', 'pier'), fish('bream', 'reef')];
  it('stand as buttons where they live, and one takes the place of another', () => {
    const change = vi.fn();
    render(<Targets all={all} place="pier" asking={asking} onChange={change} />);
    expect(screen.queryByRole('button', { name: 'bream' })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'trout' }));
    expect(change).toHaveBeenCalledWith({ targets: ['trout'] });
  });
  it('add up where several are asked for, and one always stays', () => {
    const change = vi.fn();
    render(<Targets all={all} place="pier" asking={{ ...asking, several: true }} onChange={change} />);
    fireEvent.click(screen.getByRole('button', { name: 'drum' }));
    expect(change).not.toHaveBeenCalled();
    fireEvent.click(screen.getByRole('button', { name: 'trout' }));
    expect(change).toHaveBeenCalledWith({ targets: ['drum', 'trout'] });
    fireEvent.click(screen.getByRole('button', { name: 'one only' }));
    expect(change).toHaveBeenLastCalledWith({ several: false, targets: ['drum'] });
  });
  it('keep one from elsewhere in sight while it is chosen', () => {
    render(<Targets all={all} place="pier" asking={{ ...asking, targets: ['bream'] }} onChange={vi.fn()} />);
    expect(screen.getByRole('button', { name: 'bream' }).getAttribute('aria-pressed')).toBe('true');
  });
});

describe('what is seen', () => {
  it('is told and taken back', () => {
    const change = vi.fn();
    const levels = vi.fn();
    render(
      <Seen signs={['birds', 'boats']} seen={['boats']} onChange={change} levels={[10]} onLevels={levels} />,
    );
    expect(screen.getByText('boats, fish at 10 m', { selector: 'summary' })).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'birds', hidden: true }));
    expect(change).toHaveBeenCalledWith(['boats', 'birds']);
    fireEvent.click(screen.getByRole('button', { name: 'boats', hidden: true }));
    expect(change).toHaveBeenLastCalledWith([]);
  });
});

describe('positions', () => {
  const school: School = {
    id: 'Q6',
    says: 'On a pier:',
    default: 'beneath',
    why: 'Food is there.',
    chosen: 'far',
    positions: [
      { id: 'beneath', says: 'beneath your feet', reason: 'r1', effect: 'The pilings gain.' },
      { id: 'far', says: 'as far as you can', reason: 'r2', effect: 'Marks away from them gain.' },
    ],
  };
  it('say what the one taken does, what both sides say, and why the usual is usual', () => {
    render(<Positions schools={[school]} taken={(s) => s.chosen} onTake={vi.fn()} />);
    expect(screen.getByText('Marks away from them gain.')).toBeTruthy();
    for (const reason of ['r1', 'r2']) expect(screen.getByText(new RegExp(reason))).toBeTruthy();
    expect(screen.getByText(/Usual here: beneath your feet. Food is there./)).toBeTruthy();
  });
});

describe('reasons', () => {
  const reason = (rule: string, factor: number, effect = 'clear plus'): Reason => ({
    part: 'there',
    ordinary: 0,
    rules: [],
    rule,
    says: rule,
    factor,
    applies: 1,
    family: rule,
    effect,
    certainty: '',
    origin: '',
    idea: '',
    school: '',
  });
  it('fold the small ones into their product, and unfold', () => {
    const list = [...Array.from({ length: 8 }, (_, i) => reason(`r${i}`, 1.1)), reason('rest', 0.5, '')];
    render(<Reasons reasons={list} />, { wrapper: MemoryRouter });
    expect(screen.queryByText('r7')).toBeNull();
    fireEvent.click(screen.getByText('2 smaller reasons'));
    expect(screen.getByText('r7')).toBeTruthy();
    expect(screen.getAllByRole('img', { name: 'against' })).toHaveLength(1);
  });
});

describe('what would change it', () => {
  it('is told nearest first, with what cannot work', () => {
    const turn = (kind: string, says: string) => ({
      kind,
      says,
      past: 1,
      rises: true,
      offering: '',
      mark: '',
      spreads: 1,
    });
    const advice = {
      what_would_change: [turn('a', 'If it clears.'), turn('b', 'In 40 min.')],
      ruled_out: [{ offering: 'Plug', why: 'it would plough the bottom' }],
    } as unknown as Advice;
    const { container } = render(<Thresholds advice={advice} />);
    expect([...container.querySelectorAll('li')].map((l) => l.textContent)).toEqual([
      'If it clears.',
      'In 40 min.',
      'Plug: it would plough the bottom.',
    ]);
    expect(screen.getByText(/1 thing cannot work here/)).toBeTruthy();
  });
  it('is nothing where there is nothing', () => {
    const { container } = render(
      <Thresholds advice={{ what_would_change: [], ruled_out: [] } as unknown as Advice} />,
    );
    expect(container.innerHTML).toBe('');
  });
});

describe('a drawing', () => {
  it('draws every stroke in its ink and every word where it stands', () => {
    const d: Drawing = {
      says: '',
      width: 100,
      height: 50,
      strokes: [
        { ink: 'line', path: 'M0 0L1 1', filled: false },
        { ink: 'metal', path: 'M0 0Z', filled: true },
      ],
      labels: [{ x: 3, y: 4, text: '50 cm', anchor: 'end', small: true }],
    };
    const { container } = render(<Sketch drawing={d} label="a rig" />);
    expect(screen.getByRole('img', { name: 'a rig' })).toBeTruthy();
    expect([...container.querySelectorAll('path')].map((p) => p.getAttribute('class'))).toEqual([
      'ink-line',
      'ink-metal filled',
    ]);
    expect(container.querySelector('text')?.getAttribute('text-anchor')).toBe('end');
  });
});

import { fireEvent, screen, waitFor } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import { api } from '../api/client';
import { serve, show } from '../testkit/coast';
import { SetAside } from './SetAside';

beforeEach(serve);

it('says what the playbook no longer knows, and takes out those that nobody called back', async () => {
  const calls = {
    rule: vi.spyOn(api, 'deleteOwnRule').mockResolvedValue(undefined as never),
    target: vi.spyOn(api, 'deleteTarget').mockResolvedValue(undefined as never),
    school: vi.spyOn(api, 'putSchool').mockResolvedValue(undefined as never),
  };
  const why = 'unknown target "gone"';
  show(
    <SetAside
      list={[
        { kind: 'rule', id: 'mine', why },
        { kind: 'target', id: 'old', why },
        { kind: 'school', id: 'Q6', why },
      ]}
    />,
  );
  await screen.findByText(/Your rule mine: unknown target "gone"/);
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
  for (const b of screen.getAllByRole('button', { name: 'Take it out' })) fireEvent.click(b);
  expect(screen.queryByText(/Your target old:/)).toBeNull();
  await vi.advanceTimersByTimeAsync(100);
  fireEvent.click(screen.getAllByRole('button', { name: 'Undo' })[1]!);
  expect(screen.getByText(/Your target old:/)).toBeTruthy();
  expect(calls.rule).not.toHaveBeenCalled();
  await vi.advanceTimersByTimeAsync(10_000);
  vi.useRealTimers();
  await waitFor(() => expect(calls.rule).toHaveBeenCalledWith('mine'));
  expect(calls.school).toHaveBeenCalledWith('Q6', '');
  expect(calls.target).not.toHaveBeenCalled();
});

it('is nothing where all fits', async () => {
  show(
    <>
      <p>here</p>
      <SetAside list={[]} />
    </>,
  );
  await screen.findByText('here');
  expect(screen.queryByRole('status')).toBeNull();
});

import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { api } from '../api/client';
import { serve, show } from '../testkit/coast';
import { SetAside } from './SetAside';

beforeEach(serve);
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

it('says what the playbook no longer knows, and takes out the one that is touched', async () => {
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
  for (const b of screen.getAllByRole('button')) fireEvent.click(b);
  await waitFor(() => expect(calls.rule).toHaveBeenCalledWith('mine'));
  expect(calls.target).toHaveBeenCalledWith('old');
  expect(calls.school).toHaveBeenCalledWith('Q6', '');
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

import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { Suspense } from 'react';
import { Link, MemoryRouter, Outlet, Route, Routes } from 'react-router';
import { beforeEach, expect, it, vi } from 'vitest';
import { settled } from '../testkit/settled';
import { MishapsSaid } from './Mishap';
import { page } from './page';

/** What the server tells of a plan; an older program's has no legs. */
let answer: unknown;
function Plan() {
  const { data } = useQuery({ queryKey: ['plan'], queryFn: () => answer, staleTime: Infinity });
  return data ? <p>{(data as { legs: string[] }).legs.join(', ')}</p> : null;
}
let kept = false;
const Unkept = page(async () => {
  await Promise.resolve();
  if (!kept) throw new TypeError('no such file');
  return { default: () => <p>fetched</p> };
});

function program() {
  return (
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter initialEntries={['/plan']}>
        <Routes>
          <Route
            element={
              <>
                <Link to="/other">other</Link>
                <Link to="/unkept">unkept</Link>
                <MishapsSaid>
                  <Suspense>
                    <Outlet />
                  </Suspense>
                </MishapsSaid>
              </>
            }
          >
            <Route path="/plan" element={<Plan />} />
            <Route path="/other" element={<p>another page</p>} />
            <Route path="/unkept" element={<Unkept />} />
          </Route>
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>
  );
}
const press = async (name: string) => {
  fireEvent.click(screen.getByText(name));
  await act(settled);
};

// React tells of each on the console, too.
beforeEach(() => void vi.spyOn(console, 'error').mockImplementation(() => undefined));

it('says what cannot be drawn in its place, asks for it anew, and draws another page', async () => {
  answer = {};
  render(program());
  expect((await screen.findByRole('alert')).textContent).toMatch(/could not be drawn.*is kept.*undefined/s);
  await press('Try again');
  expect(screen.getByRole('alert')).toBeTruthy();
  answer = { legs: ['Kettle Bar', 'Long Strand'] };
  await press('Try again');
  expect(screen.getByText('Kettle Bar, Long Strand')).toBeTruthy();
  expect(screen.queryByRole('alert')).toBeNull();
  cleanup();

  answer = {};
  render(program());
  await screen.findByRole('alert');
  await press('other');
  expect(screen.getByText('another page')).toBeTruthy();
});

it('fetches a page again that could not be had', async () => {
  render(program());
  await press('unkept');
  expect(screen.getByRole('alert').textContent).toMatch(/could not be fetched/);
  kept = true;
  await press('Try again');
  expect(screen.getByText('fetched')).toBeTruthy();
});

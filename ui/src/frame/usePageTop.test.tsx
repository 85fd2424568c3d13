import { act, render, screen } from '@testing-library/react';
import { MemoryRouter, Route, Routes, useNavigate } from 'react-router';
import { expect, it } from 'vitest';
import { usePageTop } from './usePageTop';

function Pages() {
  const go = useNavigate();
  return (
    <main {...usePageTop<HTMLElement>()}>
      <button onClick={() => void go('/b')}>b</button>
      <button onClick={() => void go('/b?asked=more')}>more</button>
      <button onClick={() => void go(-1)}>back</button>
    </main>
  );
}

it('a page begins at its top, a filter moves nothing, and one gone back to is where it was left', async () => {
  render(
    <MemoryRouter initialEntries={['/a']}>
      <Routes>
        <Route path="*" element={<Pages />} />
      </Routes>
    </MemoryRouter>,
  );
  const main = screen.getByRole('main');
  const scroll = (top: number) => {
    main.scrollTop = top;
    main.dispatchEvent(new Event('scroll', { bubbles: true }));
  };
  const press = (name: string) =>
    act(async () => {
      screen.getByText(name).click();
      await Promise.resolve();
    });
  scroll(120);
  await press('b');
  expect(main.scrollTop).toBe(0);
  scroll(70);
  await press('more');
  expect(main.scrollTop).toBe(70);
  await press('back');
  expect(main.scrollTop).toBe(70);
  await press('back');
  expect(main.scrollTop).toBe(120);
});

import { render, screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import { place, Whisker } from './Whisker';

it('lays edges on a logarithmic scale that ends at a quarter and at four', () => {
  expect(place(0.25)).toBe(0);
  expect(place(1)).toBe(0.5);
  expect(place(2)).toBe(0.75);
  expect(place(9)).toBe(1);
});

it('says the edge and its interval, and points where it runs on', () => {
  const { container } = render(<Whisker edge={1.9} low={0.8} high={5} />);
  expect(screen.getByRole('img').getAttribute('aria-label')).toContain('×1.9, 80 % between ×0.8 and ×5.0');
  expect(container.querySelectorAll('.beyond')).toHaveLength(1);
});

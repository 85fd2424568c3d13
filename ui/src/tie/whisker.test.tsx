import { render, screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import { place, Whisker } from './Whisker';

it('lays edges on a logarithmic scale that ends at an eighth and at eight', () => {
  expect(place(1 / 8)).toBe(0);
  expect(place(1)).toBe(0.5);
  expect(place(2)).toBeCloseTo(0.5 + 1 / 6);
  expect(place(9)).toBe(1);
});

it('says the edge and its interval, and points where it runs on', () => {
  const { container } = render(<Whisker edge={1.9} low={0.8} high={9} />);
  expect(screen.getByRole('img').getAttribute('aria-label')).toContain('×1.9, 80 % between ×0.8 and ×9.0');
  expect(container.querySelectorAll('.beyond')).toHaveLength(1);
});

// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useEffect, useState } from 'react';
import { afterEach, describe, expect, it } from 'vitest';
import { NumberIn, type NumberFieldProps } from './NumberField';
import { metricSettings, speak, systemOf } from './spoken';

afterEach(() => speak(metricSettings));

const kept: { v?: number | undefined } = {};
function Form(p: NumberFieldProps & { first?: number }) {
  const { first, ...rest } = p;
  const [v, setV] = useState(first);
  useEffect(() => {
    kept.v = v;
  }, [v]);
  return <NumberIn label="How much" value={v} onChange={setV} {...rest} />;
}
const field = () => screen.getByRole<HTMLInputElement>('textbox', { name: /How much/ });
const type = (text: string) => {
  fireEvent.focus(field());
  fireEvent.change(field(), { target: { value: text } });
  fireEvent.blur(field());
};

describe('the number field', () => {
  it('understands units, whatever is set', () => {
    render(<Form measure="depth" />);
    type('3 ft 6');
    expect(kept.v).toBeCloseTo(1.0668, 9);
    expect(field().value).toBe('1.07');
    type('1.2m');
    expect(kept.v).toBe(1.2);
  });
  it('shows the person’s unit and reads bare numbers in it', () => {
    speak({ ...metricSettings, units: systemOf('us') });
    render(<Form measure="weight" first={0.00709} />);
    expect(field().value).toBe('1/4');
    type('1/2');
    expect(kept.v).toBeCloseTo(0.01417, 5);
    type('10 g');
    expect(kept.v).toBeCloseTo(0.01, 9);
  });
  it('reads pounds of line as newtons', () => {
    render(<Form measure="line" />);
    type('20 lb');
    expect(kept.v).toBeCloseTo(88.96, 2);
  });
  it('keeps what cannot be read and says why', () => {
    render(<Form measure="depth" first={1} max={4} />);
    type('deep');
    expect(field().value).toBe('deep');
    expect(screen.getByRole('alert').textContent).toContain('something like 1.2 m or 3 ft 6');
    expect(kept.v).toBe(1);
    type('5');
    expect(screen.getByRole('alert').textContent).toBe('At most 4 m.');
    type('2');
    expect(screen.queryByRole('alert')).toBeNull();
    expect(kept.v).toBe(2);
  });
  it('steps in the unit it shows', () => {
    speak({ ...metricSettings, units: systemOf('us') });
    render(<Form measure="depth" first={0.3048} />);
    fireEvent.keyDown(field(), { key: 'ArrowUp' });
    expect(kept.v).toBeCloseTo(1.5 * 0.3048, 9);
    fireEvent.keyDown(field(), { key: 'ArrowDown' });
    fireEvent.keyDown(field(), { key: 'ArrowDown' });
    expect(kept.v).toBeCloseTo(0.5 * 0.3048, 9);
  });
  it('changes nothing of a value that is only looked at', () => {
    render(<Form measure="depth" first={1.23456} />);
    fireEvent.focus(field());
    fireEvent.blur(field());
    expect(kept.v).toBe(1.23456);
  });
  it('takes minutes as hours too, and plain counts', () => {
    render(<Form unit="min" />);
    type('1 h 30');
    expect(kept.v).toBe(90);
    cleanup();
    render(<Form />);
    type('12');
    expect(kept.v).toBe(12);
    type('a dozen');
    expect(screen.getByRole('alert').textContent).toBe('Expected a number.');
    type('');
    expect(kept.v).toBeUndefined();
  });
});

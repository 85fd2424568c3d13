import { Input, type GetRef } from 'antd';
import { useEffect, useId, useImperativeHandle, useRef, useState, type KeyboardEvent, type Ref } from 'react';
import { fixed, fromSI, number, toSI, way, type Measure, type Way } from './spoken';
import { typed, Unreadable } from './typed';
import units from './units.json';
import './numberfield.css';
import { format as say } from '../words/format';

export interface NumberFieldProps {
  /** In SI (in the unit given, for what is no measure); undefined for nothing entered. */
  value?: number | undefined;
  onChange?: (si: number | undefined) => void;
  /** What is measured, in the person's unit. */
  measure?: Measure | undefined;
  /** The unit of what is no measure one chooses a unit for: "min", "°". */
  unit?: string | undefined;
  /** How many of the value's units one of the shown ones is. */
  si?: number | undefined;
  decimals?: number | undefined;
  /** Of the arrow keys, in the shown unit. */
  step?: number | undefined;
  /** Bounds, in the value's unit. */
  min?: number | undefined;
  max?: number | undefined;
  id?: string;
  placeholder?: string;
  autoFocus?: boolean;
  'aria-label'?: string;
  'aria-describedby'?: string;
  ref?: Ref<NumberFieldHandle>;
}

export interface NumberFieldHandle {
  focus: () => void;
}

const known: Record<string, { dimension: string; scale: number; offset: number }> = units.units;

/** How a field that asks for no measure writes its numbers. */
const plain = (p: NumberFieldProps): Way => ({
  unit: p.unit ?? '',
  scale: p.si ?? 1,
  offset: 0,
  decimals: -1,
  step: 1,
  fractions: false,
});

/**
 * The one field for numbers. It shows them in the person's unit and understands whatever unit is typed:
 * "3 ft 6", "1/2 oz", "54F". What cannot be read, or is out of bounds, is said beneath it, and stays there
 * to be mended.
 */
export function NumberField({ ref, ...p }: NumberFieldProps) {
  const { value, onChange, measure, min, max } = p;
  const w = measure ? way(measure) : plain(p);
  const write = (v: number | undefined) => {
    if (v === undefined || Number.isNaN(v)) return '';
    if (!measure) return fixedOrShort(v / w.scale, p.decimals);
    const shown = number(measure, v, p.decimals);
    // A value finer than the unit is shown in is not rounded away under the fingers.
    return w.fractions ? shown : trimmed(shown);
  };
  const [text, setText] = useState<string>();
  const [wrong, setWrong] = useState('');
  const field = useRef<GetRef<typeof Input>>(null);
  const says = useId();
  useImperativeHandle(ref, () => ({ focus: () => field.current?.focus({ cursor: 'all' }) }), []);
  useEffect(() => {
    if (p.autoFocus) field.current?.focus({ cursor: 'all' });
  }, [p.autoFocus]);

  const read = (s: string): number | undefined => {
    if (s.trim() === '') return undefined;
    const v = measure
      ? typed(dimensionOf(measure), s, w.unit) * (w.scale / known[w.unit]!.scale)
      : typedPlain(s, w);
    const bound = v < (min ?? -Infinity) ? min : v > (max ?? Infinity) ? max : undefined;
    if (bound !== undefined)
      throw new Unreadable(
        `${bound === min ? say.atLeast : say.atMost} ${write(bound)}${w.unit ? ` ${w.unit}` : ''}.`,
      );
    return v;
  };
  const take = (s: string, said: boolean) => {
    try {
      const v = read(s);
      setWrong('');
      if (v !== value) onChange?.(v);
      return true;
    } catch (e) {
      if (!(e instanceof Unreadable)) throw e;
      if (said) setWrong(e.message);
      return false;
    }
  };
  const nudge = (by: number) => {
    const from = value === undefined ? 0 : fromSI(w, value);
    const step = p.step ?? w.step;
    const to = Math.round(from / step + by) * step;
    const si = Math.min(max ?? Infinity, Math.max(min ?? -Infinity, toSI(w, to)));
    setText(undefined);
    setWrong('');
    onChange?.(si);
  };
  const onKey = (e: KeyboardEvent) => {
    if (e.key === 'ArrowUp' || e.key === 'ArrowDown') {
      e.preventDefault();
      nudge(e.key === 'ArrowUp' ? 1 : -1);
    } else if (e.key === 'Enter' && text !== undefined && take(text, true)) setText(undefined);
  };
  return (
    <span className="number-field">
      <Input
        ref={field}
        id={p.id}
        value={text ?? write(value)}
        suffix={w.unit === 'deg' ? '°' : w.unit}
        placeholder={p.placeholder}
        inputMode={!measure || w.scale === 1 || w.unit === 'cm' ? 'decimal' : 'text'}
        autoComplete="off"
        status={wrong ? 'error' : ''}
        aria-label={p['aria-label']}
        aria-invalid={wrong !== ''}
        aria-describedby={wrong ? says : p['aria-describedby']}
        onFocus={(e) => e.target.select()}
        onChange={(e) => {
          setText(e.target.value);
          take(e.target.value, false);
        }}
        onBlur={() => {
          if (text !== undefined && take(text, true)) setText(undefined);
        }}
        onKeyDown={onKey}
      />
      {wrong && (
        <span className="number-field-wrong" id={says} role="alert">
          {wrong}
        </span>
      )}
    </span>
  );
}

/** The field with its label. */
export function NumberIn({ label, ...p }: NumberFieldProps & { label: string }) {
  return (
    <label>
      {label}
      <NumberField {...p} />
    </label>
  );
}

const dimensionOf = (m: Measure) =>
  m === 'rise'
    ? 'rate of rise'
    : m === 'warming'
      ? 'temperature'
      : m in units.measures
        ? units.measures[m as keyof typeof units.measures].dimension
        : 'length';

/** A number without a measure: "45", "1 h 30" where minutes are asked for. */
function typedPlain(s: string, w: Way): number {
  const u = known[w.unit];
  if (u) return (typed(u.dimension, s, w.unit) / u.scale) * w.scale;
  const x = Number(s.trim().replace('−', '-').replace(',', '.'));
  if (!Number.isFinite(x)) throw new Unreadable(say.expectedANumber(w.unit ? `, ${w.unit}` : ''));
  return x * w.scale;
}

const fixedOrShort = (x: number, decimals?: number) =>
  decimals === undefined ? String(Number(x.toPrecision(6))).replace('-', '−') : fixed(x, decimals);

/** "3.0" as "3". */
const trimmed = (s: string) => (s.includes('.') ? s.replace(/\.?0+$/, '') : s);

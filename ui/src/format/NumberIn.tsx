import { InputNumber } from 'antd';

/** A number asked for in a shown unit and kept in SI; nothing entered is nothing said. */
export function NumberIn(props: {
  label: string;
  value: number | undefined;
  onChange: (si: number | undefined) => void;
  unit?: string;
  /** How many SI units one of the shown units is. */
  si?: number;
  step?: number;
  min?: number;
  max?: number;
}) {
  const { label, value, onChange, unit, si = 1, step, min = 0, max } = props;
  return (
    <label>
      {label}
      <InputNumber<number>
        value={value === undefined ? null : Number((value / si).toPrecision(6))}
        step={step}
        min={min}
        max={max}
        suffix={unit}
        onChange={(v) => onChange(v === null ? undefined : v * si)}
      />
    </label>
  );
}

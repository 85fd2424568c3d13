import { NumberField } from '../format/NumberField';
import type { Measure } from '../format/spoken';
import type { Offsets, OffsetsTyped } from './offsets';
import { tides as say } from '../words/tides';

const fields: { key: keyof Offsets; label: string; unit?: string; measure?: Measure; step?: number }[] = [
  { key: 'lag_high_min', label: say.highWaterLaterBy, unit: 'min' },
  { key: 'lag_low_min', label: say.lowWaterLaterBy, unit: 'min' },
  { key: 'factor_high', label: say.highWaterTimes, unit: '×', step: 0.05 },
  { key: 'factor_low', label: say.lowWaterTimes, unit: '×', step: 0.05 },
  { key: 'difference_high_m', label: say.highWaterPlus, measure: 'depth' },
  { key: 'difference_low_m', label: say.lowWaterPlus, measure: 'depth' },
];

/** Lag, factor and difference at high and at low water. */
export function OffsetFields(props: { value: OffsetsTyped; onChange: (o: OffsetsTyped) => void }) {
  const { value, onChange } = props;
  return (
    <div className="offsets">
      {fields.map(({ key, label, ...f }) => (
        <label key={key}>
          <span>{label}</span>
          <NumberField value={value[key]} onChange={(v) => onChange({ ...value, [key]: v })} {...f} />
        </label>
      ))}
    </div>
  );
}

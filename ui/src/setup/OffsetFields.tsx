import { Input } from 'antd';
import type { OffsetText } from './offsets';

const fields: { key: keyof OffsetText; label: string; unit: string }[] = [
  { key: 'lagHigh', label: 'High water later by', unit: 'min' },
  { key: 'lagLow', label: 'Low water later by', unit: 'min' },
  { key: 'factorHigh', label: 'High water times', unit: '×' },
  { key: 'factorLow', label: 'Low water times', unit: '×' },
  { key: 'differenceHigh', label: 'High water plus', unit: 'm' },
  { key: 'differenceLow', label: 'Low water plus', unit: 'm' },
];

/** Lag, factor and difference at high and at low water. */
export function OffsetFields({ text, onChange }: { text: OffsetText; onChange: (t: OffsetText) => void }) {
  return (
    <div className="offsets">
      {fields.map((f) => (
        <label key={f.key}>
          <span>{f.label}</span>
          <Input
            value={text[f.key]}
            inputMode="decimal"
            suffix={f.unit}
            onChange={(e) => onChange({ ...text, [f.key]: e.target.value })}
          />
        </label>
      ))}
    </div>
  );
}

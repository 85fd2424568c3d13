import { Select, Segmented } from 'antd';
import { useState } from 'react';
import type { SpotBody, Template } from '../api/client';
import { NumberIn } from '../format/NumberField';

type Value = Pick<SpotBody, 'manner' | 'in' | 'out'>;
type Manner = SpotBody['manner'];

/** A way no depth stands in. */
export const clear = { name: '', elevation_m: 0, clear: true };

const manners: { value: Manner; label: string }[] = [
  { value: 'on foot', label: 'On foot, dry' },
  { value: 'wading', label: 'Wading' },
  { value: 'kayak', label: 'By kayak' },
  { value: 'boat', label: 'By boat' },
];

const inTheWay: Record<Manner, string> = {
  'on foot': 'The tide floods it',
  wading: 'A gut to wade',
  kayak: 'A sill that dries',
  boat: 'A sill that dries',
};

/** How one gets there and back, and whether a depth stands in the way. */
export function Ways(props: { template: Template; value: Value | undefined; onChange: (v: Value) => void }) {
  const { template: t, onChange } = props;
  const value = props.value ?? { manner: t.manner, in: clear, out: clear };
  const [deep, setDeep] = useState<number>();
  const shut = !value.in.clear;
  const set = (manner: Manner, low: number | undefined, on: boolean) => {
    const way = on
      ? {
          name: inTheWay[manner].replace(/^(A|The) /, 'the ').replace(' floods it', ''),
          elevation_m: t.low_m - (low ?? 0),
        }
      : clear;
    onChange({ manner, in: way, out: way });
  };
  return (
    <div className="form begin-ways">
      <label>
        You go
        <Select
          aria-label="You go"
          value={value.manner}
          options={manners}
          onChange={(m: Manner) => set(m, deep, shut)}
        />
      </label>
      <div>
        <Segmented
          aria-label="On the way"
          value={shut ? 'shut' : 'clear'}
          options={[
            { value: 'clear', label: 'No depth in the way' },
            { value: 'shut', label: inTheWay[value.manner] },
          ]}
          onChange={(v) => set(value.manner, deep, v === 'shut')}
        />
      </div>
      {shut && (
        <NumberIn
          label="How deep is it there at low water? (dry: minus how far it stands out)"
          measure="depth"
          value={deep}
          min={-20}
          max={20}
          onChange={(v) => {
            setDeep(v);
            set(value.manner, v, true);
          }}
        />
      )}
      <p className="quiet small">
        The way back may shut before the way in: that is how one is cut off. It can be told apart later, in
        the spot’s own page.
      </p>
      {t.hazards && <p className="caution small">{t.hazards}</p>}
    </div>
  );
}

import { Select, Segmented } from 'antd';
import { useState } from 'react';
import type { SpotBody, Template } from '../api/client';
import { NumberIn } from '../format/NumberField';
import { begin as say } from '../words/begin';

type Value = Pick<SpotBody, 'manner' | 'in' | 'out'>;
type Manner = SpotBody['manner'];

/** A way no depth stands in. */
export const clear = { name: '', elevation_m: 0, clear: true };

const manners: { value: Manner; label: string }[] = [
  { value: 'on foot', label: say.onFootDry },
  { value: 'wading', label: say.wading },
  { value: 'kayak', label: say.byKayak },
  { value: 'boat', label: say.byBoat },
];

/** What stands in the way, as a question puts it and as the spot keeps it. */
const inTheWay: Record<Manner, { asked: string; name: string }> = {
  'on foot': { asked: say.theTideFloodsIt, name: say.theTideItself },
  wading: { asked: say.aGutToWade, name: say.aGut },
  kayak: { asked: say.aSillThatDries, name: say.aSill },
  boat: { asked: say.aSillThatDries, name: say.aSill },
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
          name: inTheWay[manner].name,
          elevation_m: t.low_m - (low ?? 0),
        }
      : clear;
    onChange({ manner, in: way, out: way });
  };
  return (
    <div className="form begin-ways">
      <label>
        {say.youGo}
        <Select
          aria-label={say.youGo}
          value={value.manner}
          options={manners}
          onChange={(m: Manner) => set(m, deep, shut)}
        />
      </label>
      <div>
        <Segmented
          aria-label={say.onTheWay}
          value={shut ? 'shut' : 'clear'}
          options={[
            { value: 'clear', label: say.noDepthInTheWay },
            { value: 'shut', label: inTheWay[value.manner].asked },
          ]}
          onChange={(v) => set(value.manner, deep, v === 'shut')}
        />
      </div>
      {shut && (
        <NumberIn
          label={say.howDeepIsItThere}
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
      <p className="quiet small">{say.theWayBackMayShut}</p>
      {t.hazards && <p className="caution small">{t.hazards}</p>}
    </div>
  );
}

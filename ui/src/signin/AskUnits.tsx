import { useMutation } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { api } from '../api/client';
import { useInvalidate } from '../api/keys';
import { systemOf } from '../format/spoken';
import { useTitle } from '../frame/useTitle';
import { Toggle } from '../water/Toggle';
import { Entrance } from './Entrance';
import { guessed } from './guess';

const systems = [
  { id: 'metric', name: 'Metres', says: '0.34 m over the bar, 7 g, 12 °C, a 2.7 kg fish' },
  { id: 'us', name: 'Feet', says: '1.1 ft over the bar, 1/4 oz, 54 °F, a 6 lb fish' },
] as const;
const clocks = [
  { id: '24 h', name: '18:40' },
  { id: '12 h', name: '6:40 pm' },
] as const;

/** How someone new speaks of measures: guessed, and asked once. */
export function AskUnits({ name }: { name: string }) {
  const invalidate = useInvalidate();
  const [first] = useState(() => guessed());
  const [system, setSystem] = useState<'metric' | 'us'>(first.units.depth === 'ft' ? 'us' : 'metric');
  const [hours, setHours] = useState(first.units.clock);
  useTitle('Units');
  const keep = useMutation({
    mutationFn: () =>
      api.putSettings({ ...first, units: { ...systemOf(system), clock: hours }, chosen: true }),
    onSuccess: () => invalidate('session'),
  });
  return (
    <Entrance wide>
      <h1>Welcome, {name}</h1>
      <p className="quiet">How do you speak of the water? Any unit can be typed anywhere all the same.</p>
      <div className="ask-units" role="group" aria-label="Units">
        {systems.map((s) => (
          <Toggle key={s.id} on={system === s.id} onChange={() => setSystem(s.id)}>
            <b>{s.name}</b>
            <span className="small">{s.says}</span>
          </Toggle>
        ))}
      </div>
      <div className="ask-units" role="group" aria-label="Hours">
        {clocks.map((c) => (
          <Toggle key={c.id} on={hours === c.id} onChange={() => setHours(c.id)}>
            <b>{c.name}</b>
          </Toggle>
        ))}
      </div>
      {keep.error && (
        <p role="alert" className="signin-error">
          {keep.error.message}
        </p>
      )}
      <Button type="primary" size="large" block loading={keep.isPending} onClick={() => keep.mutate()}>
        Go on
      </Button>
      <p className="quiet small">Knots for the wind, yards for a cast: each by itself in Set-up, Units.</p>
    </Entrance>
  );
}

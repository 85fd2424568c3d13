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
import { signin as say } from '../words/signin';

const systems = [
  { id: 'metric', name: say.metres, says: say.n034MOverThe },
  { id: 'us', name: say.feet, says: say.n11FtOverThe },
] as const;
const clocks = [
  { id: '24 h', name: '18:40' },
  { id: '12 h', name: say.n640Pm },
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
      <h1>{say.welcome(name)}</h1>
      <p className="quiet">{say.howDoYouSpeakOf}</p>
      <div className="ask-units" role="group" aria-label={say.units}>
        {systems.map((s) => (
          <Toggle key={s.id} on={system === s.id} onChange={() => setSystem(s.id)}>
            <b>{s.name}</b>
            <span className="small">{s.says}</span>
          </Toggle>
        ))}
      </div>
      <div className="ask-units" role="group" aria-label={say.hours}>
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
        {say.goOn}
      </Button>
      <p className="quiet small">{say.knotsForTheWindYards}</p>
    </Entrance>
  );
}

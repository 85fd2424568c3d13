import { useMutation, useQuery } from '@tanstack/react-query';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { api } from '../api/client';
import { useInvalidate } from '../api/keys';
import { Fault } from '../frame/Fault';
import { NumberField, NumberIn } from '../format/NumberField';
import { show } from '../format/spoken';
import { dayOfYear } from '../format/time';
import { law as say } from '../words/law';

/** How the fish is treated: back into the water, or kept; and what to do for a person it hurt. */
export function Care(props: { species: string; length: number | undefined; spot: string; male: boolean }) {
  const [depth, setDepth] = useState<number>();
  const [mass, setMass] = useState<number>();
  const [predators, setPredators] = useState(false);
  const body = {
    target: props.species,
    spot_id: props.spot,
    nesting_male: props.male,
    predators,
    ...(props.length ? { length_m: props.length } : {}),
    ...(depth ? { depth_m: depth } : {}),
    ...(mass ? { mass_kg: mass } : {}),
  };
  const care = useQuery({
    queryKey: ['care', body],
    queryFn: ({ signal }) => api.care(body, signal),
    enabled: props.species !== '',
    placeholderData: (before) => before,
    retry: false,
  });
  const [changing, setChanging] = useState(false);
  if (!care.data) return care.error ? <Fault of={[care]} /> : null;
  const c = care.data;
  return (
    <>
      <section className="panel">
        <h2>{say.backItGoes}</h2>
        <div className="hand-asked">
          <label>
            {say.fromDepth}
            <NumberField measure="depth" min={0} max={400} value={depth} onChange={setDepth} />
          </label>
          <button className="toggle" aria-pressed={predators} onClick={() => setPredators(!predators)}>
            {say.predators}
          </button>
        </div>
        <ol className="care-steps">
          {c.steps.map((s) => (
            <li key={s.says} className={s.grave ? 'grave' : undefined}>
              {s.says}
            </li>
          ))}
        </ol>
        {changing ? (
          <OwnCare key={c.name} target={props.species} care={c} onDone={() => setChanging(false)} />
        ) : (
          <button className="plain small" onClick={() => setChanging(true)}>
            {say.sayItYourWay}
          </button>
        )}
      </section>
      <section className="panel">
        <h2>{say.keptItIs}</h2>
        <ol className="care-steps">
          {c.keeping.map((s) => (
            <li key={s}>{s}</li>
          ))}
        </ol>
        <div className="hand-asked">
          <label>
            {say.itsWeight}
            <NumberField measure="fish" min={0} max={500} value={mass} onChange={setMass} />
          </label>
        </div>
        <p>
          {c.fillet_kg ? say.fillets(show('fish', c.fillet_kg), c.people ?? 0) : ''}{' '}
          {say.frozenToday(dayOfYear(c.use_by, 'UTC'))}
        </p>
      </section>
      <section className="panel">
        <h2>{say.firstAid}</h2>
        <p className="quiet small">{say.firstAidSays}</p>
        {c.first_aid.map((i) => (
          <details key={i.name}>
            <summary>{i.name}</summary>
            <p>{i.says}</p>
          </details>
        ))}
      </section>
    </>
  );
}

type Told = Awaited<ReturnType<typeof api.care>>;

/** What one holds instead of the book. */
function OwnCare({ target, care, onDone }: { target: string; care: Told; onDone: () => void }) {
  const invalidate = useInvalidate();
  const [own, setOwn] = useState(care.own);
  const save = useMutation({
    mutationFn: (o: Told['own']) => api.putOwnCare(target, o),
    onSuccess: async () => {
      await invalidate('care');
      onDone();
    },
  });
  const change = (part: { breeder_m?: number | undefined; hot_c?: number | undefined; handling?: string }) =>
    setOwn(Object.fromEntries(Object.entries({ ...own, ...part }).filter(([, v]) => v !== undefined)));
  return (
    <div className="form care-own">
      <NumberIn
        label={say.breederFrom(care.book.breeder_m ? show('fish_length', care.book.breeder_m) : say.notSaid)}
        measure="fish_length"
        min={0}
        max={4}
        value={own.breeder_m}
        onChange={(breeder_m) => change({ breeder_m })}
      />
      <NumberIn
        label={say.hotFrom(show('temperature', care.book.hot_c ?? 0))}
        measure="temperature"
        min={0}
        max={40}
        value={own.hot_c}
        onChange={(hot_c) => change({ hot_c })}
      />
      <label>
        {say.handling}
        <Input.TextArea
          maxLength={400}
          autoSize
          placeholder={care.book.handling ?? ''}
          value={own.handling ?? ''}
          onChange={(e) => change({ handling: e.target.value })}
        />
      </label>
      <Fault of={[save]} />
      <div className="hand-row">
        <Button type="primary" onClick={() => save.mutate(own)}>
          {say.keepMine}
        </Button>
        <Button onClick={() => save.mutate({})}>{say.asTheBook}</Button>
        <Button onClick={onDone}>{say.leaveIt}</Button>
      </div>
    </div>
  );
}

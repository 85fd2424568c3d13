import { useQuery } from '@tanstack/react-query';
import { AutoComplete, Select } from 'antd';
import { useState } from 'react';
import { api, type Spot, type Target } from '../api/client';
import { keys } from '../api/keys';
import { NumberField } from '../format/NumberField';
import type { Doing } from './touch';
import { fish as say } from '../words/fish';

/** What one fishes from now on: where, for what, with what, how many rods. */
export function Change(props: {
  spots: Spot[];
  targets: Target[];
  now: Doing;
  word: string;
  onDone: (d: Doing) => void;
  onClose?: () => void;
}) {
  const [d, setD] = useState(props.now);
  const spot = useQuery({
    queryKey: ['spot', d.spot_id],
    queryFn: () => api.spot(d.spot_id),
  });
  const book = useQuery({
    queryKey: keys.playbook,
    queryFn: api.playbook,
    staleTime: Infinity,
  });
  const place = props.spots.find((s) => s.id === d.spot_id)?.place ?? '';
  const set = (part: Partial<Doing>) => setD((was) => ({ ...was, ...part }));
  // Those that live there come first.
  const targets = [...props.targets].sort(
    (a, b) => Number(b.lives.includes(place)) - Number(a.lives.includes(place)),
  );
  const target = d.target || (targets[0]?.id ?? '');
  const offerings = book.data?.offerings ?? [];
  const done = () => {
    const known = offerings.find((o) => o.name.toLowerCase() === (d.offering ?? '').trim().toLowerCase());
    const { offering_id: _, approach: __, ...rest } = d;
    props.onDone({
      ...rest,
      target,
      ...(known ? { offering_id: known.id, approach: known.approach as NonNullable<Doing['approach']> } : {}),
    });
  };
  return (
    <div className="form">
      <label>
        {say.where}
        <Select
          aria-label={say.where}
          showSearch={{ optionFilterProp: 'label' }}
          value={d.spot_id}
          options={props.spots.map((s) => ({ value: s.id, label: s.name }))}
          onChange={(spot_id) => setD(({ mark: _, ...was }) => ({ ...was, spot_id }))}
        />
      </label>
      <label>
        {say.mark}
        <Select
          aria-label={say.mark}
          allowClear
          value={d.mark ?? null}
          options={(spot.data?.marks ?? []).map((m) => ({ value: m.name, label: m.name }))}
          onChange={(mark?: string) => setD(({ mark: _, ...was }) => (mark ? { ...was, mark } : was))}
        />
      </label>
      <label>
        {say.forWhich}
        <Select
          aria-label={say.forWhich}
          showSearch={{ optionFilterProp: 'label' }}
          value={target || null}
          options={targets.map((t) => ({ value: t.id, label: t.name }))}
          onChange={(t: string) => set({ target: t })}
        />
      </label>
      <label>
        {say.onTheHook}
        <AutoComplete
          aria-label={say.onTheHook}
          value={d.offering ?? ''}
          maxLength={40}
          placement="topLeft" // never over what is touched next
          showSearch={{
            filterOption: (text, o) => (o?.value ?? '').toLowerCase().includes(text.toLowerCase()),
          }}
          options={offerings.map((o) => ({ value: o.name }))}
          onChange={(offering: string) => set({ offering })}
        />
      </label>
      <label>
        {say.rods}
        <NumberField
          min={1}
          max={12}
          decimals={0}
          value={d.rods}
          onChange={(n) => n !== undefined && set({ rods: Math.round(n) })}
        />
      </label>
      <div className="fish-row">
        <button className="act chosen" disabled={!target} onClick={done}>
          {props.word}
        </button>
        {props.onClose && (
          <button className="act" onClick={props.onClose}>
            {say.notNow}
          </button>
        )}
      </div>
    </div>
  );
}

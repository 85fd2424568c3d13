import { Button, Select } from 'antd';
import { useState } from 'react';
import type { Choice, Playbook } from '../api/client';
import { tie as say } from '../words/tie';

/** A presentation as the angler means to fish it; an empty style is whichever is best. */
export interface Way {
  target: string;
  mark: string;
  offering_id: string;
  rig_id: string;
  style: string;
}

/** And if I do it my way? Any offering, rig and place one names, weighed like the advice. */
export function MyWay(props: {
  target: string;
  marks: { id: string; name: string }[];
  book: Playbook;
  from: Choice;
  asking: boolean;
  problem?: string;
  onAsk: (way: Way) => void;
}) {
  const { target, marks, book, from, asking, problem, onAsk } = props;
  const [way, setWay] = useState<Way>({
    target,
    mark: marks.find((m) => m.name === from.mark)?.id ?? marks[0]?.id ?? '',
    offering_id: from.card.offering_id,
    rig_id: from.card.rig_id,
    style: '',
  });
  const offering = book.offerings.find((o) => o.id === way.offering_id);
  const rig = book.rigs.find((r) => r.id === way.rig_id);
  const take = (part: Partial<Way>) => setWay({ ...way, ...part });
  const rigs = [...book.rigs].sort(
    (a, b) => Number(offering?.rigs.includes(b.id)) - Number(offering?.rigs.includes(a.id)),
  );
  return (
    <details className="my-way panel">
      <summary>{say.andIfIDoIt}</summary>
      <div className="my-way-form">
        <label>
          {say.where}
          <Select
            aria-label={say.where}
            value={way.mark}
            options={marks.map((m) => ({ value: m.id, label: m.name }))}
            onChange={(mark) => take({ mark })}
          />
        </label>
        <label>
          {say.what}
          <Select
            aria-label={say.what}
            showSearch={{ optionFilterProp: 'label' }}
            value={way.offering_id}
            options={book.offerings.map((o) => ({ value: o.id, label: o.name }))}
            onChange={(offering_id) => {
              const first = book.offerings.find((o) => o.id === offering_id)?.rigs[0];
              take({ offering_id, rig_id: first ?? way.rig_id, style: '' });
            }}
          />
        </label>
        <label>
          {say.onWhichRig}
          <Select
            aria-label={say.onWhichRig}
            showSearch={{ optionFilterProp: 'label' }}
            value={way.rig_id}
            options={rigs.map((r) => ({ value: r.id, label: r.name }))}
            onChange={(rig_id) => take({ rig_id, style: '' })}
          />
        </label>
        <label>
          {say.movedHow}
          <Select
            aria-label={say.movedHow}
            value={way.style}
            options={[
              { value: '', label: say.whicheverIsBest },
              ...(rig?.styles ?? []).map((s) => ({ value: s, label: s })),
            ]}
            onChange={(style) => take({ style })}
          />
        </label>
        {problem && (
          <p role="alert" className="caution small">
            {problem}
          </p>
        )}
        <Button type="primary" loading={asking} onClick={() => onAsk(way)}>
          {say.whatIsItWorth}
        </Button>
      </div>
    </details>
  );
}

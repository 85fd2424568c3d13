import { Select } from 'antd';
import { useState } from 'react';
import type { Target } from '../api/client';
import { NumberField } from '../format/NumberField';
import type { Said } from './touch';
import { fish as say } from '../words/fish';

/** A fish with its length, or another than the one sought. */
export function Landed(props: {
  targets: Target[];
  sought: string;
  tell: (said: Said) => void;
  onClose: () => void;
}) {
  const [target, setTarget] = useState(props.sought);
  const [length, setLength] = useState<number>();
  const [kept, setKept] = useState(false);
  return (
    <section className="panel form">
      <h2>{say.kinds.landed}</h2>
      <label>
        {say.which}
        <Select
          aria-label={say.which}
          showSearch={{ optionFilterProp: 'label' }}
          value={target}
          options={props.targets.map((t) => ({ value: t.id, label: t.name }))}
          onChange={setTarget}
        />
      </label>
      <label>
        {say.length}
        <NumberField measure="fish_length" min={0} max={3.99} value={length} onChange={setLength} autoFocus />
      </label>
      <div className="fish-row">
        <button className="toggle" aria-pressed={kept} onClick={() => setKept(!kept)}>
          {say.keptIt}
        </button>
        <button
          className="act chosen"
          onClick={() =>
            props.tell({ kind: 'landed', catch: { target, kept, ...(length ? { length_m: length } : {}) } })
          }
        >
          {say.kinds.landed}
        </button>
        <button className="act" onClick={props.onClose}>
          {say.notNow}
        </button>
      </div>
    </section>
  );
}

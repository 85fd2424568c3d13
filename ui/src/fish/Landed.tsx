import { Input, Select } from 'antd';
import { useState } from 'react';
import type { Target } from '../api/client';
import { NumberField } from '../format/NumberField';
import { PhotoLength } from './PhotoLength';
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
  // How it was measured, where not on a board.
  const [how, setHow] = useState('');
  const [kept, setKept] = useState(false);
  const [who, setWho] = useState('');
  const thumbed = (m: number | undefined) => {
    setLength(m);
    setHow('');
  };
  return (
    <section className="panel form">
      <h2>{say.kinds.landed}</h2>
      <label>
        {say.length}
        <NumberField measure="fish_length" min={0} max={3.99} value={length} onChange={thumbed} autoFocus />
        <input
          type="range"
          className="fish-wheel"
          aria-label={say.lengthByThumb}
          min={0.1}
          max={1.4}
          step={0.01}
          value={length ?? 0.5}
          onChange={(e) => thumbed(Number(e.target.value))}
        />
      </label>
      <PhotoLength
        onLength={(m, says) => {
          setLength(m);
          setHow(says);
        }}
      />
      {how && <p className="quiet small">{how}</p>}
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
        {say.whose}
        <Input aria-label={say.whose} maxLength={40} value={who} onChange={(e) => setWho(e.target.value)} />
      </label>
      <div className="fish-row">
        <button className="toggle" aria-pressed={kept} onClick={() => setKept(!kept)}>
          {say.keptIt}
        </button>
        <button
          className="act chosen"
          onClick={() =>
            props.tell({
              kind: 'landed',
              catch: { target, kept, ...(length ? { length_m: length } : {}) },
              ...(how ? { note: how } : {}),
              ...(who.trim() ? { who: who.trim() } : {}),
            })
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

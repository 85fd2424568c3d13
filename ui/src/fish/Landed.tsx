import { Input, Select } from 'antd';
import { useState } from 'react';
import type { Schemas, Target } from '../api/client';
import { NumberField } from '../format/NumberField';
import { Verdict } from '../law/Verdict';
import { useSexes } from '../law/useSexes';
import { PhotoLength } from './PhotoLength';
import type { Said } from './touch';
import { fish as say } from '../words/fish';

type Sex = NonNullable<Schemas['KeepBody']['are']>[number];
type KeptFish = NonNullable<Schemas['KeepBody']['kept']>[number];

/** A fish with its length, or another than the one sought, and whether it may be kept. */
export function Landed(props: {
  targets: Target[];
  sought: string;
  spot: string;
  /** Fish kept so far on this outing, of everybody aboard. */
  kept: KeptFish[];
  tell: (said: Said) => void;
  onClose: () => void;
}) {
  const [target, setTarget] = useState(props.sought);
  const [length, setLength] = useState<number>();
  // How it was measured, where not on a board.
  const [how, setHow] = useState('');
  const [kept, setKept] = useState(false);
  const [who, setWho] = useState('');
  const [error, setError] = useState(0);
  const [are, setAre] = useState<Sex[]>([]);
  const sexes = useSexes(props.targets.find((t) => t.id === target));
  const thumbed = (m: number | undefined) => {
    setLength(m);
    setHow('');
    setError(0);
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
      <Verdict
        fish={{
          species: target,
          spot_id: props.spot,
          kept: props.kept,
          ...(length ? { length_m: length, error_m: error } : {}),
          ...(who.trim() ? { angler: who.trim() } : {}),
          ...(are.length > 0 ? { are } : {}),
        }}
      />
      <PhotoLength
        onLength={(m, says, off) => {
          setLength(m);
          setHow(says);
          setError(off);
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
      {sexes.length > 0 && (
        <div className="fish-row" role="group" aria-label={say.itIs}>
          {sexes.map((s) => (
            <button
              key={s}
              className="toggle"
              aria-pressed={are.includes(s)}
              onClick={() => setAre(are.includes(s) ? are.filter((k) => k !== s) : [...are, s])}
            >
              {s}
            </button>
          ))}
        </div>
      )}
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

import { useQuery } from '@tanstack/react-query';
import { api } from '../api/client';
import { keys } from '../api/keys';
import { NumberField } from '../format/NumberField';
import { useState } from 'react';
import { useKinds } from '../conditions/kinds';
import type { Said } from './touch';
import { fish as say } from '../words/fish';

/** Signs seen when the book cannot be asked. */
const some = ['birds', 'nervous bait', 'slick', 'colour line', 'weed', 'dolphins', 'boats'];

/** What the water is in a word; nobody fishes in more than a gale. */
const inWords = ['clarity_secchi_m', 'wind_speed_ms'] as const;
const mostWords = 9;

/** What happens less often: snags, boats, signs, what the water is. */
export function More(props: { mark: string; tell: (said: Said) => void; onClose: () => void }) {
  const { mark, tell, onClose } = props;
  const [deep, setDeep] = useState<number>();
  const book = useQuery({
    queryKey: keys.playbook,
    queryFn: api.playbook,
    staleTime: Infinity,
  });
  const kinds = useKinds();
  const [clarity, setClarity] = useState<number>();
  const [warmth, setWarmth] = useState<number>();
  return (
    <section className="panel fish-more">
      <h2>{say.more}</h2>
      <div className="fish-grid">
        {(['snagged', 'broke off', 'foul-hooked', 'boat passed', 'way shut'] as const).map((k) => (
          <button key={k} onClick={() => tell({ kind: k })}>
            {say.kinds[k]}
          </button>
        ))}
      </div>
      <h3>{say.seen}</h3>
      <div className="fish-grid">
        {(book.data?.signs ?? some).map((s) => (
          <button key={s} onClick={() => tell({ kind: 'seen', note: s })}>
            {s}
          </button>
        ))}
      </div>
      <h3>{say.waterIs}</h3>
      {inWords.map((kind) => (
        <div key={kind} className="fish-grid words" role="group" aria-label={kinds.of(kind)?.name ?? kind}>
          {(kinds.of(kind)?.called ?? []).slice(0, mostWords).map((word) => (
            <button key={word} onClick={() => tell({ kind: 'water', reading: { kind, word } })}>
              {word}
            </button>
          ))}
        </div>
      ))}
      <div className="form-row">
        {mark && (
          <label>
            {say.deepHere(mark)}
            <NumberField measure="depth" min={0.05} max={200} value={deep} onChange={setDeep} />
          </label>
        )}
        <label>
          {say.clearTo}
          <NumberField measure="depth" min={0.05} max={60} value={clarity} onChange={setClarity} />
        </label>
        <label>
          {say.warm}
          <NumberField measure="temperature" min={-2} max={40} value={warmth} onChange={setWarmth} />
        </label>
        <button
          className="act"
          disabled={clarity === undefined && warmth === undefined && deep === undefined}
          onClick={() => {
            if (deep !== undefined) tell({ kind: 'sounded', depth_m: deep });
            if (clarity !== undefined)
              tell({ kind: 'water', reading: { kind: 'clarity_secchi_m', value: clarity } });
            if (warmth !== undefined)
              tell({ kind: 'water', reading: { kind: 'water_temp_c', value: warmth } });
          }}
        >
          {say.keepIt}
        </button>
      </div>
      <button className="act" onClick={onClose}>
        {say.notNow}
      </button>
    </section>
  );
}

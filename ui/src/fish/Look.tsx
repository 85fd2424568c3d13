import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../api/client';
import { keys } from '../api/keys';
import { NumberField } from '../format/NumberField';
import { show } from '../format/spoken';
import type { Fix } from './position';
import { Row } from './Row';
import { SeenFish } from './SeenFish';
import type { Doing, Said, Told, Touch } from './touch';
import { Trail } from './Trail';
import { Troll } from './Troll';
import { fish as say } from '../words/fish';

/** Kinds of feature at any shore (the book's words of rock and sand). */
const usual = ['dark rock', 'boiler', 'white wash', 'colour change', 'sand lane', 'pocket', 'weed edge'];

/** Where to look: casts by kind of feature, levels of the column, rods in a row. It stays open from touch to touch. */
export function Look(props: {
  told: Told;
  touches: Touch[];
  doing: Doing;
  fishAt: number[];
  onFishAt: (m: number[]) => void;
  tell: (said: Said) => void;
  present: () => Date;
  fix: () => Fix | undefined;
  onClose: () => void;
}) {
  const { told, doing, tell, fix } = props;
  const [feature, setFeature] = useState('');
  const [marked, setMarked] = useState<number>();
  const spot = useQuery({ queryKey: ['spot', doing.spot_id], queryFn: () => api.spot(doing.spot_id) });
  const book = useQuery({ queryKey: keys.playbook, queryFn: api.playbook, staleTime: Infinity });
  const marks = spot.data?.marks ?? [];
  const kinds = [...new Set([...told.features.map((f) => f.name), ...marks.map((m) => m.kind), ...usual])];
  return (
    <section className="panel fish-look">
      <h2>{say.look}</h2>
      <h3>{say.castsByFeature}</h3>
      <div className="fish-grid">
        {kinds.map((k) => (
          <button
            key={k}
            aria-pressed={told.pays === k}
            className={feature === k ? 'named' : undefined}
            onClick={() => {
              setFeature(k);
              const at = fix();
              tell({ kind: 'cast', note: k, ...(at ? { at: { lat: at.lat, lon: at.lon } } : {}) });
            }}
          >
            {say.featureHad(
              k,
              told.features.find((f) => f.name === k),
            )}
          </button>
        ))}
      </div>
      <p className="quiet small">{say.oneCastAPlace}</p>
      {told.pays && marksLike(marks, told.pays).length > 0 && (
        <p>{say.marksOfThatKind(marksLike(marks, told.pays))}</p>
      )}
      <details className="fold" open={told.trail.length > 0}>
        <summary>{say.castsAlongTheShore}</summary>
        <Trail
          told={told}
          feature={feature}
          aimless={aimless(props.touches, props.present())}
          fix={fix}
          tell={tell}
        />
      </details>

      {told.column.length > 0 && (
        <>
          <h3>{say.levels}</h3>
          <Levels of={told.column} doing={doing} tell={tell} />
        </>
      )}
      <div className="form">
        <label>
          {say.fishMarkedAt}
          <NumberField measure="depth" min={0.1} max={200} value={marked} onChange={setMarked} />
        </label>
        <button
          className="act"
          disabled={marked === undefined}
          onClick={() => {
            if (marked !== undefined) props.onFishAt([...props.fishAt, marked]);
            setMarked(undefined);
          }}
        >
          {say.markedToo}
        </button>
      </div>
      {told.above.length > 0 && (
        <>
          <p className="quiet small">{say.stopAbove}</p>
          <Levels of={told.above} doing={doing} tell={tell} />
          <button className="act" onClick={() => props.onFishAt([])}>
            {say.unmark}
          </button>
        </>
      )}

      <SeenFish target={doing.target} />

      <details className="fold" open={doing.style === 'troll'}>
        <summary>{say.trolling}</summary>
        <Troll told={told} doing={doing} tell={tell} />
      </details>

      <h3>{say.rodsInARow}</h3>
      <Row
        told={told}
        tell={tell}
        present={props.present}
        offerings={(book.data?.offerings ?? []).map((o) => o.name)}
        rigs={book.data?.rigs ?? []}
      />
      <button className="act" onClick={props.onClose}>
        {say.notNow}
      </button>
    </section>
  );
}

/** Levels to fish at, in the order they are tried; a touch says that one fishes there. */
function Levels(props: { of: Told['above']; doing: Doing; tell: (said: Said) => void }) {
  return (
    <ol className="fish-levels">
      {props.of.map((l) => (
        <li key={l.depth_m} className={l.tried ? 'tried' : l.next ? 'next' : undefined}>
          <button onClick={() => props.tell({ kind: 'fish', doing: { ...props.doing, depth_m: l.depth_m } })}>
            {say.level(show('depth', l.depth_m, 1), halves(l.turns), l.surface, l.next)}
          </button>
        </li>
      ))}
    </ol>
  );
}

/** So long after a cast it can be said where it went, ms. */
const flies = 60_000;

/** The last touch, if it is a cast of just now whose place nobody told. */
function aimless(touches: Touch[], now: Date): string | undefined {
  const last = touches.at(-1);
  return last?.kind === 'cast' && !last.aim && now.getTime() - Date.parse(last.time) < flies
    ? last.id
    : undefined;
}

/** Turns of a reel are counted by halves. */
const halves = (turns: number) => Math.round(2 * turns) / 2;

/** Marks of a kind of feature, by their kind or their own name. */
function marksLike(marks: { name: string; kind: string }[], feature: string): string[] {
  const like = feature.toLowerCase();
  return marks.filter((m) => m.kind === feature || m.name.toLowerCase().includes(like)).map((m) => m.name);
}

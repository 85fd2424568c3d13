import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../api/client';
import { NumberField } from '../format/NumberField';
import { distance, show } from '../format/spoken';
import { duration } from './Going';
import { positionNow } from './position';
import { SeenFish } from './SeenFish';
import type { Doing, Said, Told } from './touch';
import { fish as say } from '../words/fish';

/** Kinds of feature at any shore (the book's words of rock and sand). */
const usual = ['dark rock', 'boiler', 'white wash', 'colour change', 'sand lane', 'pocket', 'weed edge'];
const mostRods = 6;

/** Where to look: casts by kind of feature, levels of the column, rods in a row. It stays open from touch to touch. */
export function Look(props: {
  told: Told;
  doing: Doing;
  fishAt: number | undefined;
  onFishAt: (m: number | undefined) => void;
  tell: (said: Said) => void;
  present: () => Date;
  onClose: () => void;
}) {
  const { told, doing, tell } = props;
  const spot = useQuery({ queryKey: ['spot', doing.spot_id], queryFn: () => api.spot(doing.spot_id) });
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
            onClick={() =>
              void positionNow().then((at) => tell({ kind: 'cast', note: k, ...(at ? { at } : {}) }))
            }
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

      {told.column.length > 0 && (
        <>
          <h3>{say.levels}</h3>
          <ol className="fish-levels">
            {told.column.map((l) => (
              <li key={l.depth_m} className={l.tried ? 'tried' : undefined}>
                <button onClick={() => tell({ kind: 'fish', doing: { ...doing, depth_m: l.depth_m } })}>
                  {say.level(show('depth', l.depth_m), halves(l.turns))}
                </button>
              </li>
            ))}
          </ol>
        </>
      )}
      <div className="form">
        <label>
          {say.fishMarkedAt}
          <NumberField measure="depth" min={0.1} max={200} value={props.fishAt} onChange={props.onFishAt} />
        </label>
        {told.above && (
          <p>
            {say.stopAbove(show('depth', told.above.depth_m), halves(told.above.turns), told.above.surface)}
          </p>
        )}
      </div>

      <SeenFish target={doing.target} />

      <h3>{say.rodsInARow}</h3>
      <Row told={told} tell={tell} present={props.present} />
      <button className="act" onClick={props.onClose}>
        {say.notNow}
      </button>
    </section>
  );
}

/** Turns of a reel are counted by halves. */
const halves = (turns: number) => Math.round(2 * turns) / 2;

/** Marks of a kind of feature, by their kind or their own name. */
function marksLike(marks: { name: string; kind: string }[], feature: string): string[] {
  const like = feature.toLowerCase();
  return marks.filter((m) => m.kind === feature || m.name.toLowerCase().includes(like)).map((m) => m.name);
}

/** Up to six rods, each with its distance; one touch logs rod and zone. */
function Row({ told, tell, present }: { told: Told; tell: (said: Said) => void; present: () => Date }) {
  const { rods, moves } = told.row;
  const next = String(rods.length + 1);
  const [far, setFar] = useState<Record<string, number>>({});
  const out = (rod: string, distance_m: number) => tell({ kind: 'rod set', rod, set: { distance_m } });
  return (
    <>
      {moves.length > 0 && (
        <ul className="fish-moves">
          {moves.map((m) => (
            <li key={m.rod}>
              {say.move(m.rod, distance(m.to_m), m.scouts)}{' '}
              <button className="plain" onClick={() => out(m.rod, m.to_m)}>
                {say.itIsThere}
              </button>
            </li>
          ))}
        </ul>
      )}
      {rods.map((r) => (
        <div key={r.rod} className="fish-rod" role="group" aria-label={say.rodNamed(r.rod)}>
          <b>
            {say.rodOut(r.rod, distance(r.distance_m), duration(present().getTime() - Date.parse(r.since)))}
          </b>
          {present().getTime() > Date.parse(r.check_bait) && <span className="due">{say.lookAtTheBait}</span>}
          <span className="fish-rod-acts">
            <button onClick={() => tell({ kind: 'landed', rod: r.rod })}>{say.fishOnIt(r.fish)}</button>
            <button onClick={() => tell({ kind: 'bite', rod: r.rod })}>{say.biteOnIt(r.bites)}</button>
            <button onClick={() => out(r.rod, r.distance_m)}>{say.outAgain}</button>
          </span>
        </div>
      ))}
      {rods.length < mostRods && (
        <div className="form">
          <label>
            {say.rodOutAt(next)}
            <NumberField
              measure="distance"
              min={0}
              max={400}
              value={far[next]}
              onChange={(m) => setFar((f) => (m === undefined ? f : { ...f, [next]: m }))}
            />
          </label>
          <button className="act" disabled={far[next] === undefined} onClick={() => out(next, far[next]!)}>
            {say.rodIsOut}
          </button>
        </div>
      )}
    </>
  );
}

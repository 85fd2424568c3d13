import { useTitle } from '../frame/useTitle';
import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { api } from '../api/client';
import { keys } from '../api/keys';
import { Sketch } from '../tie/Sketch';
import '../bench/bench.css';
import './cards.css';
import { cards as say } from '../words/cards';

/** Rigs and knots drawn, one to a card, to be read on screen or printed for the tackle box. */
export default function CardsPage() {
  useTitle(say.rigsAndKnots);
  const { id } = useParams();
  const book = useQuery({ queryKey: keys.playbook, queryFn: api.playbook });
  const knots = useQuery({ queryKey: keys.knots, queryFn: api.knots, staleTime: Infinity });
  const rigs = book.data?.rigs ?? [];
  const knot = knots.data?.find((k) => k.id === id);
  const rig = rigs.find((r) => r.id === id) ?? (knot ? undefined : rigs[0]);
  const everything = id === 'all';
  // Either list without the other would be moved when the other comes.
  if (book.isPending || knots.isPending) return null;
  return (
    <div className="cards">
      <nav className="bench-list" aria-label={say.rigsAndKnots}>
        <Link className="bench-back" to="/tie-on">
          {say.whatToTieOn}
        </Link>
        <Link to="/tie-on/cards/all" aria-current={everything ? 'page' : undefined}>
          {say.allForTheTackleBox}
        </Link>
        <h2>{say.rigs}</h2>
        {rigs.map((r) => (
          <Link
            key={r.id}
            to={`/tie-on/cards/${r.id}`}
            aria-current={!everything && r === rig ? 'page' : undefined}
          >
            {r.name}
          </Link>
        ))}
        <h2>{say.knots}</h2>
        {(knots.data ?? []).map((k) => (
          <Link key={k.id} to={`/tie-on/cards/${k.id}`} aria-current={k === knot ? 'page' : undefined}>
            {k.name}
          </Link>
        ))}
      </nav>
      <div className="cards-sheet">
        <div className="cards-acts">
          <button className="act" onClick={() => window.print()}>
            {say.print}
          </button>
        </div>
        {everything ? (
          <>
            {rigs.map((r) => (
              <RigCard key={r.id} id={r.id} />
            ))}
            {(knots.data ?? []).map((k) => (
              <KnotCard key={k.id} knot={k} />
            ))}
          </>
        ) : knot ? (
          <KnotCard knot={knot} />
        ) : (
          rig && <RigCard id={rig.id} />
        )}
      </div>
    </div>
  );
}

function RigCard({ id }: { id: string }) {
  const card = useQuery({
    queryKey: ['rig-card', id, {}],
    queryFn: () => api.rigCard(id, {}),
    staleTime: Infinity,
  });
  if (card.error) return <p role="alert">{card.error.message}</p>;
  if (!card.data) return null;
  const c = card.data;
  return (
    <article className="panel one-card">
      <h1>{c.name}</h1>
      <div className="card-two">
        <Sketch drawing={c.drawing} label={say.drawnWithItsMeasures(c.name)} />
        <div>
          {c.ways.map((w) => (
            <p key={w.style}>
              <b>{w.style}.</b> {w.move.replace('{strike}', '')}
              {w.cadence && <span className="quiet"> {w.cadence.replace('{pause}', '2')}</span>}
            </p>
          ))}
          <p>
            <b>{say.rod}</b> {c.tip}
          </p>
          <p>
            <b>{say.bite}</b> {c.bite}.
          </p>
          <p>{say.changeFirst(<b>{say.refused}</b>, c.refused)}</p>
        </div>
      </div>
    </article>
  );
}

function KnotCard({ knot }: { knot: Awaited<ReturnType<typeof api.knots>>[number] }) {
  return (
    <article className="panel one-card">
      <h1>{knot.name}</h1>
      <p className="quiet">{say.forWord(knot.for)}</p>
      <ol className="knot-steps">
        {knot.steps.map((s, i) => (
          <li key={i}>
            <Sketch drawing={s.drawing} label={say.step(i + 1)} />
            <p>
              <b>{i + 1}.</b> {s.says}
            </p>
          </li>
        ))}
      </ol>
      <p className="quiet small">{say.wetEveryKnotBeforeIt}</p>
    </article>
  );
}

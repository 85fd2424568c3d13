import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { Link } from 'react-router';
import { api, type Choice } from '../api/client';
import { useEntry } from '../entry/entry';
import { times, unbroken } from '../format/measure';
import { usePlace } from '../moment/moment';
import { Parts } from './Parts';
import { Shown } from './Shown';
import { Sketch } from './Sketch';
import { useNarrow } from './useNarrow';
import { tie as say } from '../words/tie';

/** The chosen presentation: how, with what, why, the rig drawn, what to mind. */
export function Detail(props: {
  choice: Choice;
  usual?: number;
  stay?: string;
  hasKit: boolean;
  onCompare: () => void;
  /** What is compared, where it was asked for. */
  beside?: React.ReactNode;
}) {
  const { choice, usual, stay, hasKit, onCompare, beside } = props;
  const entry = useEntry();
  const { spot } = usePlace();
  const narrow = useNarrow();
  const c = choice.card;
  const log = (kind: 'catch' | 'blank') =>
    entry.open({
      kind,
      target: choice.target,
      approach: choice.approach,
      offering: choice.offering,
      mark: choice.mark,
    });
  const fishing = new URLSearchParams({
    spot: spot.id,
    target: choice.target,
    mark: choice.mark,
    offering: choice.offering,
    offering_id: c.offering_id,
    rig_id: c.rig_id,
    style: c.style,
  }).toString();
  const rig = <RigOf choice={choice} />;
  const why = (
    <div className="detail-two">
      <section>
        <h2>{say.why(times(choice.edge))}</h2>
        <Parts choice={choice} usual={usual} />
        {choice.for.length > 0 && (
          <>
            <h2>{say.whyThisOne}</h2>
            <ul className="for-it small">
              {choice.for.map((p) => (
                <li key={p.rule}>{p.says}</li>
              ))}
            </ul>
          </>
        )}
      </section>
      <section>
        {choice.arithmetic.length > 0 && (
          <>
            <h2>{say.theArithmetic}</h2>
            <dl className="workings">
              {choice.arithmetic.map((a) => (
                <div key={a.label}>
                  <dt>
                    {a.label} <b>{a.result}</b>
                  </dt>
                  <dd className="small">= {a.formula}</dd>
                  {a.weak && <dd className="quiet small">{a.weak}</dd>}
                </div>
              ))}
            </dl>
          </>
        )}
      </section>
    </div>
  );
  return (
    <article className="detail panel" aria-label={say.theChosenPresentation}>
      {!narrow && <h1>{unbroken(choice.sentence)}</h1>}
      <div className="detail-shown">
        <div>
          <Shown choice={choice} how={unbroken(choice.retrieve)} />
        </div>
        {!narrow && rig}
      </div>
      <div className="detail-log">
        <Button type="primary" onClick={() => log('catch')}>
          {say.caughtOnThis}
        </Button>
        <Button onClick={() => log('blank')}>{say.blankOnThis}</Button>
        <Link className="act" to={`/fish?${fishing}`}>
          {say.goFishWithThis}
        </Link>
      </div>
      <dl className="card-lines">
        <Line name={say.offering}>
          {[choice.offering, c.size, c.finish].filter(Boolean).join(', ')}. {c.hooked}
        </Line>
        <Line name={say.rig}>{[choice.rig, c.weight, c.hook].filter(Boolean).join(', ')}</Line>
        <Line name={say.leader}>{[c.leader, c.knot].filter(Boolean).join('; ')}</Line>
        <Line name={say.depth}>{c.depth}</Line>
        <Line name={say.rod}>{c.tip}</Line>
        <Line name={say.bite}>{choice.bite}</Line>
        <Line name={say.refused}>{c.refused}</Line>
        <Line name={say.groundbait}>{c.groundbait}</Line>
        <Line name={say.stayOrGo}>{stay}</Line>
        <Line name={say.inHand}>{choice.handling}</Line>
        {hasKit && <Line name={say.yourKit}>{choice.uses.join(', ')}</Line>}
        {hasKit && choice.lacks.length > 0 && <Line name={say.missing}>{choice.lacks.join('; ')}</Line>}
      </dl>
      <div className="detail-acts">
        {c.cadence && (
          <Link className="act" to={`/tie-on/bench/cadence?text=${encodeURIComponent(c.cadence)}`}>
            {say.practiseTheCadence}
          </Link>
        )}
        <button className="act" onClick={onCompare}>
          {say.compareWith}
        </button>
      </div>
      {beside}
      <section className="mind">
        <h2>{say.mind}</h2>
        {choice.cautions
          .filter((k) => k.severity === 'note' || k.id === 'my way')
          .map((k) => (
            <p key={k.id + k.says} className="caution small">
              {k.says}
            </p>
          ))}
        <p className="quiet small law">{say.sizeAndBagLimitsAre}</p>
      </section>
      {narrow ? (
        <details className="detail-why">
          <summary>{say.theRigDrawnWhyThe(times(choice.edge))}</summary>
          <div>
            {rig}
            {why}
          </div>
        </details>
      ) : (
        why
      )}
    </article>
  );
}

function Line({ name, children }: { name: string; children?: React.ReactNode }) {
  if (!children) return null;
  return (
    <div>
      <dt>{name}</dt>
      <dd>{children}</dd>
    </div>
  );
}

/** The query of a rig's card for a choice. */
export const cardOf = (c: Choice) => ({
  weight_kg: c.card.weight_kg,
  hook: c.card.hook,
  leader_n: c.card.leader_n,
  leader_of: c.card.leader_of,
  offering: c.card.offering_id,
});

function RigOf({ choice }: { choice: Choice }) {
  const query = cardOf(choice);
  const card = useQuery({
    queryKey: ['rig-card', choice.card.rig_id, query],
    queryFn: () => api.rigCard(choice.card.rig_id, query),
    staleTime: Infinity,
  });
  if (card.error) return <p role="alert">{card.error.message}</p>;
  if (!card.data) return <div className="sketch-room" />;
  return (
    <div className="rig-beside">
      <Sketch drawing={card.data.drawing} label={say.drawnWithItsMeasures(card.data.name)} />
      <p className="small">
        <Link to={`/tie-on/cards/${choice.card.rig_id}`}>{say.allRigsAndKnotsTo}</Link>
      </p>
    </div>
  );
}

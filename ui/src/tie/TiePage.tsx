import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, type AdviseIn, type Choice, type Pick } from '../api/client';
import { keys } from '../api/keys';
import { useSettled } from '../conditions/useSettled';
import { times, unbroken } from '../format/measure';
import { clock } from '../format/time';
import { useGiven, useMoment, usePlace } from '../moment/moment';
import { Toggle } from '../water/Toggle';
import { useAsking } from './asking';
import { Compare, type Aside } from './Compare';
import { Detail } from './Detail';
import { Positions } from './Positions';
import { Seen } from './Seen';
import { Targets } from './Targets';
import { Thresholds } from './Thresholds';
import { useNarrow } from './useNarrow';
import { Whisker } from './Whisker';
import './tie.css';

/** What to tie on and how to move it, at the chosen spot and moment. */
export default function TiePage() {
  const here = usePlace();
  const moment = useMoment();
  const given = useGiven();
  const [asking, ask] = useAsking();
  const [seen, setSeen] = useState<string[]>([]);
  const [picked, setPicked] = useState('');
  const [aside, setAside] = useState<Aside>();
  const [beside, setBeside] = useState<Aside>();
  const targets = useQuery({ queryKey: keys.targets, queryFn: api.targets });
  const book = useQuery({ queryKey: keys.playbook, queryFn: api.playbook });
  const time = useSettled(moment.frame?.time, 150);
  const known = (targets.data ?? []).map((t) => t.id);
  const wanted = asking.targets.filter((t) => known.length === 0 || known.includes(t));
  const question = {
    spot_id: here.spot.id,
    targets: wanted.length > 0 ? wanted : ['red-drum'],
    time: time!,
    readings: given.readings,
    signs: seen,
    schools: asking.schools,
    kit_only: asking.kitOnly,
    most: asking.targets.length > 1 ? 5 : 3,
  };
  const advice = useQuery({
    queryKey: ['advise', here.spot.id, asking.targets.join(), question],
    queryFn: ({ signal }) => api.advise(question, signal),
    enabled: !!time,
    retry: false,
    placeholderData: (previous, q) =>
      q?.queryKey[1] === here.spot.id && q?.queryKey[2] === asking.targets.join()
        ? keepPreviousData(previous)
        : undefined,
  });
  // What would change it takes longer: it follows once the moment stands still.
  const still = useSettled(JSON.stringify(question), 700);
  const turns = useQuery({
    queryKey: ['advise', 'thresholds', still],
    queryFn: ({ signal }) =>
      api.advise({ ...(JSON.parse(still!) as AdviseIn), what_would_change: true, most: 1 }, signal),
    enabled: !!time && !!still && still === JSON.stringify(question),
    retry: false,
  });
  const choices = advice.data?.choices ?? [];
  const beyond = advice.data?.beyond;
  const narrow = useNarrow();
  const chosen =
    choices.find((c) => keyOf(c) === picked) ?? (beyond && keyOf(beyond) === picked ? beyond : choices[0]);
  const asAside = (c: Choice): Aside => ({
    pick: { ...question, targets: [c.target], offering: c.offering, kit_id: c.card.kit_id } as Pick,
    says: clock(question.time, here.spot.time_zone),
  });
  const choose = (c: Choice) => {
    setPicked(keyOf(c));
    if (aside) setBeside(asAside(c));
  };
  const detail = chosen && (
    <Detail
      choice={chosen}
      way={advice.data?.way}
      stay={advice.data?.stay}
      hasKit={!!advice.data?.kit}
      onCompare={() => {
        setAside(asAside(chosen));
        setBeside(undefined);
      }}
    />
  );
  const disagreed = Object.keys(asking.schools).length;
  return (
    <div className="tie">
      <div className="tie-top">
        <Targets all={targets.data ?? []} place={here.spot.place} asking={asking} onChange={ask} />
        <div className="tie-asks">
          <Seen signs={book.data?.signs ?? []} seen={seen} onChange={setSeen} />
          <details className="for-once">
            <summary>
              <span className="quiet">Today:</span>{' '}
              {disagreed === 0 ? 'as set up' : `${disagreed} taken otherwise`}
            </summary>
            <p className="quiet small">
              Where anglers disagree, for this outing only. Set-up keeps them for good.
            </p>
            <Positions
              schools={book.data?.schools ?? []}
              taken={(s) => asking.schools[s.id] ?? s.chosen}
              onTake={(s, p) => {
                const others = Object.entries(asking.schools).filter(([k]) => k !== s.id);
                ask({ schools: Object.fromEntries(p === s.chosen ? others : [...others, [s.id, p]]) });
              }}
            />
          </details>
          {advice.data?.kit || asking.kitOnly ? (
            <Toggle on={asking.kitOnly} onChange={(kitOnly) => ask({ kitOnly })}>
              Only what I have
            </Toggle>
          ) : (
            <Link className="quiet small" to="/set-up#kit">
              Enter your kit and advice starts from it
            </Link>
          )}
          <Link className="to-bench" to="/tie-on/cards">
            Rigs and knots
          </Link>
          <Link className="to-bench" to="/tie-on/bench">
            The bench
          </Link>
        </div>
        {asking.targets.length === 1 && (
          <p className="quiet small">{targets.data?.find((t) => t.id === asking.targets[0])?.note}</p>
        )}
      </div>
      {moment.frame && moment.ribbon && !moment.frame.open && (
        <p className="caution shut">
          {moment.frame.way_title} at {clock(moment.frame.time, here.spot.time_zone)}. {moment.frame.way}
        </p>
      )}
      {aside && (
        <div className="beside">
          {beside ? (
            <Compare
              a={aside}
              b={beside}
              onClose={() => {
                setAside(undefined);
                setBeside(undefined);
              }}
            />
          ) : (
            <p className="panel laid-aside">
              Laid aside: <b>{aside.pick.offering}</b> at {aside.says}. Choose another below, or move the time
              and{' '}
              <button
                className="plain"
                disabled={!chosen}
                onClick={() => chosen && setBeside(asAside(chosen))}
              >
                compare it with this moment
              </button>
              .{' '}
              <button className="plain" onClick={() => setAside(undefined)}>
                Never mind
              </button>
            </p>
          )}
        </div>
      )}
      {advice.error && (
        <p role="alert" className="panel">
          {advice.error.message}
        </p>
      )}
      {advice.data && !chosen && (
        <div className="panel">
          <p>{advice.data.note}</p>
          <Thresholds advice={advice.data} />
        </div>
      )}
      {chosen && (
        <>
          <ol className="choices" aria-label="Choices, best first">
            {choices.map((c) => (
              <li key={keyOf(c)}>
                <Offer
                  c={c}
                  chosen={c === chosen}
                  several={asking.targets.length > 1}
                  onChoose={() => choose(c)}
                />
                {narrow && c === chosen && detail}
              </li>
            ))}
            {beyond && (
              <li>
                <p className="quiet small">Better, but not in your kit:</p>
                <Offer
                  c={beyond}
                  chosen={beyond === chosen}
                  several={false}
                  onChoose={() => choose(beyond)}
                />
                {narrow && beyond === chosen && detail}
              </li>
            )}
            <li className="quiet small basis">
              ×1 is turning up blind{asking.targets.length > 1 ? ' for that target' : ''}.{' '}
              {advice.data?.basis} The bar holds four in five of what could be true.
            </li>
            {turns.data && (
              <li>
                <Thresholds advice={turns.data} />
              </li>
            )}
          </ol>
          {!narrow && detail}
        </>
      )}
    </div>
  );
}

const keyOf = (c: Choice) => `${c.target} ${c.offering} ${c.card.kit_id ?? ''}`;

function Offer(props: { c: Choice; chosen: boolean; several: boolean; onChoose: () => void }) {
  const { c, chosen, several, onChoose } = props;
  return (
    <button className={chosen ? 'choice chosen' : 'choice'} aria-pressed={chosen} onClick={onChoose}>
      <span className="choice-edge">{times(c.edge)}</span>
      {several && <span className="quiet small choice-target">{c.target_name}</span>}
      <span className="choice-says">{unbroken(c.sentence)}</span>
      <Whisker edge={c.edge} low={c.edge_low} high={c.edge_high} chosen={chosen} width={300} />
      {c.lacks.length > 0 && <span className="quiet small">Missing: {c.lacks.join('; ')}</span>}
    </button>
  );
}

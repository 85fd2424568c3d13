import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Choice, type Reason } from '../api/client';
import { useSettled } from '../conditions/useSettled';
import { useEntry } from '../entry/entry';
import { factor, times } from '../format/measure';
import { clock } from '../format/time';
import { useMoment } from '../moment/moment';
import { Toggle } from '../water/Toggle';
import { wayInWords } from '../water/windows';
import { useNarrow } from './useNarrow';
import { Whisker } from './Whisker';
import './tie.css';

const targetKey = 'greypebble.target';

export default function TiePage() {
  const m = useMoment();
  const [target, setTarget] = useState(() => localStorage.getItem(targetKey) ?? 'red-drum');
  const [picked, setPicked] = useState('');
  const targets = useQuery({ queryKey: ['targets'], queryFn: api.targets, staleTime: Infinity });
  const time = useSettled(m.frame?.time, 150);
  const advice = useQuery({
    queryKey: ['advise', m.spot.id, target, time, m.readings],
    queryFn: () => api.advise({ spot_id: m.spot.id, target, time: time!, readings: m.readings }),
    enabled: !!time,
    placeholderData: (previous, q) =>
      q?.queryKey[1] === m.spot.id && q?.queryKey[2] === target ? keepPreviousData(previous) : undefined,
  });
  const choices = advice.data?.choices ?? [];
  const narrow = useNarrow();
  const chosen = choices.find((c) => c.offering === picked) ?? choices[0];
  return (
    <div className="tie">
      <div className="tie-top">
        <div className="targets" role="group" aria-label="Target">
          {(targets.data ?? []).map((t) => (
            <Toggle
              key={t.id}
              on={t.id === target}
              onChange={() => {
                localStorage.setItem(targetKey, t.id);
                setTarget(t.id);
              }}
            >
              {t.name}
            </Toggle>
          ))}
        </div>
        <Link className="to-bench" to="/tie-on/bench">
          The bench
        </Link>
        <p className="quiet small">{targets.data?.find((t) => t.id === target)?.note}</p>
      </div>
      {m.frame && m.ribbon && !m.frame.open && (
        <p className="caution shut">
          You cannot get in and back at {clock(m.frame.time, m.spot.time_zone)}.{' '}
          {wayInWords(m.ribbon.windows, Date.parse(m.frame.time), m.spot.time_zone)}
        </p>
      )}
      {advice.error && (
        <p role="alert" className="panel">
          {advice.error.message}
        </p>
      )}
      {advice.data && !chosen && <p className="panel">{advice.data.note}</p>}
      {chosen && (
        <>
          <ol className="choices" aria-label="Choices, best first">
            {choices.map((c) => (
              <li key={c.offering}>
                <button
                  className={c === chosen ? 'choice chosen' : 'choice'}
                  aria-pressed={c === chosen}
                  onClick={() => setPicked(c.offering)}
                >
                  <span className="choice-edge">{times(c.edge)}</span>
                  <span className="choice-says">{c.sentence}</span>
                  <Whisker
                    edge={c.edge}
                    low={c.edge_low}
                    high={c.edge_high}
                    chosen={c === chosen}
                    width={300}
                  />
                </button>
                {narrow && c === chosen && <Detail choice={c} way={advice.data?.way} target={target} />}
              </li>
            ))}
            <li className="quiet small basis">
              ×1 is turning up blind. {advice.data?.basis} The bar holds four in five of what could be true.
            </li>
          </ol>
          {!narrow && <Detail choice={chosen} way={advice.data?.way} target={target} />}
        </>
      )}
    </div>
  );
}

function Detail({ choice, way, target }: { choice: Choice; way?: string; target: string }) {
  const entry = useEntry();
  const narrow = useNarrow();
  const log = (kind: 'catch' | 'blank') =>
    entry.open({ kind, target, approach: choice.approach, offering: choice.offering, mark: choice.mark });
  return (
    <article className="detail panel" aria-label="The chosen presentation">
      {!narrow && <h1>{choice.sentence}</h1>}
      <p className="how">{choice.retrieve}</p>
      <p className="quiet">
        {choice.rig}. Bite: {choice.bite.charAt(0).toLowerCase() + choice.bite.slice(1)}
      </p>
      <div className="detail-two">
        <section>
          <h2>Why {times(choice.edge)}</h2>
          <Reasons reasons={choice.reasons} />
        </section>
        <section>
          {choice.arithmetic.length > 0 && (
            <>
              <h2>The arithmetic</h2>
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
          <h2>Mind</h2>
          {choice.cautions
            .filter((c) => c !== way)
            .map((c) => (
              <p key={c} className="caution small">
                {c}
              </p>
            ))}
          <p className="quiet small law">Size and bag limits are your authority’s: check them.</p>
          <div className="detail-log">
            <Button type="primary" onClick={() => log('catch')}>
              Caught on this
            </Button>
            <Button onClick={() => log('blank')}>Blank on this</Button>
          </div>
        </section>
      </div>
    </article>
  );
}

const shown = 6;

function Reasons({ reasons }: { reasons: Reason[] }) {
  const [all, setAll] = useState(false);
  const rules = reasons.filter((r) => r.rule !== 'blind-pick');
  const blind = reasons.find((r) => r.rule === 'blind-pick');
  const few = all ? rules : rules.slice(0, shown);
  const rest = rules.slice(few.length);
  const product = rest.reduce((p, r) => p * r.factor, 1);
  return (
    <ul className="reasons">
      {few.map((r) => (
        <li key={r.rule}>
          <details>
            <summary>
              <Sign factor={r.factor} />
              <span>{r.says}</span>
              <span className="reason-factor">{factor(r.factor)}</span>
            </summary>
            <p className="quiet small">
              A {r.effect}, {r.certainty} ({r.origin}, {r.idea}); applies {Math.round(r.applies * 100)} %
              here.
              {r.school ? ` Anglers disagree: ${r.school}.` : ''} Your log does not speak to it yet.
            </p>
          </details>
        </li>
      ))}
      {rest.length > 0 && (
        <li>
          <button className="more" onClick={() => setAll(true)}>
            <span>{rest.length} smaller reasons</span>
            <span className="reason-factor">{factor(product)}</span>
          </button>
        </li>
      )}
      {blind && (
        <li className="reason-blind">
          <Sign factor={blind.factor} />
          <span>{blind.says}</span>
          <span className="reason-factor">{factor(blind.factor)}</span>
        </li>
      )}
    </ul>
  );
}

function Sign({ factor }: { factor: number }) {
  const plus = factor >= 1;
  return (
    <span className="sign" aria-label={plus ? 'for' : 'against'} role="img">
      {plus ? '+' : '−'}
    </span>
  );
}

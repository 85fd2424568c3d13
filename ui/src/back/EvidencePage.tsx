import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Select } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { Wide } from '../frame/Wide';
import { api } from '../api/client';
import { keys } from '../api/keys';
import { useTitle } from '../frame/useTitle';
import { fixed, perHour, times } from '../format/measure';
import './evidence.css';
import { Whisker } from '../tie/Whisker';
import { Behind } from './Behind';
import { Calibration } from './Calibration';
import { Curves } from './Curves';
import { Lessons } from './Lessons';
import { useSeen } from './useSeen';
import { back as say } from '../words/back';

/** So many rules are shown at first. */
const few = 20;

/** What one's log says of what is said: each rule as the book has it and as the log does, the most moved first. */
export default function EvidencePage() {
  useTitle(say.evidence.title);
  const targets = useQuery({ queryKey: keys.targets, queryFn: api.targets, staleTime: Infinity });
  const log = useQuery({
    queryKey: ['spells', 'evidence-target'],
    queryFn: () => api.spells({ most: 1 }),
    staleTime: 60_000,
  });
  const recent = useQuery({
    queryKey: ['spells', 'lately'],
    queryFn: () => api.spells({ most: 50 }),
    staleTime: 60_000,
  });
  const [chosen, choose] = useState<string>();
  const [all, showAll] = useState(false);
  const target = chosen ?? log.data?.spells[0]?.target ?? targets.data?.[0]?.id;
  const e = useQuery({
    queryKey: ['evidence', target],
    queryFn: () => api.evidence(target!),
    enabled: !!target,
    placeholderData: keepPreviousData,
  });
  const [seen, see] = useSeen();
  const d = e.data;
  // Others one fished for lately, for the small multiples beside.
  const fished = [...new Set(recent.data?.spells.map((s) => s.target) ?? [])]
    .filter((id) => id !== d?.target)
    .slice(0, 3)
    .map((id) => ({ id, name: targets.data?.find((t) => t.id === id)?.name ?? id }));
  const rules = d ? (all ? d.rules : d.rules.slice(0, few)) : [];
  return (
    <div className="evidence">
      <p>
        <Link to="/back">{say.compare.toTheLog}</Link>
      </p>
      <h1>{say.evidence.title}</h1>
      <p className="quiet">{say.evidence.what}</p>
      <Select
        aria-label={say.target}
        showSearch={{ optionFilterProp: 'label' }}
        value={target ?? null}
        onChange={(t: string) => {
          choose(t);
          showAll(false);
        }}
        options={(targets.data ?? []).map((t) => ({ value: t.id, label: t.name }))}
      />
      {e.error && <p role="alert">{e.error.message}</p>}
      {!d && !e.error && <p className="quiet">{say.evidence.reckoning}</p>}
      {d && d.spells === 0 && (
        <div className="panel empty">
          <h2>{say.evidence.nothingOf(d.target_name)}</h2>
          <p className="quiet">{say.evidence.theBookStands}</p>
        </div>
      )}
      {d && d.spells > 0 && (
        <>
          <p className="sum" aria-live="polite">
            {say.evidence.sum(
              d.spells,
              d.catches,
              fixed(d.rod_hours, 1),
              perHour(d.base.median),
              perHour(d.base.low),
              perHour(d.base.high),
            )}
          </p>
          {d.dispersion > 1.5 && <p className="quiet">{say.evidence.scatter(fixed(d.dispersion, 1))}</p>}
          {d.going_on > 0 && <p className="quiet">{say.evidence.goingOn(d.going_on)}</p>}
          {d.left_out > 0 && <p className="quiet">{say.evidence.leftOut(d.left_out)}</p>}
          {d.against
            .filter((a) => !seen.includes(a.rule))
            .map((a) => (
              <p key={a.rule} className="panel" role="status">
                {say.evidence.against(a.says, a.reads)}{' '}
                <button className="plain" onClick={() => see(a.rule)}>
                  {say.evidence.iHaveSeenIt}
                </button>
              </p>
            ))}
          <ul className="panel evidence-rules">
            {rules.map((r) => (
              <li key={r.rule}>
                <div>
                  <p>
                    <b>{r.says}</b> <span className="quiet">{r.reads}</span>
                  </p>
                  {r.apart && <p className="small">{r.apart}</p>}
                  <Behind target={d.target} rule={r.rule} spells={r.spells} />
                </div>
                <div className="evidence-two">
                  <span className="quiet small">{say.evidence.book}</span>
                  <Whisker edge={r.prior.median} low={r.prior.low} high={r.prior.high} plain />
                  <span className="small">{say.evidence.log}</span>
                  <Whisker edge={r.log.median} low={r.log.low} high={r.log.high} plain chosen />
                </div>
              </li>
            ))}
          </ul>
          <p className="quiet small">{say.evidence.scale(times(1 / 8), times(8))}</p>
          {!all && d.rules.length > few && (
            <button className="act" onClick={() => showAll(true)}>
              {say.evidence.showAll(d.rules.length)}
            </button>
          )}
          <Lessons target={d.target} />
          <section className="panel evidence-part">
            <h2>{say.evidence.spots}</h2>
            <Wide label={say.evidence.spots}>
              <table className="evidence-table">
                <thead>
                  <tr>
                    <th scope="col">{say.spot}</th>
                    <th scope="col">{say.evidence.anHour}</th>
                    <th scope="col">{say.evidence.between}</th>
                    <th scope="col">{say.evidence.fish}</th>
                    <th scope="col">{say.evidence.hours}</th>
                    <th scope="col">{say.evidence.spells}</th>
                  </tr>
                </thead>
                <tbody>
                  {d.spots.map((s) => (
                    <tr key={s.spot_id}>
                      <th scope="row">{s.spot_name}</th>
                      <td>{perHour(s.rate.median)}</td>
                      <td>{say.evidence.span(perHour(s.rate.low), perHour(s.rate.high))}</td>
                      <td>{s.catches}</td>
                      <td>{fixed(s.rod_hours, 1)}</td>
                      <td>{s.spells}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </Wide>
            <p className="quiet small">{say.evidence.drawnTogether}</p>
          </section>
          <Curves targets={[{ id: d.target, name: d.target_name }, ...fished]} />
          <Calibration zone={log.data?.spells[0]?.time_zone ?? 'UTC'} />
        </>
      )}
    </div>
  );
}

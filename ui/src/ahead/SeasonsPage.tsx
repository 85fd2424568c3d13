import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, type Seasons } from '../api/client';
import { keys } from '../api/keys';
import { useTitle } from '../frame/useTitle';
import { fixed } from '../format/measure';
import { fromSI, unitOf, way } from '../format/spoken';
import { usePlace } from '../moment/moment';
import { Wide } from '../frame/Wide';
import { ahead as say } from '../words/ahead';
import { UpRiver } from './UpRiver';
import './seasons.css';

/** A year by months: what the fish of each water do, by the book and the usual warmth. */
export default function SeasonsPage() {
  useTitle(say.seasons);
  const here = usePlace();
  const q = useQuery({ queryKey: keys.seasons, queryFn: api.seasons });
  if (q.error) return <p role="alert">{q.error.message}</p>;
  if (!q.data) return <p className="panel quiet">{say.lookingOverTheYear}</p>;
  const now = here.present().getMonth();
  return (
    <div className="seasons">
      <p>
        <Link to="/ahead">{say.backToAhead}</Link>
      </p>
      <h1>{say.seasons}</h1>
      <p className="quiet">{say.seasonsAre}</p>
      <ul className="seasons-key">
        {(['prime', 'feeding', 'slow', 'away', 'there'] as const).map((k) => (
          <li key={k}>
            <i className={`season ${k}`} /> {say.presence[k]}
          </li>
        ))}
      </ul>
      {q.data.waters.map((w) => (
        <WaterYear key={w.water_id} water={w} now={now} />
      ))}
      {q.data.up_river.length > 0 && <UpRiver runs={q.data.up_river} />}
      {q.data.runs.length > 0 && (
        <section className="panel">
          <h2>{say.whichWaterFirst}</h2>
          <ul>
            {q.data.runs.map((r) => (
              <li key={r.target}>
                <b>{r.name}:</b> {r.waters.map((k) => say.fromAbout(k.water, dayOf(k.warms))).join(', ')}
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}

const dayOf = (t: string) =>
  new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' }).format(new Date(t));

function WaterYear({ water: w, now }: { water: Seasons['waters'][number]; now: number }) {
  const warm = new Map(w.warmth.map((m) => [m.month, m.mean]));
  return (
    <section className="panel seasons-water">
      <h2>{w.water}</h2>
      <Wide label={w.water}>
        <table>
          <thead>
            <tr>
              <th scope="col">{say.fish}</th>
              {say.months.map((m, i) => (
                <th scope="col" key={m} aria-current={i === now ? 'date' : undefined}>
                  {m}
                </th>
              ))}
            </tr>
            {warm.size > 0 && (
              <tr className="quiet small">
                <th scope="row">{say.usualWarmth(unitOf('temperature'))}</th>
                {say.months.map((m, i) => (
                  <td key={m}>
                    {warm.has(i + 1) ? fixed(fromSI(way('temperature'), warm.get(i + 1)!), 0) : ''}
                  </td>
                ))}
              </tr>
            )}
          </thead>
          <tbody>
            {w.seasons.map((s) => (
              <tr key={s.target}>
                <th scope="row">{s.name}</th>
                {s.months.map((p, i) => (
                  <td key={i} aria-current={i === now ? 'date' : undefined}>
                    <i
                      className={`season ${p}`}
                      role="img"
                      aria-label={say.presence[p as keyof typeof say.presence]}
                    />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </Wide>
      {warm.size === 0 && (
        <p className="small">
          {say.nobodyHasSaidHowWarm} <Link to="/set-up/waters/usual">{say.sayIt}</Link>
        </p>
      )}
      <details className="fold">
        <summary>{say.theNextFourWeeks}</summary>
        <ul className="small">
          {w.seasons.map((s) => (
            <li key={s.target}>{s.ahead}</li>
          ))}
        </ul>
      </details>
    </section>
  );
}

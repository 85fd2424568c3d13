import { useQuery } from '@tanstack/react-query';
import { Wide } from '../frame/Wide';
import { api } from '../api/client';
import { perHour, times } from '../format/measure';
import { fixed } from '../format/spoken';
import { trial as say } from '../words/trial';

type Ratio = { value: number | null; low: number | null; high: number | null };

/** What a trial showed: arm by arm, pair by pair, and what is to be read with it. */
export function Result({ id, blocks }: { id: string; blocks: number }) {
  // Asked once for as many blocks: each look is counted.
  const q = useQuery({
    queryKey: ['trial-result', id, blocks],
    queryFn: () => api.trialResult(id),
    staleTime: Infinity,
  });
  if (q.error) return <p role="alert">{q.error.message}</p>;
  const r = q.data;
  if (!r) return null;
  return (
    <section className="panel trial-result">
      <h2>{say.whatDidItShow}</h2>
      <ul className="trial-warnings">
        {r.warnings.map((w) => (
          <li key={w}>{w}</li>
        ))}
      </ul>
      <Wide label={say.whatDidItShow}>
        <table className="trial-table">
          <thead>
            <tr>
              <th scope="col">{say.theArm}</th>
              <th scope="col">{say.landed}</th>
              <th scope="col">{say.hours}</th>
              <th scope="col">{say.anHour}</th>
              <th scope="col">{say.hooked}</th>
              <th scope="col">{say.missed}</th>
              <th scope="col">{say.foul}</th>
            </tr>
          </thead>
          <tbody>
            {r.arms.map((a) => (
              <tr key={a.name}>
                <th scope="row">{a.name}</th>
                <td>{a.landed}</td>
                <td>{fixed(a.rod_hours, 1)}</td>
                <td>
                  {say.span(perHour(a.rate.value ?? 0), perHour(a.rate.low ?? 0), perHour(a.rate.high ?? 0))}
                </td>
                <td>{a.hooked}</td>
                <td>{a.missed}</td>
                <td>{a.foul}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Wide>
      {r.arms.some((a) => a.on_teaser + a.set_apart > 0) && (
        <p className="quiet small">
          {say.notCredited(
            r.arms.reduce((n, a) => n + a.on_teaser, 0),
            r.arms.reduce((n, a) => n + a.set_apart, 0),
          )}
        </p>
      )}
      {r.pairs.map((p) => (
        <div key={p.first + p.second} className="trial-pair">
          <h3>{say.pair(p.first, p.second)}</h3>
          <p>{p.says}</p>
          {p.landed_says && <p>{say.landedOfHooked(p.landed_says)}</p>}
          {p.foul_says && <p>{say.foulOfHooked(p.foul_says)}</p>}
          <p className="quiet small">
            {say.ratio(p.first, p.second, told(p.ratio), told(p.believed), p.believed.p)}
          </p>
          {p.species.map((s) => (
            <p key={s.target} className="quiet small">
              {say.ofSpecies(s.target, told(s.ratio))}
            </p>
          ))}
        </div>
      ))}
    </section>
  );
}

/** A ratio with its bounds, as far as it has any. */
const told = (r: Ratio) =>
  say.between(
    r.value === null ? undefined : times(r.value),
    r.low === null ? undefined : times(r.low),
    r.high === null ? undefined : times(r.high),
  );

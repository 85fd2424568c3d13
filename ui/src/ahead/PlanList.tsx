import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api } from '../api/client';
import { keys } from '../api/keys';
import { clock, day } from '../format/time';
import { ahead as say } from '../words/ahead';
import { sentences } from '../words/joined';

/** Plans that are kept and not over, the next first. */
export function PlanList() {
  const q = useQuery({ queryKey: keys.plans, queryFn: api.plans });
  if (q.error) return <p role="alert">{q.error.message}</p>;
  if (!q.data || q.data.plans.length === 0) return null;
  return (
    <>
      <h3 className="plan-list-head">{say.yourPlans}</h3>
      <ul className="plan-list">
        {q.data.plans.map((p) => (
          <li key={p.id}>
            <Link to={`/ahead/plans/${p.id}`}>
              <b>{p.name}</b>{' '}
              <span className="quiet">
                {[
                  day(p.from, p.time_zone),
                  say.fromTo(clock(p.from, p.time_zone), clock(p.to, p.time_zone)),
                  ...p.spots,
                ].join(', ')}
              </span>
            </Link>
            {p.closed && <p className="caution">{sentences(...p.closed)}</p>}
          </li>
        ))}
      </ul>
    </>
  );
}

import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api } from '../api/client';
import { useTitle } from '../frame/useTitle';
import { day } from '../format/time';
import { usePlace } from '../moment/moment';
import { Design } from './Design';
import './trial.css';
import { trial as say } from '../words/trial';

/** One's trials, and a new one. */
export default function TrialsPage() {
  useTitle(say.title);
  const { spot } = usePlace();
  const [designing, design] = useState(false);
  const list = useQuery({ queryKey: ['trials'], queryFn: api.trials });
  return (
    <div className="trial">
      <p>
        <Link to="/back">{say.toTheLog}</Link>
      </p>
      <h1>{say.title}</h1>
      <p className="quiet">{say.what}</p>
      {list.error && <p role="alert">{list.error.message}</p>}
      {list.data?.trials.length === 0 && !designing && <p className="panel">{say.none}</p>}
      {(list.data?.trials.length ?? 0) > 0 && (
        <ul className="panel trial-list">
          {list.data?.trials.map((t) => (
            <li key={t.id}>
              <Link to={`/back/trials/${t.id}`}>{t.question}</Link>{' '}
              <span className="quiet">{say.listed(t.arms, day(t.made_at, spot.time_zone))}</span>
            </li>
          ))}
        </ul>
      )}
      {designing ? (
        <Design onClose={() => design(false)} />
      ) : (
        <button className="act" onClick={() => design(true)}>
          {say.design}
        </button>
      )}
    </div>
  );
}

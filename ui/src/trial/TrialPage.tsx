import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api } from '../api/client';
import { useInvalidate } from '../api/keys';
import { owner } from '../device/device';
import { entriesOf } from '../device/entries';
import { useTitle } from '../frame/useTitle';
import { Result } from './Result';
import { Run } from './Run';
import { withWaiting } from './withWaiting';
import './trial.css';
import { trial as say } from '../words/trial';

/** A trial: fished block by block, and read when it is done. */
export default function TrialPage() {
  const { id } = useParams();
  const go = useNavigate();
  const invalidate = useInvalidate();
  const q = useQuery({
    queryKey: ['trial', id],
    queryFn: async () => withWaiting(await api.trial(id!), await entriesOf(owner()).catch(() => [])),
    enabled: !!id,
  });
  // Looked at as it stood after so many blocks; each further look is one more.
  const [lookedAt, look] = useState<number>();
  const remove = useMutation({
    mutationFn: () => api.deleteTrial(id!),
    onSuccess: async () => {
      await invalidate('trials');
      void go('/back/trials');
    },
  });
  const t = q.data;
  useTitle(t?.design.question ?? say.title);
  if (q.error) return <p role="alert">{q.error.message}</p>;
  if (!t) return null;
  const told = t.blocks.filter((b) => b.ended_at).length;
  const done = t.blocks.filter((b) => b.ended_at && !b.dropped).length;
  return (
    <div className="trial">
      <p>
        <Link to="/back/trials">{say.allTrials}</Link>
      </p>
      <h1>{t.design.question}</h1>
      <p className="quiet">{say.planned(t.turns.length, t.design.block_min, t.lasts_min / 60)}</p>
      {[...t.unalike, ...t.changed].map((w) => (
        <p key={w} className="panel trial-warning">
          {w}
        </p>
      ))}
      {t.blocks.length === 0 && (
        <details className="panel">
          <summary>{say.wouldItTell}</summary>
          <ul>
            {t.shows.map((s) => (
              <li key={s.per_rod_hour}>{say.shows(s.per_rod_hour, s.four_to_three, s.two_to_one)}</li>
            ))}
          </ul>
        </details>
      )}
      <Run trial={t} />
      {told > 0 && lookedAt !== told && (
        <div className="panel">
          {t.next && <p>{say.peeking(done, t.turns.length)}</p>}
          <button className="act" onClick={() => look(told)}>
            {t.next ? say.lookAnyway : say.whatDidItShow}
          </button>
        </div>
      )}
      {told > 0 && lookedAt === told && <Result id={t.id} blocks={told} />}
      <p>
        <button className="plain" disabled={remove.isPending} onClick={() => remove.mutate()}>
          {say.remove}
        </button>
      </p>
    </div>
  );
}

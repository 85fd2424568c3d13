import { useMutation, useQuery } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { v7 } from 'uuid';
import { api } from '../api/client';
import { useInvalidate } from '../api/keys';
import { perHour } from '../format/measure';
import { clock, weekday } from '../format/time';
import { back as say } from '../words/back';

/** The spells of the next days that would teach most, each to be made a plan of. */
export function Lessons({ target }: { target: string }) {
  const go = useNavigate();
  const invalidate = useInvalidate();
  const q = useQuery({
    queryKey: ['lessons', target],
    queryFn: () => api.lessons(target),
    staleTime: 600_000,
  });
  const plan = useMutation({
    mutationFn: async (l: NonNullable<typeof q.data>['lessons'][number]) => {
      const id = v7();
      const half = (l.hours * 3_600_000) / 2;
      const when = (ms: number) => new Date(Date.parse(l.time) + ms).toISOString();
      await api.putPlan(id, {
        name: say.lessons.plan(l.spot_name),
        from: when(-half - 3_600_000),
        to: when(half + 3_600_000),
        targets: [target],
        stays: [{ spot_id: l.spot_id, target, arrive: when(-half), leave: when(half), pinned: true }],
      } as Parameters<typeof api.putPlan>[1]);
      return id;
    },
    onSuccess: async (id) => {
      await invalidate('plans');
      void go(`/ahead/plans/${id}`);
    },
  });
  if (!q.data || q.data.lessons.length === 0) return null;
  return (
    <section className="panel evidence-part">
      <h2>{say.lessons.title}</h2>
      <p className="quiet">{say.lessons.what}</p>
      <ul className="evidence-lessons">
        {q.data.lessons.map((l) => (
          <li key={l.spot_id}>
            <p>
              <b>{say.lessons.at(l.spot_name, weekday(l.time, l.time_zone), clock(l.time, l.time_zone))}</b>{' '}
              {say.lessons.would((100 * l.drop).toFixed(l.drop < 0.1 ? 1 : 0), perHour(l.expected))}
            </p>
            <p className="quiet small">{say.lessons.of(l.of)}</p>
            <button className="act" disabled={plan.isPending} onClick={() => plan.mutate(l)}>
              {say.lessons.planIt}
            </button>
          </li>
        ))}
      </ul>
      {plan.error && <p role="alert">{plan.error.message}</p>}
    </section>
  );
}

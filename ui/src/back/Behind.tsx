import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../api/client';
import { fixed } from '../format/measure';
import { day } from '../format/time';
import { back as say } from '../words/back';

/** The spells behind what the log says of a rule, opened when they are asked for. */
export function Behind(props: { target: string; rule: string; spells: number }) {
  const { target, rule } = props;
  const [open, setOpen] = useState(false);
  const q = useQuery({
    queryKey: ['evidence-rule', target, rule],
    queryFn: () => api.evidenceRule(target, rule),
    enabled: open,
  });
  return (
    <details className="behind" onToggle={(e) => setOpen((e.target as HTMLDetailsElement).open)}>
      <summary>{say.evidence.behind(props.spells)}</summary>
      {q.data && (
        <table className="evidence-table">
          <thead>
            <tr>
              <th scope="col">{say.evidence.day}</th>
              <th scope="col">{say.spot}</th>
              <th scope="col">{say.evidence.more}</th>
              <th scope="col">{say.evidence.fish}</th>
              <th scope="col">{say.evidence.hours}</th>
            </tr>
          </thead>
          <tbody>
            {q.data.spells.map((s) => (
              <tr key={s.spell_id}>
                <th scope="row">{day(s.started_at, s.time_zone)}</th>
                <td>{s.spot_name}</td>
                <td>{fixed(s.more, 2)}</td>
                <td>{s.catches}</td>
                <td>{fixed(s.rod_hours, 1)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </details>
  );
}

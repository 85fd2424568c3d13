import { useQuery } from '@tanstack/react-query';
import { Wide } from '../frame/Wide';
import { api } from '../api/client';
import { fixed } from '../format/measure';
import { day } from '../format/time';
import { back as say } from '../words/back';

/** Whether what was predicted came, over time. */
export function Calibration({ zone }: { zone: string }) {
  const q = useQuery({ queryKey: ['calibration'], queryFn: () => api.calibration() });
  const c = q.data;
  if (!c) return null;
  return (
    <section className="panel evidence-part">
      <h2>{say.calibration.title}</h2>
      <p>{c.reads}</p>
      {c.spells > 0 && (
        <>
          <p className="quiet">
            {say.calibration.sum(c.catches, fixed(c.expected, 0), fixed(c.expected_by_book, 0))}
          </p>
          <Wide label={say.calibration.title}>
            <table className="evidence-table">
              <thead>
                <tr>
                  <th scope="col">{say.calibration.since}</th>
                  <th scope="col">{say.calibration.caught}</th>
                  <th scope="col">{say.calibration.expected}</th>
                  <th scope="col">{say.calibration.inside}</th>
                  <th scope="col">{say.calibration.logOverBook}</th>
                </tr>
              </thead>
              <tbody>
                {c.parts.map((p) => (
                  <tr key={p.from}>
                    <th scope="row">{day(p.from, zone)}</th>
                    <td>{p.catches}</td>
                    <td>{fixed(p.expected, 1)}</td>
                    <td>{fixed(10 * p.inside, 0)}</td>
                    <td>{fixed(p.log_score - p.book_score, 2)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </Wide>
          <p className="quiet small">
            {say.calibration.scores(fixed(c.log_score, 2), fixed(c.book_score, 2), fixed(c.average_score, 2))}
          </p>
        </>
      )}
    </section>
  );
}

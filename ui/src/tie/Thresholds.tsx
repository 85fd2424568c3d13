import type { Advice } from '../api/client';

const told = 4;

/** What would change the choice, nearest first; what cannot work now, and why. */
export function Thresholds({ advice }: { advice: Advice }) {
  if (advice.what_would_change.length === 0 && advice.ruled_out.length === 0) return null;
  return (
    <section className="thresholds">
      {advice.what_would_change.length > 0 && (
        <>
          <h2>What would change it</h2>
          <ul>
            {advice.what_would_change.slice(0, told).map((t) => (
              <li key={t.kind + String(t.rises)}>{t.says}</li>
            ))}
          </ul>
        </>
      )}
      {advice.ruled_out.length > 0 && (
        <details>
          <summary className="small">
            {advice.ruled_out.length} {advice.ruled_out.length === 1 ? 'thing' : 'things'} cannot work here
            now
          </summary>
          <ul className="small quiet">
            {advice.ruled_out.map((r) => (
              <li key={r.offering}>
                {r.offering}: {r.why}.
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

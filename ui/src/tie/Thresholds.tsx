import type { Advice } from '../api/client';
import { tie as say } from '../words/tie';

const told = 4;

/** What would change the choice, nearest first; what cannot work now, and why. */
export function Thresholds({ advice }: { advice: Advice }) {
  if (advice.what_would_change.length === 0 && advice.ruled_out.length === 0) return null;
  return (
    <section className="thresholds">
      {advice.what_would_change.length > 0 && (
        <>
          <h2>{say.whatWouldChangeIt}</h2>
          <ul>
            {advice.what_would_change.slice(0, told).map((t) => (
              <li key={t.kind + String(t.rises)}>{t.says}</li>
            ))}
          </ul>
        </>
      )}
      {advice.ruled_out.length > 0 && (
        <details>
          <summary className="small">{say.cannotWorkHereNow(advice.ruled_out.length)}</summary>
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

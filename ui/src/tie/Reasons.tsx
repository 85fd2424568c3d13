import { useState } from 'react';
import type { Reason } from '../api/client';
import { factor } from '../format/measure';

const shown = 6;

/** Why an edge is what it is: every rule that has a say, largest first, and the blind pick last. */
export function Reasons({ reasons }: { reasons: Reason[] }) {
  const [all, setAll] = useState(false);
  const rules = reasons.filter((r) => r.rule !== 'blind-pick');
  const blind = reasons.find((r) => r.rule === 'blind-pick');
  const few = all ? rules : rules.slice(0, shown);
  const rest = rules.slice(few.length);
  const product = rest.reduce((p, r) => p * r.factor, 1);
  return (
    <ul className="reasons">
      {few.map((r) => (
        <li key={r.rule}>
          <details>
            <summary>
              <Sign factor={r.factor} />
              <span>{r.says}</span>
              <span className="reason-factor">{factor(r.factor)}</span>
            </summary>
            <p className="quiet small">
              A {r.effect}, {r.certainty} ({r.origin}, {r.idea}); applies {Math.round(r.applies * 100)} %
              here.
              {r.school ? ` Anglers disagree. ${r.school}.` : ''} Your log does not speak to it yet.
            </p>
          </details>
        </li>
      ))}
      {rest.length > 0 && (
        <li>
          <button className="more" onClick={() => setAll(true)}>
            <span>{rest.length} smaller reasons</span>
            <span className="reason-factor">{factor(product)}</span>
          </button>
        </li>
      )}
      {blind && (
        <li className="reason-blind">
          <Sign factor={blind.factor} />
          <span>{blind.says}</span>
          <span className="reason-factor">{factor(blind.factor)}</span>
        </li>
      )}
    </ul>
  );
}

function Sign({ factor }: { factor: number }) {
  const plus = factor >= 1;
  return (
    <span className="sign" aria-label={plus ? 'for' : 'against'} role="img">
      {plus ? '+' : '−'}
    </span>
  );
}

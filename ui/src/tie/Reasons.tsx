import { useState } from 'react';
import { Link } from 'react-router';
import type { Reason } from '../api/client';
import { factor } from '../format/measure';

/** Why an edge is what it is: what each family of rules says, largest first, and what is left over last. */
export function Reasons({ reasons, few: shown = 6 }: { reasons: Reason[]; few?: number }) {
  const [all, setAll] = useState(false);
  const told = reasons.filter((r) => r.effect !== '');
  const over = reasons.filter((r) => r.effect === '');
  const few = all ? told : told.slice(0, shown);
  const rest = told.slice(few.length);
  const product = rest.reduce((p, r) => p * r.factor, 1);
  if (reasons.length === 0) return null;
  return (
    <ul className="reasons">
      {few.map((r) => (
        <li key={`${r.part} ${r.family}`}>
          <details>
            <summary>
              <Sign factor={r.factor} />
              <span>{r.says}</span>
              <span className="reason-factor">{factor(r.factor)}</span>
            </summary>
            <div className="reason-more quiet small">
              <p>
                A {r.effect}, {r.certainty} ({r.origin}, {r.idea}). It holds {share(r.applies)} here,{' '}
                {share(r.ordinary)}{' '}
                {r.part === 'taken' ? 'of the best that could be offered' : 'in an ordinary spell'}.
                {r.school ? ` Anglers disagree. ${r.school}.` : ''} Your log does not speak to it yet.{' '}
                <Link to={`/set-up/book/rules?rule=${r.rule}`}>The rule</Link>
              </p>
              {r.rules.length > 1 && (
                <ul>
                  {r.rules
                    .filter((k) => k.says !== '' && Math.abs(Math.log(k.factor)) > 0.004)
                    .map((k) => (
                      <li key={k.rule}>
                        {k.says} {factor(k.factor)}
                      </li>
                    ))}
                </ul>
              )}
            </div>
          </details>
        </li>
      ))}
      {rest.length > 0 && (
        <li>
          <button className="more" onClick={() => setAll(true)}>
            <span>{rest.length === 1 ? 'one smaller reason' : `${rest.length} smaller reasons`}</span>
            <span className="reason-factor">{factor(product)}</span>
          </button>
        </li>
      )}
      {over.map((r) => (
        <li className="reason-over" key={r.rule}>
          <Sign factor={r.factor} />
          <span>{r.says}</span>
          <span className="reason-factor">{factor(r.factor)}</span>
        </li>
      ))}
    </ul>
  );
}

const share = (w: number) => (w > 0.985 ? 'in full' : `to ${Math.round(w * 100)} %`);

function Sign({ factor }: { factor: number }) {
  const plus = factor >= 1;
  return (
    <span className="sign" aria-label={plus ? 'for' : 'against'} role="img">
      {plus ? '+' : '−'}
    </span>
  );
}

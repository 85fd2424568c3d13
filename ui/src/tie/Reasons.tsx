import { useState } from 'react';
import { Link } from 'react-router';
import type { Reason } from '../api/client';
import { factor } from '../format/measure';
import { tie as say } from '../words/tie';

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
                {say.aItHoldsHereYour(
                  r.effect,
                  r.certainty,
                  r.origin,
                  r.idea,
                  share(r.applies),
                  share(r.ordinary),
                  r.part === 'taken' ? say.ofTheBestThatCould : say.inAnOrdinarySpell,
                  r.school ? say.anglersDisagree(r.school) : '',
                  <Link to={`/set-up/book/rules?rule=${r.rule}`}>{say.theRule}</Link>,
                )}
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
            <span>{say.smallerReasons(rest.length)}</span>
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

const share = (w: number) => (w > 0.985 ? say.inFull : say.to(Math.round(w * 100)));

function Sign({ factor }: { factor: number }) {
  const plus = factor >= 1;
  return (
    <span className="sign" aria-label={plus ? say.forWord : say.against} role="img">
      {plus ? '+' : '−'}
    </span>
  );
}

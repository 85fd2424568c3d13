import { Problem, type Verdict as Said } from '../api/client';
import { law as say } from '../words/law';
import { useVerdict, type FishInHand } from './useVerdict';
import './verdict.css';

const shapes = { keep: 'M4 11l5 5L18 5', release: 'M18 11H5m5-6l-6 6 6 6', 'not known': '' } as const;

/** What the rules entered say of a fish in the hand: the word, why in a line, and what is left of the bag. */
export function Verdict({ fish }: { fish: FishInHand | undefined }) {
  const v = useVerdict(fish);
  if (v.error)
    return (
      <p role="alert" className="caution small">
        {v.error instanceof Problem && v.error.status === 0 ? say.notKnownHere : v.error.message}
      </p>
    );
  return v.data ? <Shown v={v.data} /> : null;
}

export function Shown({ v }: { v: Said }) {
  // One's own count stands in the reason of a fish that may be kept.
  const aboard = v.bag && (v.bag.people.length > 1 || v.verdict !== 'keep') ? v.bag.people : [];
  return (
    <section className={`verdict ${v.verdict.replace(' ', '-')}`} aria-live="polite" aria-atomic="true">
      <p className="verdict-word">
        <svg viewBox="0 0 22 22" aria-hidden="true">
          {v.verdict === 'not known' ? (
            <text x="11" y="17" textAnchor="middle">
              ?
            </text>
          ) : (
            <path d={shapes[v.verdict]} />
          )}
        </svg>
        {v.stale && v.verdict === 'keep' ? say.allowedWhenLookedUp : say.words[v.verdict]}
      </p>
      <p className="verdict-why">{v.why}</p>
      {v.notes.map((n) => (
        <p key={n} className={v.near || v.stale ? 'verdict-note' : 'small'}>
          {n}
        </p>
      ))}
      {(aboard.length > 0 || v.bag?.boat) && (
        <dl className="verdict-bag">
          <dt>{say.bag2}</dt>
          {aboard.map((p) => (
            <dd key={p.angler ?? ''}>
              {p.angler ?? say.you} <b>{say.leftOf(p.left, p.of)}</b>
            </dd>
          ))}
          {v.bag?.boat && (
            <dd>
              {say.boat} <b>{say.leftOf(v.bag.boat.left, v.bag.boat.of)}</b>
            </dd>
          )}
        </dl>
      )}
      {v.verdict === 'keep' && v.duties.length > 0 && (
        <p>
          <b>{say.owed}:</b> {v.duties.join(' ')}
        </p>
      )}
      {[...v.codes, ...v.advisory].map((c) => (
        <p key={c} className="small">
          {c}
        </p>
      ))}
      {v.sources.length > 0 && (
        <details className="small">
          <summary>{say.restsOn}</summary>
          <ul>
            {v.sources.map((s, i) => (
              <li key={i}>
                <b>{s.rule}</b> {say.checkedOn(s.source, s.checked, s.checked_by ?? '')}
                {s.stale && `: ${say.lookItUp}`}
              </li>
            ))}
          </ul>
          <p>{say.askAuthority}</p>
        </details>
      )}
    </section>
  );
}

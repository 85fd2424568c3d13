import type { Advice } from '../api/client';
import { tie as say } from '../words/tie';

/** What speaks against going, before anything else: what not to do, then what to think about again. */
export function Going({ advice, shut }: { advice: Advice; shut?: string }) {
  const grave = advice.cautions.filter((c) => c.severity !== 'note');
  if (grave.length === 0) return null;
  return (
    <div className={advice.gravest === 'do not' ? 'going do-not' : 'going'} role="alert">
      {grave.map((c) => (
        <p key={c.id + c.says} className={c.severity === 'do not' ? 'caution grave' : 'caution'}>
          {c.severity === 'think' && <b>{say.thinkAgain} </b>}
          {c.id === 'way' && shut ? say.doNotGo(shut) : c.says}
        </p>
      ))}
      <p className="quiet small">{say.byYourLimitsInSet}</p>
    </div>
  );
}

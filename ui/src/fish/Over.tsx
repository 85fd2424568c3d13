import { Link } from 'react-router';
import type { Target } from '../api/client';
import { duration } from './duration';
import { Found } from './Found';
import { Snag } from './Snag';
import type { Told } from './touch';
import { fish as say } from '../words/fish';

/** What an outing came to, when it is over. */
export function Over({ told, targets, onClose }: { told: Told; targets: Target[]; onClose: () => void }) {
  const name = (id: string) => targets.find((t) => t.id === id)?.name ?? id;
  // Each mark at which the hook held the bottom, once.
  const snags = told.spells
    .filter((s) => s.mark && s.events?.some((e) => e.kind === 'snagged' || e.kind === 'broke off'))
    .filter((s, i, all) => all.findIndex((k) => k.mark === s.mark && k.spot_id === s.spot_id) === i);
  return (
    <section className="panel fish-over">
      <h1>{say.isOver}</h1>
      <p>{say.cameTo(told.total.fish, told.total.rod_hours)}</p>
      <ul>
        {told.spells.map((s) => (
          <li key={s.id}>
            {say.spellCameTo(
              name(s.target),
              s.offering ?? '',
              duration(s.lasted_s * 1000),
              s.tally.fish,
              s.tally.rod_hours,
            )}
          </li>
        ))}
      </ul>
      {snags.map((s) => (
        <Snag key={s.spot_id + s.mark} spot={s.spot_id} mark={s.mark!} />
      ))}
      {told.spells.flatMap((s) =>
        (s.events ?? [])
          .filter((e) => e.kind === 'way shut' || (e.kind === 'sounded' && s.mark))
          .map((e) => (
            <Found
              key={e.id}
              spot={s.spot_id}
              mark={s.mark ?? ''}
              time={e.time}
              depth={e.kind === 'sounded' ? e.depth_m : undefined}
            />
          )),
      )}
      <p className="quiet">{say.beforeYouGo}</p>
      <div className="fish-row">
        <Link className="act" to="/back">
          {say.inTheLog}
        </Link>
        <button className="act" onClick={onClose}>
          {say.done}
        </button>
      </div>
    </section>
  );
}

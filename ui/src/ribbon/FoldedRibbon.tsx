import { metres } from '../format/measure';
import { clock } from '../format/time';
import { useMoment, usePlace } from '../moment/moment';
import './ribbon.css';

const hour = 3_600_000;

/** The ribbon in one line: the moment, its level, and the next turn; an hour on or back by a touch. */
export function FoldedRibbon({ onOpen }: { onOpen: () => void }) {
  const here = usePlace();
  const moment = useMoment();
  const f = moment.frame;
  if (!f) return <section className="ribbon-line" aria-label="Tide ribbon" />;
  const zone = here.spot.time_zone;
  const at = Date.parse(f.time);
  const next = moment.ribbon?.turns.find((k) => Date.parse(k.time) > at);
  return (
    <section className="ribbon-line" aria-label="Tide ribbon">
      <button onClick={() => moment.moveTime(new Date(at - hour))} aria-label="An hour back">
        ‹
      </button>
      <button className="ribbon-line-says" onClick={onOpen} title="Unfold the ribbon" aria-expanded={false}>
        <b>{clock(f.time, zone)}</b> {metres(f.level_m)}{' '}
        {f.slack ? 'slack' : f.rate_m_per_h > 0 ? 'rising' : 'falling'}
        {next && (
          <span className="quiet">
            , {next.kind} {clock(next.time, zone)}
          </span>
        )}
      </button>
      <button onClick={() => moment.moveTime(new Date(at + hour))} aria-label="An hour on">
        ›
      </button>
      <button onClick={() => moment.moveTime(here.present())}>now</button>
    </section>
  );
}

import { metres } from '../format/measure';
import { clock } from '../format/time';
import { useMoment, usePlace } from '../moment/moment';
import './ribbon.css';
import { ribbon as say } from '../words/ribbon';

const hour = 3_600_000;

/** The ribbon in one line: the moment, its level, and the next turn; an hour on or back by a touch. */
export function FoldedRibbon({ onOpen }: { onOpen: () => void }) {
  const here = usePlace();
  const moment = useMoment();
  const f = moment.frame;
  if (!f) return <section className="ribbon-line" aria-label={say.tideRibbon} />;
  const zone = here.spot.time_zone;
  const at = Date.parse(f.time);
  const next = moment.ribbon?.turns.find((k) => Date.parse(k.time) > at);
  return (
    <section className="ribbon-line" aria-label={say.tideRibbon}>
      <button onClick={() => moment.moveTime(new Date(at - hour))} aria-label={say.anHourBack}>
        ‹
      </button>
      <button className="ribbon-line-says" onClick={onOpen} title={say.unfoldTheRibbon} aria-expanded={false}>
        <b>{clock(f.time, zone)}</b> {metres(f.level_m)}{' '}
        {f.slack ? say.slack : f.rate_m_per_h > 0 ? say.rising : say.falling}
        {next && (
          <span className="quiet">
            , {next.kind} {clock(next.time, zone)}
          </span>
        )}
      </button>
      <button onClick={() => moment.moveTime(new Date(at + hour))} aria-label={say.anHourOn}>
        ›
      </button>
      <button onClick={() => moment.moveTime(here.present())}>{say.now}</button>
    </section>
  );
}

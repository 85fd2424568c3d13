import { Link } from 'react-router';
import type { AheadWindow, Along } from '../api/client';
import { perHour, times } from '../format/measure';
import { clock, day } from '../format/time';
import { useLookedInto } from './useLookedInto';
import { ahead as say } from '../words/ahead';

const keyOf = (w: AheadWindow) => `${w.spot_id} ${w.best_from}`;

/** The windows of the coming days, best first; the chosen one opens to what is said of it. */
export function WindowList(props: {
  windows: AheadWindow[];
  found: number;
  onMore: () => void;
  chosen: string;
  /** What is worth going for, and with whom: what would spoil a window is held against them. */
  least: number;
  along: Along[];
  /** Where a window is had as a calendar. */
  calendarOf: (w: AheadWindow) => string;
  onChoose: (w: AheadWindow, key: string) => void;
}) {
  const { windows, found, chosen, least, along, calendarOf, onMore, onChoose } = props;
  return (
    <ol className="window-list" aria-label={say.windowsBestFirst}>
      {windows.map((w) => {
        const key = keyOf(w);
        const zone = w.time_zone;
        return (
          <li key={key}>
            <button aria-expanded={key === chosen} onClick={() => onChoose(w, key)}>
              <span className="window-when">
                <b>{day(w.best_from, zone)}</b> {clock(w.best_from, zone)}–{clock(w.best_until, zone)}
                {w.dark && <span className="quiet"> {say.dark}</span>}
              </span>
              <span className="window-edge">{times(w.edge)}</span>
              <span className="window-what">
                {w.spot}, {w.target_name}
                {w.release_only && <span className="quiet">, {say.releaseOnly}</span>}
              </span>
              {w.be_out_by && <span className="window-out">{say.outBy(clock(w.be_out_by, zone))}</span>}
            </button>
            {key === chosen && <Opened w={w} least={least} along={along} calendar={calendarOf(w)} />}
          </li>
        );
      })}
      {found > windows.length && (
        <li className="quiet small">
          <button className="window-more" onClick={onMore}>
            {say.more(found - windows.length)}
          </button>
        </li>
      )}
    </ol>
  );
}

function Opened(props: { w: AheadWindow; least: number; along: Along[]; calendar: string }) {
  const { w, least, along, calendar } = props;
  const asked = {
    spot_id: w.spot_id,
    target: w.target,
    from: w.best_from,
    until: w.best_until,
    least,
    along,
  };
  const into = useLookedInto(asked);
  const zone = w.time_zone;
  const span = (from?: string | null, to?: string | null) =>
    say.to(
      from ? `${day(from, zone)} ${clock(from, zone)}` : say.beforeTheseDays,
      to ? clock(to, zone) : say.afterTheseDays,
    );
  return (
    <div className="window-opened">
      <dl>
        <div>
          <dt>{say.worthIt}</dt>
          <dd>{span(w.from, w.to)}</dd>
        </div>
        {w.opens && (
          <div>
            <dt>{say.theWayOpens}</dt>
            <dd>
              {day(w.opens, zone)} {clock(w.opens, zone)}
            </dd>
          </div>
        )}
        {w.shuts && (
          <div>
            <dt>{say.itShuts}</dt>
            <dd>{say.shutsAndBeOutBy(clock(w.shuts, zone), w.be_out_by && clock(w.be_out_by, zone))}</dd>
          </div>
        )}
        {into.data && (
          <div>
            <dt>{say.howSure}</dt>
            <dd>{say.fourInFive(times(into.data.low), times(into.data.high))}</dd>
          </div>
        )}
        <div>
          <dt>{say.expected}</dt>
          <dd>{say.fishARodHourAs(perHour(w.catch))}</dd>
        </div>
        {w.others.length > 0 && (
          <div>
            <dt>{say.alsoOn}</dt>
            <dd>
              {w.others
                .slice(0, 5)
                .map((o) => `${o.name} ${times(o.edge)}`)
                .join(', ')}
            </dd>
          </div>
        )}
        <div>
          <dt>{say.wouldSpoilIt}</dt>
          <dd>
            {into.data ? (
              into.data.says.map((s) => <p key={s}>{s}</p>)
            ) : (
              <span className="quiet">{into.error?.message ?? say.lookingWhatWouldSpoil}</span>
            )}
          </dd>
        </div>
        <div>
          <dt>{say.weather}</dt>
          <dd>{w.told ? say.toldByTheForecast : say.nobodyHasToldItYet}</dd>
        </div>
      </dl>
      <p className="window-ways">
        <Link className="act" to="/water">
          {say.seeTheWaterThen}
        </Link>{' '}
        <Link className="act" to="/tie-on">
          {say.whatToTieOnThen}
        </Link>{' '}
        <a className="act" href={calendar} download="window.ics">
          {say.asACalendar}
        </a>
      </p>
    </div>
  );
}

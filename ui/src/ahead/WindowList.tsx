import { Link } from 'react-router';
import type { AheadWindow } from '../api/client';
import { perHour, times } from '../format/measure';
import { clock, day } from '../format/time';

const keyOf = (w: AheadWindow) => `${w.spot_id} ${w.best_from}`;

/** The windows of the coming days, best first; the chosen one opens to what is said of it. */
export function WindowList(props: {
  windows: AheadWindow[];
  found: number;
  onMore: () => void;
  chosen: string;
  onChoose: (w: AheadWindow, key: string) => void;
}) {
  const { windows, found, chosen, onMore, onChoose } = props;
  return (
    <ol className="window-list" aria-label="Windows, best first">
      {windows.map((w) => {
        const key = keyOf(w);
        const zone = w.time_zone;
        return (
          <li key={key}>
            <button aria-expanded={key === chosen} onClick={() => onChoose(w, key)}>
              <span className="window-when">
                <b>{day(w.best_from, zone)}</b> {clock(w.best_from, zone)}–{clock(w.best_until, zone)}
                {w.dark && <span className="quiet"> dark</span>}
              </span>
              <span className="window-edge">{times(w.edge)}</span>
              <span className="window-what">
                {w.spot}, {w.target_name}
              </span>
              {w.be_out_by && <span className="window-out">out by {clock(w.be_out_by, zone)}</span>}
            </button>
            {key === chosen && <Opened w={w} />}
          </li>
        );
      })}
      {found > windows.length && (
        <li className="quiet small">
          <button className="window-more" onClick={onMore}>
            {found - windows.length} more
          </button>
        </li>
      )}
    </ol>
  );
}

function Opened({ w }: { w: AheadWindow }) {
  const zone = w.time_zone;
  const span = (from?: string | null, to?: string | null) =>
    `${from ? `${day(from, zone)} ${clock(from, zone)}` : 'before these days'} to ${to ? clock(to, zone) : 'after these days'}`;
  return (
    <div className="window-opened">
      <dl>
        <div>
          <dt>worth it</dt>
          <dd>{span(w.from, w.to)}</dd>
        </div>
        {w.opens && (
          <div>
            <dt>the way opens</dt>
            <dd>
              {day(w.opens, zone)} {clock(w.opens, zone)}
            </dd>
          </div>
        )}
        {w.shuts && (
          <div>
            <dt>it shuts</dt>
            <dd>
              {clock(w.shuts, zone)}
              {w.be_out_by && `, be out by ${clock(w.be_out_by, zone)}`}
            </dd>
          </div>
        )}
        <div>
          <dt>expected</dt>
          <dd>{perHour(w.catch)} fish a rod-hour, as far as a usual catch goes</dd>
        </div>
        {w.others.length > 0 && (
          <div>
            <dt>also on</dt>
            <dd>
              {w.others
                .slice(0, 5)
                .map((o) => `${o.name} ${times(o.edge)}`)
                .join(', ')}
            </dd>
          </div>
        )}
        <div>
          <dt>weather</dt>
          <dd>{w.told ? 'told by the forecast' : 'nobody has told it yet: the usual is assumed'}</dd>
        </div>
      </dl>
      <p className="window-ways">
        <Link className="act" to="/water">
          See the water then
        </Link>{' '}
        <Link className="act" to="/tie-on">
          What to tie on then
        </Link>
      </p>
    </div>
  );
}

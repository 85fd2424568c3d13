import { Select } from 'antd';
import { day } from '../format/time';
import { useGoing, useMoment, usePlace } from '../moment/moment';

const margins = [0, 10, 20, 30, 45, 60, 90];
const hours = [
  { value: 'any', label: 'best by day' },
  { value: 'day', label: 'by day only' },
  { value: 'night', label: 'night too' },
];

/** The visits of the days ahead in words: opens, best, be out by; with the angler's own margin. */
export function Way() {
  const here = usePlace();
  const moment = useMoment();
  const going = useGoing();
  const zone = here.spot.time_zone;
  const at = moment.frame ? Date.parse(moment.frame.time) : 0;
  const shown = going.visits.filter((v) => !v.closes || Date.parse(v.closes) > at).slice(0, 3);
  const calendar = new URLSearchParams({
    margin_min: String(going.plan.margin),
    daylight: String(going.plan.daylight),
    night: String(going.plan.night),
    from: new Date(here.now).toISOString(),
    to: new Date(here.now.getTime() + 14 * 86400_000).toISOString(),
  });
  return (
    <div className="visits">
      <div className="visits-plan">
        <label>
          Be out{' '}
          <Select
            aria-label="Margin"
            size="small"
            value={going.plan.margin}
            onChange={(margin) => going.setPlan({ ...going.plan, margin })}
            options={margins.map((v) => ({ value: v, label: `${v} min` }))}
            popupMatchSelectWidth={false}
          />{' '}
          before it shuts
        </label>
        <Select
          aria-label="Hours"
          size="small"
          value={going.plan.daylight ? 'day' : going.plan.night ? 'night' : 'any'}
          onChange={(h) => going.setPlan({ ...going.plan, daylight: h === 'day', night: h === 'night' })}
          options={hours}
          popupMatchSelectWidth={false}
        />
      </div>
      <ul>
        {shown.map((v, i) => {
          const begins = v.opens ?? moment.ribbon?.from;
          return (
            <li key={i}>
              {begins && <b>{day(begins, zone)}</b>} {v.says}
              {v.closes && v.sure_until === undefined && (
                <span className="quiet small">
                  {' '}
                  The weather may move the water enough to shut it all along.
                </span>
              )}
            </li>
          );
        })}
        {shown.length === 0 && (
          <li className="quiet">
            {going.why ??
              (going.visits.length > 0 ? 'None after this moment, as far as was looked.' : 'One moment…')}
          </li>
        )}
      </ul>
      <a className="small" href={`/api/v1/spots/${here.spot.id}/windows.ics?${calendar}`} download>
        Two weeks of it as a calendar
      </a>
    </div>
  );
}

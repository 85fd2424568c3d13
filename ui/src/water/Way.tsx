import { Select } from 'antd';
import { day } from '../format/time';
import { Link } from 'react-router';
import { useGoing, useMoment, usePlace } from '../moment/moment';
import { water as say } from '../words/water';

const margins = [0, 10, 20, 30, 45, 60, 90];
const hours = [
  { value: 'any', label: say.bestByDay },
  { value: 'day', label: say.byDayOnly },
  { value: 'night', label: say.nightToo },
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
          {say.beOut}{' '}
          <Select
            aria-label={say.margin}
            size="small"
            value={going.plan.margin}
            onChange={(margin) => going.setPlan({ ...going.plan, margin })}
            options={margins.map((v) => ({ value: v, label: say.min(v) }))}
            popupMatchSelectWidth={false}
          />{' '}
          {say.beforeItShuts}
        </label>
        <Select
          aria-label={say.hours}
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
                <span className="quiet small"> {say.theWeatherMayMoveThe}</span>
              )}
            </li>
          );
        })}
        {shown.length === 0 && (
          <li className="quiet">
            {going.why ?? (going.visits.length > 0 ? say.noneAfterThisMomentAs : say.oneMoment)}
          </li>
        )}
      </ul>
      <a className="small" href={`/api/v1/spots/${here.spot.id}/windows.ics?${calendar}`} download>
        {say.twoWeeksOfItAs}
      </a>
      {' · '}
      <Link className="small" to={`/ahead/month/${here.spot.id}`}>
        {say.aMonthOnPaper}
      </Link>
    </div>
  );
}

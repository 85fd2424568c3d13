import { useRef } from 'react';
import { clock, day, isoDay } from '../format/time';
import { useMoment, usePlace } from '../moment/moment';
import { frame as say } from '../words/frame';

/** The moment's day, touched to choose another, and its hour. */
export function Day() {
  const { spot } = usePlace();
  const moment = useMoment();
  const field = useRef<HTMLInputElement>(null);
  const f = moment.frame;
  if (!f) return <span className="head-moment" />;
  const zone = spot.time_zone;
  const now = isoDay(f.time, zone);
  const choose = (to: string) => {
    const days = Math.round((Date.parse(to) - Date.parse(now)) / 86_400_000);
    if (Number.isFinite(days) && days !== 0)
      moment.moveTime(new Date(Date.parse(f.time) + days * 86_400_000));
  };
  return (
    <span className="head-moment">
      <button
        className="head-day"
        title={say.chooseADay}
        onClick={() => {
          try {
            field.current?.showPicker();
          } catch {
            field.current?.focus();
          }
        }}
      >
        {day(f.time, zone)},
      </button>
      <input
        ref={field}
        type="date"
        className="head-date"
        aria-label={say.day}
        value={now}
        onChange={(e) => choose(e.target.value)}
      />{' '}
      <b>{clock(f.time, zone)}</b>
    </span>
  );
}

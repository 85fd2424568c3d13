import { useRef, useState } from 'react';
import type { DayPlan } from '../api/client';
import { clock, hourMark } from '../format/time';
import { ahead as say } from '../words/ahead';

/** Stays move by so much, ms. */
const step = 600_000;

/** A day on a line, from leaving to being back: each stay is a bar that is dragged, or moved by the arrow
 * keys; with shift it is made longer or shorter. */
export function DayLine(props: {
  plan: DayPlan;
  from: number;
  to: number;
  zone: string;
  busy: boolean;
  onMove: (leg: number, arrive: number, leave: number) => void;
}) {
  const { plan, from, to, zone, busy, onMove } = props;
  const track = useRef<HTMLDivElement>(null);
  const [pull, setPull] = useState<{ leg: number; by: number; long: boolean }>();
  const share = (t: number) => (100 * (Math.min(Math.max(t, from), to) - from)) / (to - from);
  const set = (i: number) => {
    const l = plan.legs[i]!;
    const by = pull?.leg === i ? pull.by : 0;
    const arrive = Date.parse(l.arrive) + (pull?.long ? 0 : by);
    const leave = Math.max(Date.parse(l.leave) + by, arrive + step);
    return { arrive, leave };
  };
  const done = (i: number) => {
    const { arrive, leave } = set(i);
    const l = plan.legs[i]!;
    setPull(undefined);
    if (arrive !== Date.parse(l.arrive) || leave !== Date.parse(l.leave)) onMove(i, arrive, leave);
  };
  const grab = (i: number, long: boolean) => (e: React.PointerEvent<HTMLElement>) => {
    if (busy || e.button !== 0) return;
    e.stopPropagation();
    e.currentTarget.setPointerCapture(e.pointerId);
    const began = e.clientX;
    const perPx = (to - from) / (track.current?.clientWidth ?? 1);
    const at = e.currentTarget;
    const by = (x: number) => Math.round(((x - began) * perPx) / step) * step;
    let last = 0;
    at.onpointermove = (m) => {
      last = by(m.clientX);
      setPull({ leg: i, by: last, long });
    };
    at.onpointerup = at.onpointercancel = () => {
      at.onpointermove = at.onpointerup = at.onpointercancel = null;
      const l = plan.legs[i]!;
      const arrive = Date.parse(l.arrive) + (long ? 0 : last);
      setPull(undefined);
      if (last !== 0) onMove(i, arrive, Math.max(Date.parse(l.leave) + last, arrive + step));
    };
  };
  const keys = (i: number) => (e: React.KeyboardEvent) => {
    const way = e.key === 'ArrowRight' ? 1 : e.key === 'ArrowLeft' ? -1 : 0;
    if (e.key === 'Enter' && pull?.leg === i) return done(i);
    if (e.key === 'Escape') return setPull(undefined);
    if (!way || busy) return;
    e.preventDefault();
    e.stopPropagation();
    const long = e.shiftKey;
    setPull((p) => ({ leg: i, by: (p?.leg === i && p.long === long ? p.by : 0) + way * step, long }));
  };
  return (
    <div className="day-line">
      <div className="day-line-track" ref={track}>
        <span
          className="day-line-out"
          style={{
            left: `${share(Date.parse(plan.leave_home))}%`,
            width: `${share(Date.parse(plan.back_home)) - share(Date.parse(plan.leave_home))}%`,
          }}
        />
        {plan.legs.map((l, i) => {
          const { arrive, leave } = set(i);
          const times = say.fromTo(clock(new Date(arrive), zone), clock(new Date(leave), zone));
          return (
            <div
              key={l.spot_id + l.arrive}
              className={`day-line-leg${l.pinned ? ' pinned' : ''}${l.against.length > 0 ? ' against' : ''}`}
              style={{ left: `${share(arrive)}%`, width: `${share(leave) - share(arrive)}%` }}
              role="slider"
              tabIndex={0}
              aria-label={say.stayAt(l.spot)}
              aria-valuemin={0}
              aria-valuemax={Math.round((to - from) / 60_000)}
              aria-valuenow={Math.round((arrive - from) / 60_000)}
              aria-valuetext={times}
              title={say.moveOrLengthen}
              onPointerDown={grab(i, false)}
              onKeyDown={keys(i)}
              onKeyUp={(e) => e.key === 'Enter' && done(i)}
              onBlur={() => pull?.leg === i && done(i)}
            >
              {l.spare_from && l.spare_until && pull?.leg !== i && (
                <em
                  aria-hidden="true"
                  style={{
                    left: `${within(l, l.spare_from)}%`,
                    width: `${within(l, l.spare_until) - within(l, l.spare_from)}%`,
                  }}
                />
              )}
              <b>{l.spot}</b>
              <span>{times}</span>
              <i aria-hidden="true" onPointerDown={grab(i, true)} />
            </div>
          );
        })}
      </div>
      <div className="day-line-hours" aria-hidden="true">
        {hoursOf(from, to, zone).map((h) => (
          <span key={h.t} style={{ left: `${share(h.t)}%` }}>
            {hourMark(h.hour)}
          </span>
        ))}
      </div>
    </div>
  );
}

/** How far into a stay a time lies, per cent. */
const within = (l: DayPlan['legs'][number], t: string) =>
  ((Date.parse(t) - Date.parse(l.arrive)) / (Date.parse(l.leave) - Date.parse(l.arrive))) * 100;

/** Full hours to write under a day: every one where there is room, else every second or third. */
function hoursOf(from: number, to: number, zone: string): { t: number; hour: number }[] {
  const hours = (to - from) / 3_600_000;
  const every = hours > 16 ? 4 : hours > 8 ? 2 : 1;
  const out = [];
  for (let t = Math.ceil(from / 3_600_000) * 3_600_000; t <= to; t += 3_600_000) {
    const hour = Number(
      new Intl.DateTimeFormat('en-GB', { hour: '2-digit', hourCycle: 'h23', timeZone: zone }).format(t),
    );
    if (hour % every === 0) out.push({ t, hour });
  }
  return out;
}

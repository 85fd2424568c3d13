import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api } from '../api/client';
import { keys } from '../api/keys';
import { Fault } from '../frame/Fault';
import { NumberIn } from '../format/NumberField';
import { fixed } from '../format/spoken';
import { clock } from '../format/time';
import { usePlace } from '../moment/moment';
import { duration } from '../fish/duration';
import { sound } from '../fish/alarm';
import { law as say } from '../words/law';

/** When the water is to be changed next, kept while the page is closed. */
const next = 'greypebble.bait.change';

/** How long live bait lasts in a bucket or a tank, and when to change its water. */
export function Bait() {
  const [b, setBody] = useState<Record<string, number | undefined>>({
    count: 24,
    each_kg: 0.01,
    water_temp_c: 22,
    volume_l: 15,
    hours: 4,
    air_l_min: 0,
  });
  const set = (part: Record<string, number | undefined>) => setBody({ ...b, ...part });
  const whole = [b.count, b.each_kg, b.water_temp_c, b.volume_l, b.hours].every((v) => v !== undefined);
  const bait = useQuery({
    queryKey: ['live-bait', b],
    queryFn: ({ signal }) =>
      api.liveBait(
        {
          count: b.count!,
          each_kg: b.each_kg!,
          water_temp_c: b.water_temp_c!,
          volume_l: b.volume_l!,
          hours: b.hours!,
          ...(b.air_l_min ? { air_l_min: b.air_l_min } : {}),
        },
        signal,
      ),
    enabled: whole,
    placeholderData: (before) => before,
    retry: false,
  });
  const rules = useQuery({ queryKey: keys.bylaws, queryFn: api.bylaws });
  const forbidden = (rules.data?.bylaws ?? [])
    .filter((r) => r.gear?.no_live_bait && r.in_force)
    .map((r) => r.says);
  const l = bait.data;
  return (
    <section className="panel form">
      <h1>{say.liveBait}</h1>
      <div className="hand-fields">
        <NumberIn
          label={say.howMany}
          decimals={0}
          min={1}
          max={5000}
          value={b.count}
          onChange={(v) => set({ count: v })}
        />
        <NumberIn
          label={say.eachWeighs}
          measure="weight"
          min={0.0005}
          max={5}
          value={b.each_kg}
          onChange={(v) => set({ each_kg: v })}
        />
        <NumberIn
          label={say.theWater}
          measure="temperature"
          min={0}
          max={40}
          value={b.water_temp_c}
          onChange={(v) => set({ water_temp_c: v })}
        />
        <NumberIn
          label={say.holds}
          unit="l"
          min={0.5}
          max={10000}
          value={b.volume_l}
          onChange={(v) => set({ volume_l: v })}
        />
        <NumberIn
          label={say.forHours}
          unit="h"
          min={0}
          max={240}
          value={b.hours}
          onChange={(v) => set({ hours: v })}
        />
        <NumberIn
          label={say.airPump}
          unit="l/min"
          min={0}
          max={1000}
          value={b.air_l_min}
          onChange={(v) => set({ air_l_min: v })}
        />
      </div>
      <Fault of={[bait]} />
      {l && whole && (
        <>
          <p className="hand-result" role="status">
            {l.enough ? say.baitLives(b.hours!) : say.baitDies(duration(l.still_min * 60_000))}
          </p>
          {!l.enough && (
            <ul>
              {l.change_every_min !== undefined && (
                <li>{say.changeHalf(duration(l.change_every_min * 60_000))}</li>
              )}
              <li>{say.airWouldDo(fixed(l.air_needed_l_min, 1))}</li>
              <li>{say.orFewer(l.most_count ?? 0)}</li>
            </ul>
          )}
          {l.change_every_min !== undefined && <Timer minutes={l.change_every_min} />}
          <p className="quiet small">
            {say.baitWhy(
              Math.round(l.need_mg_h),
              Math.round(l.supply_mg_h),
              fixed(l.full_mg_l, 1),
              fixed(l.poor_mg_l, 0),
            )}
          </p>
          <p className="small">{say.overnight}</p>
          <p className="small">{[say.baitLaw, ...forbidden].join(' ')}</p>
        </>
      )}
    </section>
  );
}

/** Rings when the water is to be changed; a locked phone may hold it back. */
function Timer({ minutes }: { minutes: number }) {
  const { present, spot } = usePlace();
  const [at, setAt] = useState(() => Number(localStorage.getItem(next)) || 0);
  const [due, setDue] = useState(false);
  useEffect(() => {
    if (!at) return undefined;
    const look = setInterval(() => {
      if (present().getTime() < at) return;
      setDue(true);
      sound();
      if (navigator.vibrate) navigator.vibrate([200, 100, 200]);
    }, 5_000);
    return () => clearInterval(look);
  }, [at, present]);
  const begin = () => {
    const until = present().getTime() + minutes * 60_000;
    localStorage.setItem(next, String(until));
    setAt(until);
    setDue(false);
  };
  return (
    <p role={due ? 'alert' : undefined}>
      {due ? (
        <b>{say.changeNow}</b>
      ) : (
        at > 0 && say.changeAt(clock(new Date(at).toISOString(), spot.time_zone))
      )}{' '}
      <button className="plain" onClick={begin}>
        {at > 0 ? say.changed : say.startTimer}
      </button>{' '}
      {at > 0 && (
        <button
          className="plain"
          onClick={() => {
            localStorage.removeItem(next);
            setAt(0);
            setDue(false);
          }}
        >
          {say.stopTimer}
        </button>
      )}
    </p>
  );
}

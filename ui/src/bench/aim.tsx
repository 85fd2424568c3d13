import { distance, fixed } from '../format/spoken';
import { Interception } from './Interception';
import { clocks, degrees, heads, paces, placed } from './sight';
import { num, tool, type Values } from './tool';

/** The fish and the throw as the calculation asks for them. */
const asked = (v: Values) => ({
  fish: placed({
    far: num(v, 'far_m'),
    clock: String(v.clock),
    heads: String(v.heads),
    swims: String(v.swims),
  }),
  pace_ms: num(v, 'pace_ms'),
  flight_speed_ms: num(v, 'flight_speed_ms'),
  reach_m: num(v, 'reach_m'),
  wind_ms: num(v, 'wind_ms'),
  wind_from_deg: degrees(String(v.wind_from)),
  splash_clear_m: num(v, 'splash_clear_m'),
  window_min_m: num(v, 'window_min_m'),
  window_max_m: num(v, 'window_max_m'),
});

/** Where to land the lure for a fish one sees, standing or swimming. */
export const aimAtFish = tool({
  id: 'interception',
  name: 'A fish you see',
  says: 'Where to land and when, so that splash and line stay clear and the lure crosses before its nose.',
  fields: [
    { key: 'far_m', label: 'About how far', measure: 'distance', min: 1 },
    { key: 'clock', label: 'Where (12 is straight ahead)', words: clocks },
    { key: 'heads', label: 'Its head points', words: heads },
    { key: 'swims', label: 'It goes', words: paces },
    { key: 'window_min_m', label: 'To pass before its nose by', measure: 'tackle' },
    { key: 'window_max_m', label: 'to', measure: 'tackle' },
    { key: 'pace_ms', label: 'You wind', measure: 'run' },
    { key: 'reach_m', label: 'Your reach, no wind', measure: 'distance' },
    { key: 'wind_ms', label: 'Wind', measure: 'wind' },
    { key: 'wind_from', label: 'from', words: clocks },
    { key: 'splash_clear_m', label: 'Splash clear by', measure: 'depth' },
    { key: 'flight_speed_ms', label: 'A cast flies', measure: 'run' },
  ],
  first: (_, u) => ({
    far_m: 14,
    clock: '11 o’clock',
    heads: 'right',
    swims: 'one length in two seconds',
    pace_ms: u.pace_ms,
    flight_speed_ms: u.flight_ms,
    reach_m: u.cast_m,
    wind_ms: Math.round(u.wind_ms * 10) / 10,
    wind_from: '6 o’clock',
    splash_clear_m: u.splash_m,
    window_min_m: u.window_min_m,
    window_max_m: u.window_max_m,
  }),
  body: asked,
  line: (r) =>
    r.possible
      ? `Wait ${fixed(r.wait_s, 1)} s, land ${distance(Math.hypot(r.land_x_m, r.land_y_m))} out, wind as it splashes`
      : `Not from here: ${r.why}`,
  show: (r, v) => {
    const { fish, reach_m, pace_ms } = asked(v);
    return <Interception aim={r} fish={fish} reach={reach_m} pace={pace_ms} />;
  },
});

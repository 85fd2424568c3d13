import { distance, fixed } from '../format/spoken';
import { Interception } from './Interception';
import { clocks, degrees, heads, paces, placed } from './sight';
import { num, tool, type Values } from './tool';
import { bench as say } from '../words/bench';

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
  name: say.aFishYouSee,
  says: say.whereToLandAndWhen,
  fields: [
    { key: 'far_m', label: say.aboutHowFar, measure: 'distance', min: 1 },
    { key: 'clock', label: say.where12IsStraightAhead, words: clocks },
    { key: 'heads', label: say.itsHeadPoints, words: heads },
    { key: 'swims', label: say.itGoes, words: paces },
    { key: 'window_min_m', label: say.toPassBeforeItsNose, measure: 'tackle' },
    { key: 'window_max_m', label: say.to, measure: 'tackle' },
    { key: 'pace_ms', label: say.youWind, measure: 'run' },
    { key: 'reach_m', label: say.yourReachNoWind, measure: 'distance' },
    { key: 'wind_ms', label: say.wind, measure: 'wind' },
    { key: 'wind_from', label: say.from, words: clocks },
    { key: 'splash_clear_m', label: say.splashClearBy, measure: 'depth' },
    { key: 'flight_speed_ms', label: say.aCastFlies, measure: 'run' },
  ],
  first: (_, u) => ({
    far_m: 14,
    clock: say.oClock(11),
    heads: say.right,
    swims: say.oneLengthInTwoSeconds,
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
      ? say.waitSLandOutWind(fixed(r.wait_s, 1), distance(Math.hypot(r.land_x_m, r.land_y_m)))
      : say.notFromHere(r.why),
  show: (r, v) => {
    const { fish, reach_m, pace_ms } = asked(v);
    return <Interception aim={r} fish={fish} reach={reach_m} pace={pace_ms} />;
  },
});

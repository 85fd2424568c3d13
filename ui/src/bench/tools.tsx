import { Link } from 'react-router';
import { distance, fixed, line, number, show, toSI, way } from '../format/spoken';
import { Beats } from './Beats';
import { aimAtFish } from './aim';
import { Rods } from './Rods';
import { Rose } from './Rose';
import { Swim } from './Swim';
import { num, tool } from './tool';

const weight = (kg: number) => show('weight', kg);
/** A hop down a bank is lifted so far, metres. */
const hopLift = 0.3;
/** Angle between cast and current, degrees. */
const castAngle: Record<string, number> = {
  'across the current': 90,
  'slantwise down': 50,
  'down the current': 0,
};

/** The bench, in the order of a day's work. */
export const tools = [
  tool({
    id: 'reel-turns',
    name: 'Reel turns',
    says: 'From one depth to another. Aim over the fish: most look up.',
    fields: [
      { key: 'length_per_turn_m', label: 'One turn brings in', measure: 'turn' },
      { key: 'from_depth_m', label: 'From, deep', measure: 'depth' },
      { key: 'to_depth_m', label: 'to, deep', measure: 'depth' },
    ],
    first: (_, u) => ({
      length_per_turn_m: u.length_per_turn_m,
      from_depth_m: u.depth_m,
      to_depth_m: Math.max(u.depth_m - 1, 0),
    }),
    body: (v) => ({
      length_per_turn_m: num(v, 'length_per_turn_m'),
      from_depth_m: num(v, 'from_depth_m'),
      to_depth_m: num(v, 'to_depth_m'),
    }),
    line: (r) =>
      r.turns >= 0
        ? `${fixed(r.turns, 1)} turns up`
        : `${show('depth', -r.turns * r.length_per_turn_m, 1)} of line out`,
  }),
  tool({
    id: 'fall',
    name: 'Fall',
    says: 'Count it down. Watch the line: a jump on the fall is the bite.',
    fields: [
      { key: 'mass_kg', label: 'Weight, all of it', measure: 'weight' },
      {
        key: 'shape',
        label: 'Shape',
        words: ['soft lure', 'jig head', 'metal', 'fluttering spoon', 'egg', 'sphere'],
      },
      { key: 'depth_m', label: 'Depth', measure: 'depth' },
      { key: 'timed_ms', label: 'Timed once (leave empty)', measure: 'run' },
      { key: 'bank', label: 'Steps down a bank, as 1, 2, 3.5 (leave empty)', text: true },
    ],
    first: (_, u) => ({
      mass_kg: u.lure_kg,
      shape: u.lure_shape,
      depth_m: u.depth_m,
      timed_ms: u.timed_ms || undefined,
    }),
    body: (v) => ({
      mass_kg: num(v, 'mass_kg'),
      shape: v.shape as 'sphere',
      depth_m: num(v, 'depth_m'),
      ...(v.timed_ms ? { timed_ms: num(v, 'timed_ms') } : {}),
      ...(v.bank
        ? {
            bank_m: String(v.bank)
              .split(/[,;\s]+/)
              .filter(Boolean)
              .map((d) => toSI(way('depth'), Number(d))),
            lift_m: hopLift,
          }
        : {}),
    }),
    line: (r) => `${fixed(r.seconds, 1)} s to the bottom, ${show('run', r.speed_ms)}`,
    show: (r) =>
      r.hops.length === 0 ? null : (
        <ol className="hops">
          {r.hops.map((h, i) => (
            <li key={i}>
              {number('depth', h.from_m, 1)} to {show('depth', h.to_m, 1)}: lift {show('tackle', hopLift)},
              let it fall <b>{fixed(h.seconds, 1)} s</b>
            </li>
          ))}
        </ol>
      ),
  }),
  tool({
    id: 'pace',
    name: 'Pace',
    says: 'The slowest winding that keeps the lure working, with the push of the water.',
    fields: [
      { key: 'least_water_speed_ms', label: 'It works from', measure: 'run' },
      { key: 'push_ms', label: 'The water pushes it to you by', measure: 'run', min: -3 },
      { key: 'length_per_turn_m', label: 'One turn brings in', measure: 'turn' },
    ],
    first: (_, u) => ({
      least_water_speed_ms: u.lure_ms,
      push_ms: 0,
      length_per_turn_m: u.length_per_turn_m,
    }),
    body: (v) => ({
      least_water_speed_ms: num(v, 'least_water_speed_ms'),
      push_ms: num(v, 'push_ms'),
      length_per_turn_m: num(v, 'length_per_turn_m'),
    }),
    line: (r) =>
      r.drifts
        ? 'Let line out: the water draws it faster than it wants'
        : `${fixed(r.turns_per_10s, 1)} turns in 10 s`,
  }),
  tool({
    id: 'cadence',
    name: 'Cadence',
    says: 'A retrieve in words: wind, twitch, jerk, pop, hop, walk, lift, pause; how often before, seconds after.',
    fields: [{ key: 'text', label: 'The retrieve', text: true }],
    first: () => ({ text: '2 twitch pause 4 s' }),
    body: (v) => ({ text: String(v.text) }),
    line: (r) => `${r.text}: ${fixed(r.seconds, 1)} s a round`,
    show: (r) => <Beats beats={r.beats} />,
  }),
  tool({
    id: 'lead',
    name: 'Lead',
    says: 'What holds in this current, and what trots. Thin line wants less; so does a line that streams down the current.',
    fields: [
      { key: 'current_ms', label: 'Current', measure: 'run' },
      { key: 'line_diameter_m', label: 'Line', measure: 'thick' },
      { key: 'line_length_m', label: 'Rod tip to lead', measure: 'distance' },
      { key: 'depth_m', label: 'Depth there', measure: 'depth' },
      { key: 'cast', label: 'Cast', words: Object.keys(castAngle) },
      { key: 'sinker', label: 'Sinker', words: ['bank', 'egg', 'pyramid', 'grip'] },
    ],
    first: (_, u) => ({
      current_ms: u.run_ms,
      line_diameter_m: u.line_diameter_m,
      line_length_m: u.line_out_m,
      depth_m: u.depth_m,
      cast: 'across the current',
      sinker: 'bank',
    }),
    body: (v) => ({
      current_ms: num(v, 'current_ms'),
      line_diameter_m: num(v, 'line_diameter_m'),
      line_length_m: num(v, 'line_length_m'),
      depth_m: num(v, 'depth_m'),
      angle_deg: castAngle[String(v.cast)],
      sinker: v.sinker as 'bank',
    }),
    line: (r) => `${weight(r.hold_kg)} holds, ${weight(r.trot_kg)} trots`,
    show: (r) => (
      <p>
        With line a quarter thicker {weight(r.thicker_kg)} would hold, a quarter thinner{' '}
        {weight(r.thinner_kg)}.
      </p>
    ),
  }),
  tool({
    id: 'plug',
    name: 'Plug',
    says: 'How deep it runs along the cast over this section, where it first knocks, how long it fishes the strip.',
    fields: [
      { key: 'stand_m', label: 'You stand, out from the bank', measure: 'distance' },
      { key: 'rated_m', label: 'Sold as diving to', measure: 'depth' },
      { key: 'cast_m', label: 'Cast', measure: 'distance' },
      { key: 'line_diameter_m', label: 'Line', measure: 'thick' },
      { key: 'pace_ms', label: 'Pace', measure: 'run' },
      { key: 'strip_min_m', label: 'Good depths from', measure: 'depth' },
      { key: 'strip_max_m', label: 'to', measure: 'depth' },
    ],
    first: (_, u) => ({
      stand_m: u.stand_m,
      rated_m: u.rated_m,
      cast_m: u.cast_m,
      line_diameter_m: u.line_diameter_m,
      pace_ms: u.pace_ms,
      strip_min_m: 0.5,
      strip_max_m: 1.6,
    }),
    body: (v, m) => ({
      rated_m: num(v, 'rated_m'),
      cast_m: num(v, 'cast_m'),
      line_diameter_m: num(v, 'line_diameter_m'),
      pace_ms: num(v, 'pace_ms'),
      strip_min_m: num(v, 'strip_min_m'),
      strip_max_m: num(v, 'strip_max_m'),
      stand_m: num(v, 'stand_m'),
      spot_id: m.spot.id,
      time: m.frame?.time,
    }),
    line: (r) =>
      `${r.touches_m === undefined ? 'Never touches' : `First knocks ${distance(r.touches_m)} out`}; ${fixed(r.seconds, 0)} s in the strip`,
    show: (r, v) => <Swim swim={r} cast={num(v, 'cast_m')} stand={num(v, 'stand_m')} />,
  }),
  tool({
    id: 'cast',
    name: 'Along or across',
    says: 'Which way to cast from this spot so that the lure stays over good depths longest.',
    fields: [
      { key: 'cast_m', label: 'Cast', measure: 'distance' },
      { key: 'pace_ms', label: 'Pace', measure: 'run' },
      { key: 'min_m', label: 'Good depths from', measure: 'depth' },
      { key: 'max_m', label: 'to', measure: 'depth' },
    ],
    first: (_, u) => ({ cast_m: u.cast_m, pace_ms: u.pace_ms, min_m: 0.6, max_m: 1.6 }),
    body: (v, m) => ({
      spot_id: m.spot.id,
      time: m.frame?.time,
      cast_m: num(v, 'cast_m'),
      pace_ms: num(v, 'pace_ms'),
      min_m: num(v, 'min_m'),
      max_m: num(v, 'max_m'),
    }),
    line: (r) => {
      const best = r.directions.find((d) => d.bearing_deg === r.best_deg);
      return best
        ? `Towards ${fixed(best.bearing_deg, 0)}°: ${fixed(best.seconds, 0)} s over good depths`
        : 'No direction reaches good depths';
    },
    show: (r, v) => <Rose directions={r.directions} best={r.best_deg} cast={num(v, 'cast_m')} />,
  }),
  aimAtFish,
  tool({
    id: 'light-finish',
    name: 'Dark water',
    says: 'What shows at the lure’s depth in this light.',
    fields: [
      { key: 'secchi_m', label: 'Clarity', measure: 'depth' },
      { key: 'depth_m', label: 'The lure runs, deep', measure: 'depth' },
      { key: 'sun_altitude_deg', label: 'Sun', unit: '° up', step: 5, min: -90 },
      { key: 'cloud_fraction', label: 'Cloud, 0 to 1', step: 0.1, max: 1 },
    ],
    first: (m, u) => ({
      secchi_m: u.secchi_m,
      depth_m: Math.min(u.depth_m, 1.2),
      sun_altitude_deg: Math.round(m.frame?.sun_altitude_deg ?? 30),
      cloud_fraction: Math.round(u.cloud_fraction * 10) / 10,
    }),
    body: (v) => ({
      secchi_m: num(v, 'secchi_m'),
      depth_m: num(v, 'depth_m'),
      sun_altitude_deg: num(v, 'sun_altitude_deg'),
      cloud_fraction: num(v, 'cloud_fraction'),
    }),
    line: (r) => `It is ${r.class} there: ${r.finishes[0]?.finish ?? 'any finish'}`,
    show: (r) => (
      <ol className="finishes">
        {r.finishes.map((f) => (
          <li key={f.finish}>
            <b>{f.finish}</b> <span className="quiet">{f.why}</span>
          </li>
        ))}
      </ol>
    ),
  }),
  tool({
    id: 'jig',
    name: 'Vertical',
    says: 'The weight that keeps the line upright in this depth and run.',
    fields: [
      { key: 'depth_m', label: 'Depth', measure: 'depth' },
      { key: 'run_ms', label: 'Water past the line', measure: 'run' },
      { key: 'line_diameter_m', label: 'Line', measure: 'thick' },
      { key: 'angle_deg', label: 'Line off upright', unit: '°', step: 5 },
    ],
    first: (_, u) => ({
      depth_m: u.depth_m,
      run_ms: u.run_ms,
      line_diameter_m: u.line_diameter_m,
      angle_deg: 15,
    }),
    body: (v) => ({
      depth_m: num(v, 'depth_m'),
      run_ms: num(v, 'run_ms'),
      line_diameter_m: num(v, 'line_diameter_m'),
      angle_deg: num(v, 'angle_deg'),
    }),
    line: (r) => `${weight(r.mass_kg)} or more`,
  }),
  tool({
    id: 'float',
    name: 'Float',
    says: 'Where the stop knot goes, so that the bait hangs clear of the wreck or bar.',
    fields: [
      { key: 'level_m', label: 'Tide', measure: 'depth', min: -10 },
      { key: 'crest_m', label: 'Its top, over datum', measure: 'depth', min: -50 },
      { key: 'clear_m', label: 'Bait over it by', measure: 'depth' },
    ],
    first: (m) => ({
      level_m: Math.round((m.frame?.level_m ?? 1) * 100) / 100,
      crest_m: m.ribbon?.marks.at(-1)?.elevation_m ?? -2,
      clear_m: 0.3,
    }),
    body: (v) => ({ level_m: num(v, 'level_m'), crest_m: num(v, 'crest_m'), clear_m: num(v, 'clear_m') }),
    line: (r) => `Stop knot ${show('depth', r.knot_m)} over the hook`,
  }),
  tool({
    id: 'rods',
    name: 'Rods in a row',
    says: 'Distances that ask different questions, over this section’s marks.',
    fields: [
      { key: 'rods', label: 'Rods', step: 1, min: 1, max: 12 },
      { key: 'reach_m', label: 'Your reach', measure: 'distance' },
    ],
    first: (_, u) => ({ rods: 4, reach_m: u.reach_m }),
    body: (v, m) => ({ rods: num(v, 'rods'), reach_m: num(v, 'reach_m'), spot_id: m.spot.id }),
    line: (r) => r.rods.map((k) => distance(k.cast_m)).join(', '),
    show: (r, v) => <Rods rods={r.rods} says={r.says} reach={num(v, 'reach_m')} />,
  }),
  tool({
    id: 'troll',
    name: 'Trolling',
    says: 'Time over the ledge, when to turn, and what softens the strike.',
    fields: [
      { key: 'lure', label: 'Lure', words: ['bucktail', 'top-water', 'small skirted lure', 'strip bait'] },
      { key: 'speed_ms', label: 'Speed', measure: 'boat' },
      { key: 'behind_m', label: 'Behind', measure: 'distance' },
      { key: 'ledge_m', label: 'Ledge along the way', measure: 'distance' },
      { key: 'drag_n', label: 'Drag', measure: 'line' },
      { key: 'break_n', label: 'Line', measure: 'line' },
      { key: 'material', label: 'of', words: ['mono', 'fluorocarbon', 'braid'] },
    ],
    first: (_, u) => ({
      lure: 'bucktail',
      speed_ms: u.troll_ms,
      behind_m: u.behind_m,
      ledge_m: 150,
      drag_n: u.drag_n,
      break_n: u.line_n,
      material: u.line_material === 'wire' ? 'mono' : u.line_material,
    }),
    body: (v) => ({
      lure: v.lure as 'bucktail',
      speed_ms: num(v, 'speed_ms'),
      behind_m: num(v, 'behind_m'),
      ledge_m: num(v, 'ledge_m'),
      drag_n: num(v, 'drag_n'),
      break_n: num(v, 'break_n'),
      material: v.material as 'mono',
    }),
    line: (r) =>
      `${fixed(r.over_ledge_s, 0)} s over the ledge; turn ${fixed(r.turn_after_s, 0)} s after the boat is past it`,
    show: (r) => (
      <p>
        {r.fits ? 'The speed is one it works at' : 'It does not work at that speed'}:{' '}
        {number('boat', r.min_ms, 0)} to {show('boat', r.max_ms, 0)}. The line gives{' '}
        {show('depth', r.give_m, 1)} before the drag slips.
      </p>
    ),
  }),
  tool({
    id: 'line',
    name: 'Line and leader',
    says: 'The leader for the hazard, the drag, the knot and its turns.',
    fields: [
      { key: 'hazard', label: 'Hazard', words: ['open sand', 'shell', 'pilings', 'rock', 'teeth'] },
      { key: 'line_n', label: 'Line', measure: 'line' },
      { key: 'material', label: 'You tie', words: ['fluorocarbon', 'mono', 'braid'] },
      { key: 'free', label: 'The lure hangs', words: ['tight', 'free'] },
    ],
    first: (_, u) => ({ hazard: 'shell', line_n: u.line_n, material: 'fluorocarbon', free: 'tight' }),
    body: (v) => ({
      hazard: v.hazard as 'shell',
      line_n: num(v, 'line_n'),
      material: v.material as 'mono',
      free_action: v.free === 'free',
    }),
    line: (r) =>
      `Leader ${line(r.leader_min_n)} to ${line(r.leader_max_n)}; ${r.knot}, ${r.turns} turns; drag ${show('line', r.drag_n, 1)}`,
    show: (r) => (
      <p>
        <Link
          to={`/tie-on/cards/${r.knot.startsWith('doubled') ? 'leader-to-loop' : r.knot.replace(' knot', '').replaceAll(' ', '-')}`}
        >
          The knot, step by step
        </Link>
      </p>
    ),
  }),
  tool({
    id: 'length-weight',
    name: 'Length and weight',
    says: 'What a fish of a length weighs; weighed, its condition.',
    fields: [
      { key: 'target', label: 'Fish', words: [] },
      { key: 'length_m', label: 'Length', measure: 'fish_length' },
      { key: 'mass_kg', label: 'Weighed (leave empty)', measure: 'fish' },
    ],
    first: () => ({ target: 'red-drum', length_m: 0.6 }),
    body: (v) => ({
      target: String(v.target),
      length_m: num(v, 'length_m'),
      ...(v.mass_kg ? { mass_kg: num(v, 'mass_kg') } : {}),
    }),
    line: (r) =>
      `About ${show('fish', r.mass_kg, 2)}, four in five ${number('fish', r.low_kg, 2)} to ${number('fish', r.high_kg, 2)}`,
    show: (r) =>
      r.condition === undefined ? null : (
        <p>Condition K {fixed(r.condition, 2)}; 1 is an ordinary fish of many kinds.</p>
      ),
  }),
];

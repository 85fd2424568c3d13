import { Link } from 'react-router';
import { distance, fixed, line, number, show, toSI, way } from '../format/spoken';
import { Beats } from './Beats';
import { aimAtFish } from './aim';
import { Rods } from './Rods';
import { Rose } from './Rose';
import { Swim } from './Swim';
import { num, tool } from './tool';
import { bench as say } from '../words/bench';

const weight = (kg: number) => show('weight', kg);
/** A hop down a bank is lifted so far, metres. */
const hopLift = 0.3;
/** Angle between cast and current, degrees. */
const castAngle: Record<string, number> = {
  [say.acrossTheCurrent]: 90,
  [say.slantwiseDown]: 50,
  [say.downTheCurrent]: 0,
};

/** The bench, in the order of a day's work. */
export const tools = [
  tool({
    id: 'reel-turns',
    name: say.reelTurns,
    says: say.fromOneDepthToAnother,
    fields: [
      { key: 'length_per_turn_m', label: say.oneTurnBringsIn, measure: 'turn' },
      { key: 'from_depth_m', label: say.fromDeep, measure: 'depth' },
      { key: 'to_depth_m', label: say.toDeep, measure: 'depth' },
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
        ? say.turnsUp(fixed(r.turns, 1))
        : say.ofLineOut(show('depth', -r.turns * r.length_per_turn_m, 1)),
  }),
  tool({
    id: 'fall',
    name: say.fall,
    says: say.countItDownWatchThe,
    fields: [
      { key: 'mass_kg', label: say.weightAllOfIt, measure: 'weight' },
      {
        key: 'shape',
        label: say.shape,
        words: ['soft lure', 'jig head', 'metal', 'fluttering spoon', 'egg', 'sphere'],
      },
      { key: 'depth_m', label: say.depth, measure: 'depth' },
      { key: 'timed_ms', label: say.timedOnceLeaveEmpty, measure: 'run' },
      { key: 'bank', label: say.stepsDownABankAs, text: true },
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
    line: (r) => say.sToTheBottom(fixed(r.seconds, 1), show('run', r.speed_ms)),
    show: (r) =>
      r.hops.length === 0 ? null : (
        <ol className="hops">
          {r.hops.map((h, i) => (
            <li key={i}>
              {say.toLiftLetItFall(
                number('depth', h.from_m, 1),
                show('depth', h.to_m, 1),
                show('tackle', hopLift),
                <b>{fixed(h.seconds, 1)} s</b>,
              )}
            </li>
          ))}
        </ol>
      ),
  }),
  tool({
    id: 'pace',
    name: say.pace,
    says: say.theSlowestWindingThatKeeps,
    fields: [
      { key: 'least_water_speed_ms', label: say.itWorksFrom, measure: 'run' },
      { key: 'push_ms', label: say.theWaterPushesItTo, measure: 'run', min: -3 },
      { key: 'length_per_turn_m', label: say.oneTurnBringsIn, measure: 'turn' },
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
    line: (r) => (r.drifts ? say.letLineOutTheWater : say.turnsIn10S(fixed(r.turns_per_10s, 1))),
  }),
  tool({
    id: 'cadence',
    name: say.cadence,
    says: say.aRetrieveInWordsWind,
    fields: [{ key: 'text', label: say.theRetrieve, text: true }],
    first: () => ({ text: say.n2TwitchPause4S }),
    body: (v) => ({ text: String(v.text) }),
    line: (r) => say.sARound(r.text, fixed(r.seconds, 1)),
    show: (r) => <Beats beats={r.beats} />,
  }),
  tool({
    id: 'lead',
    name: say.lead,
    says: say.whatHoldsInThisCurrent,
    fields: [
      { key: 'current_ms', label: say.current, measure: 'run' },
      { key: 'line_diameter_m', label: say.line, measure: 'thick' },
      { key: 'line_length_m', label: say.rodTipToLead, measure: 'distance' },
      { key: 'depth_m', label: say.depthThere, measure: 'depth' },
      { key: 'cast', label: say.cast, words: Object.keys(castAngle) },
      { key: 'sinker', label: say.sinker, words: ['bank', 'egg', 'pyramid', 'grip'] },
    ],
    first: (_, u) => ({
      current_ms: u.run_ms,
      line_diameter_m: u.line_diameter_m,
      line_length_m: u.line_out_m,
      depth_m: u.depth_m,
      cast: say.acrossTheCurrent,
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
    line: (r) => say.holdsTrots(weight(r.hold_kg), weight(r.trot_kg)),
    show: (r) => <p>{say.withLineAQuarterThicker(weight(r.thicker_kg), weight(r.thinner_kg))}</p>,
  }),
  tool({
    id: 'plug',
    name: say.plug,
    says: say.howDeepItRunsAlong,
    fields: [
      { key: 'stand_m', label: say.youStandOutFromThe, measure: 'distance' },
      { key: 'rated_m', label: say.soldAsDivingTo, measure: 'depth' },
      { key: 'cast_m', label: say.cast, measure: 'distance' },
      { key: 'line_diameter_m', label: say.line, measure: 'thick' },
      { key: 'pace_ms', label: say.pace, measure: 'run' },
      { key: 'strip_min_m', label: say.goodDepthsFrom, measure: 'depth' },
      { key: 'strip_max_m', label: say.to, measure: 'depth' },
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
      say.sInTheStrip(
        r.touches_m === undefined ? say.neverTouches : say.firstKnocksOut(distance(r.touches_m)),
        fixed(r.seconds, 0),
      ),
    show: (r, v) => <Swim swim={r} cast={num(v, 'cast_m')} stand={num(v, 'stand_m')} />,
  }),
  tool({
    id: 'cast',
    name: say.alongOrAcross,
    says: say.whichWayToCastFrom,
    fields: [
      { key: 'cast_m', label: say.cast, measure: 'distance' },
      { key: 'pace_ms', label: say.pace, measure: 'run' },
      { key: 'min_m', label: say.goodDepthsFrom, measure: 'depth' },
      { key: 'max_m', label: say.to, measure: 'depth' },
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
        ? say.towardsSOverGoodDepths(fixed(best.bearing_deg, 0), fixed(best.seconds, 0))
        : say.noDirectionReachesGoodDepths;
    },
    show: (r, v) => <Rose directions={r.directions} best={r.best_deg} cast={num(v, 'cast_m')} />,
  }),
  aimAtFish,
  tool({
    id: 'light-finish',
    name: say.darkWater,
    says: say.whatShowsAtTheLures,
    fields: [
      { key: 'secchi_m', label: say.clarity, measure: 'depth' },
      { key: 'depth_m', label: say.theLureRunsDeep, measure: 'depth' },
      { key: 'sun_altitude_deg', label: say.sun, unit: '° up', step: 5, min: -90 },
      { key: 'cloud_fraction', label: say.cloud0To1, step: 0.1, max: 1 },
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
    line: (r) => say.itIsThere(r.class, r.finishes[0]?.finish ?? 'any finish'),
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
    name: say.vertical,
    says: say.theWeightThatKeepsThe,
    fields: [
      { key: 'depth_m', label: say.depth, measure: 'depth' },
      { key: 'run_ms', label: say.waterPastTheLine, measure: 'run' },
      { key: 'line_diameter_m', label: say.line, measure: 'thick' },
      { key: 'angle_deg', label: say.lineOffUpright, unit: '°', step: 5 },
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
    line: (r) => say.orMore(weight(r.mass_kg)),
  }),
  tool({
    id: 'float',
    name: say.float,
    says: say.whereTheStopKnotGoes,
    fields: [
      { key: 'level_m', label: say.tide, measure: 'depth', min: -10 },
      { key: 'crest_m', label: say.itsTopOverDatum, measure: 'depth', min: -50 },
      { key: 'clear_m', label: say.baitOverItBy, measure: 'depth' },
    ],
    first: (m) => ({
      level_m: Math.round((m.frame?.level_m ?? 1) * 100) / 100,
      crest_m: m.ribbon?.marks.at(-1)?.elevation_m ?? -2,
      clear_m: 0.3,
    }),
    body: (v) => ({ level_m: num(v, 'level_m'), crest_m: num(v, 'crest_m'), clear_m: num(v, 'clear_m') }),
    line: (r) => say.stopKnotOverTheHook(show('depth', r.knot_m)),
  }),
  tool({
    id: 'rods',
    name: say.rodsInARow,
    says: say.distancesThatAskDifferentQuestions,
    fields: [
      { key: 'rods', label: say.rods, step: 1, min: 1, max: 12 },
      { key: 'reach_m', label: say.yourReach, measure: 'distance' },
    ],
    first: (_, u) => ({ rods: 4, reach_m: u.reach_m }),
    body: (v, m) => ({ rods: num(v, 'rods'), reach_m: num(v, 'reach_m'), spot_id: m.spot.id }),
    line: (r) => r.rods.map((k) => distance(k.cast_m)).join(', '),
    show: (r, v) => <Rods rods={r.rods} says={r.says} reach={num(v, 'reach_m')} />,
  }),
  tool({
    id: 'troll',
    name: say.trolling,
    says: say.timeOverTheLedgeWhen,
    fields: [
      { key: 'lure', label: say.lure, words: ['bucktail', 'top-water', 'small skirted lure', 'strip bait'] },
      { key: 'speed_ms', label: say.speed, measure: 'boat' },
      { key: 'behind_m', label: say.behind, measure: 'distance' },
      { key: 'ledge_m', label: say.ledgeAlongTheWay, measure: 'distance' },
      { key: 'drag_n', label: say.drag, measure: 'line' },
      { key: 'break_n', label: say.line, measure: 'line' },
      { key: 'material', label: say.ofWord, words: ['mono', 'fluorocarbon', 'braid'] },
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
    line: (r) => say.sOverTheLedgeTurn(fixed(r.over_ledge_s, 0), fixed(r.turn_after_s, 0)),
    show: (r) => (
      <p>
        {say.toTheLineGivesBefore(
          r.fits ? say.theSpeedIsOneIt : say.itDoesNotWorkAt,
          number('boat', r.min_ms, 0),
          show('boat', r.max_ms, 0),
          show('depth', r.give_m, 1),
        )}
      </p>
    ),
  }),
  tool({
    id: 'line',
    name: say.lineAndLeader,
    says: say.theLeaderForTheHazard,
    fields: [
      { key: 'hazard', label: say.hazard, words: ['open sand', 'shell', 'pilings', 'rock', 'teeth'] },
      { key: 'line_n', label: say.line, measure: 'line' },
      { key: 'material', label: say.youTie, words: ['fluorocarbon', 'mono', 'braid'] },
      { key: 'free', label: say.theLureHangs, words: ['tight', 'free'] },
    ],
    first: (_, u) => ({ hazard: 'shell', line_n: u.line_n, material: 'fluorocarbon', free: 'tight' }),
    body: (v) => ({
      hazard: v.hazard as 'shell',
      line_n: num(v, 'line_n'),
      material: v.material as 'mono',
      free_action: v.free === 'free',
    }),
    line: (r) =>
      say.leaderToTurnsDrag(
        line(r.leader_min_n),
        line(r.leader_max_n),
        r.knot,
        r.turns,
        show('line', r.drag_n, 1),
      ),
    show: (r) => (
      <p>
        <Link
          to={`/tie-on/cards/${r.knot.startsWith('doubled') ? 'leader-to-loop' : r.knot.replace(/ knot/, '').replaceAll(' ', '-')}`}
        >
          {say.theKnotStepByStep}
        </Link>
      </p>
    ),
  }),
  tool({
    id: 'length-weight',
    name: say.lengthAndWeight,
    says: say.whatAFishOfA,
    fields: [
      { key: 'target', label: say.fish, words: [] },
      { key: 'length_m', label: say.length, measure: 'fish_length' },
      { key: 'mass_kg', label: say.weighedLeaveEmpty, measure: 'fish' },
    ],
    first: () => ({ target: 'red-drum', length_m: 0.6 }),
    body: (v) => ({
      target: String(v.target),
      length_m: num(v, 'length_m'),
      ...(v.mass_kg ? { mass_kg: num(v, 'mass_kg') } : {}),
    }),
    line: (r) =>
      say.aboutFourInFiveTo(
        show('fish', r.mass_kg, 2),
        number('fish', r.low_kg, 2),
        number('fish', r.high_kg, 2),
      ),
    show: (r) => (r.condition === undefined ? null : <p>{say.conditionK1IsAn(fixed(r.condition, 2))}</p>),
  }),
];

import { distance, show } from '../format/spoken';
import { useEffect, useState } from 'react';
import type { BenchOut } from '../api/client';
import { fixed } from '../format/measure';
import { bench as say } from '../words/bench';

const size = 300;

/** From above: the fish, its path, the cast and where they meet; played through the seconds. */
export function Interception(props: {
  aim: BenchOut<'interception'>;
  fish: { x_m: number; y_m: number; speed_ms: number; bearing_deg: number };
  reach: number;
  pace: number;
}) {
  const { aim, fish: seen, reach, pace } = props;
  const [t, setT] = useState(0);
  const [playing, setPlaying] = useState(false);
  const end = aim.possible ? aim.cross_s + 2 : 20;
  useEffect(() => {
    if (!playing) return;
    const from = performance.now() - t * 1000;
    let frame = requestAnimationFrame(function step() {
      const now = (performance.now() - from) / 1000;
      setT(Math.min(now, end));
      if (now < end) frame = requestAnimationFrame(step);
      else setPlaying(false);
    });
    return () => cancelAnimationFrame(frame);
    // It runs on from where it stood.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [playing, end]);
  const scale = (size / 2 - 14) / Math.max(reach, Math.hypot(seen.x_m, seen.y_m));
  const px = (x: number) => size / 2 + x * scale;
  const py = (y: number) => size / 2 - y * scale;
  const b = (seen.bearing_deg * Math.PI) / 180;
  const fish = (s: number) => ({
    x: seen.x_m + seen.speed_ms * s * Math.sin(b),
    y: seen.y_m + seen.speed_ms * s * Math.cos(b),
  });
  const now = fish(t);
  const later = fish(end);
  const far = Math.hypot(aim.land_x_m, aim.land_y_m);
  // In the air it flies out; in the water it comes in.
  const out =
    t < aim.wait_s
      ? 0
      : t < aim.splash_s
        ? (far * (t - aim.wait_s)) / Math.max(aim.splash_s - aim.wait_s, 0.01)
        : Math.max(far - pace * (t - aim.splash_s), 0);
  // Where on the cast the lure meets the fish.
  const crossing = Math.max(far - pace * (aim.cross_s - aim.splash_s), 0);
  const lure = far > 0 ? { x: (aim.land_x_m / far) * out, y: (aim.land_y_m / far) * out } : { x: 0, y: 0 };
  return (
    <div className="intercept">
      <svg width={size} height={size} role="img" aria-label={say.fishAndCastFromAbove}>
        <circle cx={size / 2} cy={size / 2} r={reach * scale} className="rim" />
        <line x1={px(fish(0).x)} y1={py(fish(0).y)} x2={px(later.x)} y2={py(later.y)} className="swims" />
        {aim.possible && (
          <>
            <line x1={px(0)} y1={py(0)} x2={px(aim.land_x_m)} y2={py(aim.land_y_m)} className="cast-line" />
            <circle cx={px(aim.land_x_m)} cy={py(aim.land_y_m)} r={7} className="lands" />
            {t >= aim.wait_s && <circle cx={px(lure.x)} cy={py(lure.y)} r={3.5} className="lure" />}
          </>
        )}
        <g transform={`translate(${px(now.x)} ${py(now.y)}) rotate(${seen.bearing_deg})`} className="fish">
          <path d="M0 -9C4 -4 4 4 0 9L-4 14H4L0 9C-4 4 -4 -4 0 -9Z" />
        </g>
        <circle cx={px(0)} cy={py(0)} r={5} />
      </svg>
      <div>
        {aim.possible && <FromTheSide aim={aim} t={t} out={out} far={far} cross={crossing} />}
        <label>
          {fixed(t, 1)} s{' '}
          <input
            type="range"
            aria-label={say.secondsFromNow}
            min={0}
            max={end}
            step={0.1}
            value={t}
            onChange={(e) => setT(Number(e.target.value))}
          />
        </label>
        <button
          className="toggle"
          onClick={() => {
            if (t >= end - 0.05) setT(0);
            setPlaying(!playing);
          }}
        >
          {playing ? say.stop : say.play}
        </button>
        {aim.possible && (
          <ul className="quiet small">
            <li>{say.castAtS(fixed(aim.wait_s, 1))}</li>
            <li>{say.splashAtS(fixed(aim.splash_s, 1))}</li>
            <li>{say.crossesAtSAheadOf(fixed(aim.cross_s, 1), show('tackle', aim.pass_distance_m))}</li>
            <li>{aim.why}</li>
          </ul>
        )}
      </div>
    </div>
  );
}

const wide = 300;
const high = 96;

/** From the side, along the cast: the flight, the splash, where it meets the fish. Heights are not to scale. */
function FromTheSide(props: {
  aim: BenchOut<'interception'>;
  t: number;
  out: number;
  far: number;
  cross: number;
}) {
  const { aim, t, out, far, cross } = props;
  const x = (m: number) => 12 + (m / Math.max(far, 1)) * (wide - 30);
  const top = 48;
  // A throw's height over the water is that of a parabola; in the water it runs a little under it.
  const air = (m: number) => top - 36 * 4 * (m / far) * (1 - m / far);
  const flying = t >= aim.wait_s && t < aim.splash_s;
  const arc = Array.from({ length: 21 }, (_, i) => (far * i) / 20)
    .map((m, i) => `${i === 0 ? 'M' : 'L'}${x(m).toFixed(1)} ${air(m).toFixed(1)}`)
    .join('');
  return (
    <svg width={wide} height={high} className="from-side" role="img" aria-label={say.theCastFromTheSide}>
      <rect x={0} y={top} width={wide} height={high - top} className="side-water" />
      <path d={arc} className="swims" />
      <line x1={x(far)} y1={top + 14} x2={x(0)} y2={top + 14} className="cast-line" />
      <g transform={`translate(${x(cross)} ${top + 14})`} className="fish">
        <path d="M-9 0C-4 -4 4 -4 9 0C4 4 -4 4 -9 0Z" opacity={Math.abs(t - aim.cross_s) < 1.2 ? 1 : 0.35} />
      </g>
      {t >= aim.wait_s && <circle cx={x(out)} cy={flying ? air(out) : top + 14} r={3.5} className="lure" />}
      <circle cx={x(0)} cy={top - 8} r={5} />
      <text x={x(far)} y={16} textAnchor="end">
        {say.landsOut(distance(far))}
      </text>
      <text x={x(cross)} y={top + 36} textAnchor="end">
        {say.meetsItAt(distance(cross))}
      </text>
    </svg>
  );
}

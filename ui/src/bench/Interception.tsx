import { useEffect, useState } from 'react';
import type { BenchOut } from '../api/client';
import { fixed } from '../format/measure';
import { num, type Values } from './tool';

const size = 300;

/** From above: the fish, its path, the cast and where they meet; played through the seconds. */
export function Interception({ aim, v }: { aim: BenchOut<'interception'>; v: Values }) {
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
  const reach = num(v, 'reach_m');
  const scale = (size / 2 - 14) / Math.max(reach, Math.hypot(num(v, 'x_m'), num(v, 'y_m')));
  const px = (x: number) => size / 2 + x * scale;
  const py = (y: number) => size / 2 - y * scale;
  const b = (num(v, 'bearing_deg') * Math.PI) / 180;
  const fish = (s: number) => ({
    x: num(v, 'x_m') + num(v, 'speed_ms') * s * Math.sin(b),
    y: num(v, 'y_m') + num(v, 'speed_ms') * s * Math.cos(b),
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
        : Math.max(far - num(v, 'pace_ms') * (t - aim.splash_s), 0);
  const lure = far > 0 ? { x: (aim.land_x_m / far) * out, y: (aim.land_y_m / far) * out } : { x: 0, y: 0 };
  return (
    <div className="intercept">
      <svg width={size} height={size} role="img" aria-label="Fish and cast from above">
        <circle cx={size / 2} cy={size / 2} r={reach * scale} className="rim" />
        <line x1={px(fish(0).x)} y1={py(fish(0).y)} x2={px(later.x)} y2={py(later.y)} className="swims" />
        {aim.possible && (
          <>
            <line x1={px(0)} y1={py(0)} x2={px(aim.land_x_m)} y2={py(aim.land_y_m)} className="cast-line" />
            <circle cx={px(aim.land_x_m)} cy={py(aim.land_y_m)} r={7} className="lands" />
            {t >= aim.wait_s && <circle cx={px(lure.x)} cy={py(lure.y)} r={3.5} className="lure" />}
          </>
        )}
        <g
          transform={`translate(${px(now.x)} ${py(now.y)}) rotate(${num(v, 'bearing_deg')})`}
          className="fish"
        >
          <path d="M0 -9C4 -4 4 4 0 9L-4 14H4L0 9C-4 4 -4 -4 0 -9Z" />
        </g>
        <circle cx={px(0)} cy={py(0)} r={5} />
      </svg>
      <div>
        <label>
          {fixed(t, 1)} s{' '}
          <input
            type="range"
            aria-label="Seconds from now"
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
          {playing ? 'Stop' : 'Play'}
        </button>
        {aim.possible && (
          <ul className="quiet small">
            <li>cast at {fixed(aim.wait_s, 1)} s</li>
            <li>splash at {fixed(aim.splash_s, 1)} s</li>
            <li>
              crosses at {fixed(aim.cross_s, 1)} s, {fixed(aim.pass_distance_m * 100, 0)} cm ahead of the nose
            </li>
            <li>{aim.why}</li>
          </ul>
        )}
      </div>
    </div>
  );
}

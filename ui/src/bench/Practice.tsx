import { Fault } from '../frame/Fault';
import { useMutation, useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { api, type Usual } from '../api/client';
import { fixed } from '../format/measure';
import { bench as say } from '../words/bench';

const size = 420;
/** Metres from the angler to the edge of the picture. */
const across = 26;
const scale = size / 2 / across;
const px = (x: number) => size / 2 + x * scale;
const py = (y: number) => size - 18 - y * scale;

interface Thrown {
  at: number;
  x: number;
  y: number;
  splash: number;
  end: number;
  strike: boolean;
  says: string;
}

/** A fish that darts and comes back to its bearing: touch where the lure is to land. */
export function Practice({ usual }: { usual?: Usual }) {
  const [seed, setSeed] = useState(() => Math.floor(Math.random() * 1e9));
  const [t, setT] = useState(0);
  const [thrown, setThrown] = useState<Thrown>();
  const [score, setScore] = useState({ throws: 0, strikes: 0 });
  const [help, setHelp] = useState(false);
  const svg = useRef<SVGSVGElement>(null);
  const cast = {
    seed,
    pace_ms: usual?.pace_ms ?? 0.5,
    flight_speed_ms: usual?.flight_ms ?? 12,
    reach_m: usual?.cast_m ?? 30,
    splash_clear_m: usual?.splash_m ?? 1.8,
    window_min_m: usual?.window_min_m ?? 0.15,
    window_max_m: usual?.window_max_m ?? 0.6,
  };
  const fish = useQuery({
    queryKey: ['practice', cast],
    queryFn: () => api.practice(cast),
    enabled: !!usual,
    staleTime: Infinity,
  });
  const judge = useMutation({
    mutationFn: (k: { at: number; x: number; y: number }) =>
      api.throwAt({ ...cast, at_s: k.at, land_x_m: k.x, land_y_m: k.y }),
    onSuccess: (o, k) => {
      setThrown({ ...k, splash: o.splash_s, end: o.end_s, strike: o.strike, says: o.says });
      setScore((s) => ({ throws: s.throws + 1, strikes: s.strikes + (o.strike ? 1 : 0) }));
    },
  });
  const swims = fish.data;
  const steps = swims?.x_m.length ?? 0;
  const over = thrown
    ? t >= Math.max(thrown.end, thrown.at)
    : swims
      ? t >= (steps - 1) * swims.step_s
      : false;
  useEffect(() => {
    if (!swims || over) return;
    const from = performance.now() - t * 1000;
    let frame = requestAnimationFrame(function step() {
      setT((performance.now() - from) / 1000);
      frame = requestAnimationFrame(step);
    });
    return () => cancelAnimationFrame(frame);
    // It runs on from where it stood.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [swims, over]);
  const next = () => {
    setThrown(undefined);
    setT(0);
    setSeed(Math.floor(Math.random() * 1e9));
  };
  const throwTo = (clientX: number, clientY: number) => {
    if (!swims || thrown || judge.isPending || over) return;
    const box = svg.current!.getBoundingClientRect();
    const x = (((clientX - box.left) / box.width) * size - size / 2) / scale;
    const y = (size - 18 - ((clientY - box.top) / box.height) * size) / scale;
    judge.mutate({ at: t, x, y });
  };
  const k = swims ? Math.min(Math.floor(t / swims.step_s), steps - 2) : 0;
  const at = swims ? { x: swims.x_m[k]!, y: swims.y_m[k]! } : { x: 0, y: 0 };
  const ahead = swims ? { x: swims.x_m[k + 1]! - at.x, y: swims.y_m[k + 1]! - at.y } : { x: 0, y: 1 };
  const heading = (Math.atan2(ahead.x, ahead.y) * 180) / Math.PI;
  const far = thrown ? Math.hypot(thrown.x, thrown.y) : 0;
  const out = !thrown
    ? 0
    : t < thrown.splash
      ? (far * Math.max(t - thrown.at, 0)) / Math.max(thrown.splash - thrown.at, 0.01)
      : Math.max(far - cast.pace_ms * (t - thrown.splash), 0);
  return (
    <article className="panel bench-work practice">
      <h1>{say.practiceFish}</h1>
      <p className="quiet">{say.itSwimsDartsAndComes}</p>
      <div className="practice-two">
        <svg
          ref={svg}
          viewBox={`0 0 ${size} ${size}`}
          className="practice-water"
          role="img"
          aria-label={say.aFishFromAboveTouch}
          onPointerDown={(e) => throwTo(e.clientX, e.clientY)}
        >
          <circle cx={px(0)} cy={py(0)} r={cast.reach_m * scale} className="rim" />
          {help && swims?.aim.possible && (
            <>
              <line
                x1={px(0)}
                y1={py(0)}
                x2={px(swims.aim.land_x_m)}
                y2={py(swims.aim.land_y_m)}
                className="swims"
              />
              <circle cx={px(swims.aim.land_x_m)} cy={py(swims.aim.land_y_m)} r={8} className="aim" />
            </>
          )}
          {thrown && t >= thrown.at && far > 0 && (
            <>
              <line
                x1={px(0)}
                y1={py(0)}
                x2={px((thrown.x / far) * out)}
                y2={py((thrown.y / far) * out)}
                className="cast-line"
              />
              {t >= thrown.splash && t < thrown.splash + 0.8 && (
                <circle
                  cx={px(thrown.x)}
                  cy={py(thrown.y)}
                  r={6 + (t - thrown.splash) * 14}
                  className="splash"
                />
              )}
              <circle
                cx={px((thrown.x / far) * out)}
                cy={py((thrown.y / far) * out)}
                r={4}
                className="lure"
              />
            </>
          )}
          {swims && (
            <g transform={`translate(${px(at.x)} ${py(at.y)}) rotate(${heading})`} className="fish">
              <path d="M0 -9C4 -4 4 4 0 9L-4 14H4L0 9C-4 4 -4 -4 0 -9Z" />
            </g>
          )}
          <circle cx={px(0)} cy={py(0)} r={6} />
        </svg>
        <div>
          <p className="bench-result" role="status">
            {over && thrown
              ? thrown.says
              : over
                ? say.itSwamOffThrowSooner
                : thrown
                  ? say.onItsWay
                  : `${fixed(t, 1)} s`}
          </p>
          {help && swims && (
            <p className="small">
              {swims.aim.possible
                ? say.ifItKeptItsBearing(fixed(swims.aim.wait_s, 1))
                : say.ifItKeptItsBearing2(swims.aim.why)}
            </p>
          )}
          <Fault of={[judge]} />
          <div className="bench-acts">
            <Button type="primary" onClick={next}>
              {say.anotherFish}
            </Button>
            <button className="toggle" aria-pressed={help} onClick={() => setHelp(!help)}>
              {say.showTheBenchsAim}
            </button>
            <span className="quiet">{say.ofThrows(score.strikes, score.throws)}</span>
          </div>
        </div>
      </div>
    </article>
  );
}

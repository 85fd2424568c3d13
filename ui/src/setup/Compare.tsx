import { number } from '../format/spoken';
import { useQuery } from '@tanstack/react-query';
import { Select } from 'antd';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useRef, useState } from 'react';
import { api, type Comparison, type Station } from '../api/client';
import { fixed, metres } from '../format/measure';
import { day } from '../format/time';
import { usePlace } from '../moment/moment';
import { useWidth } from '../ribbon/useWidth';
import { tides as say } from '../words/tides';

/** Two stations side by side: how much later, how much higher, and their curves. */
export function Compare({ stations }: { stations: Station[] }) {
  const [a, setA] = useState<string>();
  const [b, setB] = useState<string>();
  const q = useQuery({
    queryKey: ['compare-stations', a, b],
    queryFn: () => api.compare(a!, b!),
    enabled: !!a && !!b && a !== b,
  });
  const options = stations.map((s) => ({ value: s.id, label: s.name }));
  const name = (id?: string) => stations.find((s) => s.id === id)?.name ?? '';
  return (
    <div>
      <h3>{say.compareTwoStations}</h3>
      <div className="compare-two">
        <Select
          aria-label={say.firstStation}
          placeholder={say.oneStation}
          value={a}
          onChange={setA}
          options={options}
        />
        <Select
          aria-label={say.secondStation}
          placeholder={say.another}
          value={b}
          onChange={setB}
          options={options}
        />
      </div>
      {q.error && <p role="alert">{q.error.message}</p>}
      {q.data && a !== b && <Result c={q.data} a={name(a)} b={name(b)} />}
    </div>
  );
}

const later = (min: number) =>
  Math.abs(min) < 0.5
    ? say.atTheSameTime
    : (min > 0 ? say.minLater : say.minEarlier)(fixed(Math.abs(min), 0));

function Result({ c, a, b }: { c: Comparison; a: string; b: string }) {
  return (
    <>
      <p>
        {say.overTheNextSixtyDays(
          <b>{b}</b>,
          later(c.lag_high_min),
          fixed(c.lag_high_scatter_min, 0),
          later(c.lag_low_min),
          fixed(c.lag_low_scatter_min, 0),
          <b>{a}</b>,
          fixed(c.factor, 2),
          c.difference_m >= 0 ? '+' : '−',
          metres(Math.abs(c.difference_m)),
          metres(c.mean_spring_range_a_m),
          metres(c.mean_spring_range_b_m),
          metres(c.rms_m),
        )}
      </p>
      <Curves c={c} a={a} b={b} />
    </>
  );
}

function Curves({ c, a, b }: { c: Comparison; a: string; b: string }) {
  const here = usePlace();
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box);
  const height = 170;
  const pad = { left: 40, right: 8, top: 18, bottom: 22 };
  const times = c.curve.map((p) => Date.parse(p.time));
  const levels = c.curve.flatMap((p) => [p.a_m, p.b_m]);
  const x = scaleLinear([times[0]!, times[times.length - 1]!], [pad.left, width - pad.right]);
  const y = scaleLinear([Math.min(...levels), Math.max(...levels)], [height - pad.bottom, pad.top]);
  const path = (pick: (p: Comparison['curve'][number]) => number) =>
    line<Comparison['curve'][number]>()
      .x((p) => x(Date.parse(p.time)))
      .y((p) => y(pick(p)))(c.curve) ?? '';
  return (
    <div ref={box} className="fit">
      {width > 0 && (
        <svg width={width} height={height} role="img" aria-label={say.levelsOfAnd(a, b)}>
          {y.ticks(4).map((t) => (
            <g key={t}>
              <line className="grid" x1={pad.left} x2={width - pad.right} y1={y(t)} y2={y(t)} />
              <text x={pad.left - 6} y={y(t) + 4} textAnchor="end">
                {number('depth', t, 1)}
              </text>
            </g>
          ))}
          <path className="fitted" d={path((p) => p.a_m)} />
          <path className="left" d={path((p) => p.b_m)} />
          <text className="key-a" x={pad.left + 4} y={12}>
            {a}
          </text>
          <text className="key-b" x={pad.left + 18 + a.length * 7} y={12}>
            {b}
          </text>
          {[0, 1, 2].map((k) => (
            <text key={k} x={x(times[0]! + k * 86_400_000)} y={height - 5}>
              {day(new Date(times[0]! + k * 86_400_000), here.spot.time_zone)}
            </text>
          ))}
        </svg>
      )}
    </div>
  );
}

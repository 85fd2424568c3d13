import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import type { Sheet } from '../api/client';

type Point = Sheet['history'][number]['points'][number];

const width = 132;
const height = 30;
const pad = 4;

/** How a reading went and goes: three days back, a day and a half on; what was seen as pebbles. */
export function Spark({ points, at }: { points: Point[]; at: number }) {
  const from = at - 72 * 3600_000;
  const to = at + 36 * 3600_000;
  const told = points.filter((p) => p.origin !== 'observed' && !p.own);
  const seen = points.filter((p) => p.origin === 'observed' || p.own);
  if (points.length < 2) return <span className="spark" />;
  const values = points.map((p) => p.value);
  const lo = Math.min(...values);
  const hi = Math.max(...values);
  const x = scaleLinear([from, to], [pad, width - pad]);
  const y = scaleLinear([lo, hi === lo ? lo + 1 : hi], [height - pad, pad]);
  const path = line<Point>()
    .x((p) => x(Date.parse(p.time)))
    .y((p) => y(p.value));
  return (
    <svg className="spark" width={width} height={height} aria-hidden="true">
      <line className="spark-now" x1={x(at)} x2={x(at)} y1={0} y2={height} />
      <path d={path(told) ?? ''} />
      {seen.map((p) => (
        <ellipse key={p.time + p.origin} cx={x(Date.parse(p.time))} cy={y(p.value)} rx={3.4} ry={2.8} />
      ))}
    </svg>
  );
}

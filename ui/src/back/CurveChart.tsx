import type { Curve } from '../api/client';
import { perHour } from '../format/measure';
import { at as shown, marks } from './curve';
import './curve.css';
import { back as say } from '../words/back';

const left = 34;
const right = 8;
const top = 8;
const foot = 46;
const effort = 22;

/**
 * The catch a rod-hour against one condition: the curve with its band, the spells as a rug (filled where there was a fish,
 * open where not), and the effort below, so that nobody reads a catch without it.
 */
export function CurveChart(props: { curve: Curve; name: string; width: number; height: number }) {
  const { curve: c, name, width: w, height: h } = props;
  const most = Math.max(...c.points.map((p) => p.high), 0.1);
  const top10 = nice(most);
  const floor = h - foot;
  const x = (v: number) => left + ((v - c.from) / (c.to - c.from)) * (w - left - right);
  const y = (v: number) => floor - (Math.min(v, top10) / top10) * (floor - top);
  const hours = Math.max(...c.points.map((p) => p.rod_hours), 1e-9);
  const bar = (w - left - right) / Math.max(c.points.length - 1, 1);
  const path = (of: (p: Curve['points'][number]) => number) =>
    c.points.map((p, i) => `${i ? 'L' : 'M'}${x(p.x).toFixed(1)} ${y(of(p)).toFixed(1)}`).join('');
  const band =
    path((p) => p.high) +
    [...c.points]
      .reverse()
      .map((p) => `L${x(p.x).toFixed(1)} ${y(p.low).toFixed(1)}`)
      .join('') +
    'Z';
  return (
    <figure className="curve">
      <figcaption>{name}</figcaption>
      <svg viewBox={`0 0 ${w} ${h}`} width={w} height={h} role="img" aria-label={curveSays(c, name)}>
        {[0, top10 / 2, top10].map((v) => (
          <g key={v}>
            <line className="grid" x1={left} x2={w - right} y1={y(v)} y2={y(v)} />
            <text x={left - 5} y={y(v) + 4} textAnchor="end">
              {v === 0 ? '0' : perHour(v)}
            </text>
          </g>
        ))}
        {c.points.map((p) => (
          <rect
            key={p.x}
            className="effort"
            x={x(p.x) - bar / 2}
            width={bar}
            y={floor + 4 + effort * (1 - p.rod_hours / hours)}
            height={(effort * p.rod_hours) / hours}
          />
        ))}
        <path className="band" d={band} />
        <path className="line" d={path((p) => p.median)} />
        {c.rug.map((r) => (
          <circle
            key={r.spell_id}
            className={r.catches > 0 ? 'caught' : 'blank'}
            cx={x(r.x)}
            cy={floor}
            r={Math.min(2.4 + Math.sqrt(r.catches), 5)}
          />
        ))}
        {marks(c).map((v) => (
          <text key={v} x={x(v)} y={h - 4} textAnchor="middle">
            {shown(c.by, v)}
          </text>
        ))}
      </svg>
    </figure>
  );
}

/** What a curve comes to, in a sentence. */
export function curveSays(c: Curve, name: string): string {
  if (!c.most || !c.least) return say.curves.nothing(name);
  const of = (p: NonNullable<Curve['most']>) =>
    [shown(c.by, p.x, true), perHour(p.median), perHour(p.low), perHour(p.high)] as const;
  return say.curves.says(name, of(c.most), of(c.least), c.differ);
}

/** The next round number an axis may end at. */
function nice(v: number): number {
  const power = 10 ** Math.floor(Math.log10(v));
  return [1, 2, 5, 10].map((n) => n * power).find((n) => n >= v) ?? v;
}

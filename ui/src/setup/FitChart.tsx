import { number } from '../format/spoken';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useRef } from 'react';
import type { Analysis } from '../api/client';
import { day } from '../format/time';
import { useWidth } from '../ribbon/useWidth';
import { tides as say } from '../words/tides';

/** The fit over the record's last days, and below it what is left, on the same scale. */
export function FitChart({ curve, zone }: { curve: Analysis['curve']; zone: string }) {
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box);
  if (curve.length < 2) return null;
  const height = 220;
  const pad = { left: 44, right: 8, top: 10, bottom: 22 };
  const times = curve.map((c) => Date.parse(c.time));
  const levels = curve.map((c) => c.fitted_m);
  const left = curve.map((c) => c.height_m - c.fitted_m);
  const span = Math.max(...levels) - Math.min(...levels) || 1;
  // A spike runs off the edge instead of flattening everything else.
  const usual = left.map(Math.abs).sort((a, b) => a - b)[Math.floor(left.length * 0.98)] ?? 0;
  const worst = Math.min(Math.max(usual * 1.6, span * 0.04), span);
  const x = scaleLinear([times[0]!, times[times.length - 1]!], [pad.left, width - pad.right]);
  // One scale for both, the residual on a base line of its own below.
  const base = Math.min(...levels) - worst - span * 0.12;
  const y = scaleLinear(
    [base - worst - span * 0.02, Math.max(...levels) + worst],
    [height - pad.bottom, pad.top],
  );
  const path = (v: number[]) =>
    line<number>()
      .x((_, i) => x(times[i]!))
      .y((d) => y(d))(v) ?? '';
  return (
    <div ref={box} className="fit">
      {width > 0 && (
        <svg width={width} height={height} role="img" aria-label={say.fitOverTheRecordAnd}>
          {y.ticks(5).map((t) =>
            t > base + worst ? (
              <g key={t}>
                <line className="grid" x1={pad.left} x2={width - pad.right} y1={y(t)} y2={y(t)} />
                <text x={pad.left - 6} y={y(t) + 4} textAnchor="end">
                  {number('depth', t, 1)}
                </text>
              </g>
            ) : null,
          )}
          <clipPath id="fit-frame">
            <rect
              x={pad.left}
              y={0}
              width={Math.max(width - pad.left - pad.right, 0)}
              height={height - pad.bottom + 2}
            />
          </clipPath>
          <g clipPath="url(#fit-frame)">
            {curve.map((c, i) => (
              <circle key={c.time} cx={x(times[i]!)} cy={y(c.height_m)} r={1.2} className="reading" />
            ))}
            <path d={path(curve.map((c) => c.fitted_m))} className="fitted" />
            <line className="grid" x1={pad.left} x2={width - pad.right} y1={y(base)} y2={y(base)} />
            <path d={path(left.map((r) => base + r))} className="left" />
          </g>
          <text x={pad.left - 6} y={y(base) + 4} textAnchor="end">
            {say.left}
          </text>
          {[0, 0.5, 1].map((k) => {
            const t = times[0]! + (times[times.length - 1]! - times[0]!) * k;
            return (
              <text
                key={k}
                x={x(t)}
                y={height - 5}
                textAnchor={k === 0 ? 'start' : k === 1 ? 'end' : 'middle'}
              >
                {day(new Date(t), zone)}
              </text>
            );
          })}
        </svg>
      )}
    </div>
  );
}

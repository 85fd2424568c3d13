import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useRef } from 'react';
import type { Sheet } from '../api/client';
import { number } from '../format/spoken';
import { clock } from '../format/time';
import { useWidth } from '../ribbon/useWidth';
import { spread } from '../ribbon/spread';
import { conditions as say } from '../words/conditions';

type Warm = Sheet['warmth'][number];

/** The temperature over each mark for a day and a half; where the ground is dry the line breaks. */
export function WarmthChart({ warmth, at, zone }: { warmth: Warm[]; at: number; zone: string }) {
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box);
  const height = 190;
  const pad = { left: 38, right: 150, top: 8, bottom: 22 };
  const all = warmth.flatMap((w) => w.points.flatMap((p) => (p.c === undefined ? [] : [p.c])));
  const times = (warmth[0]?.points ?? []).map((p) => Date.parse(p.time));
  if (all.length === 0 || times.length === 0)
    return (
      <div ref={box}>
        <p className="quiet small">{say.nothingIsUnderWaterHere}</p>
      </div>
    );
  const lo = Math.min(...all);
  const hi = Math.max(...all);
  const x = scaleLinear([times[0]!, times[times.length - 1]!], [pad.left, width - pad.right]);
  const y = scaleLinear([lo - 0.15, Math.max(hi, lo + 1) + 0.15], [height - pad.bottom, pad.top]);
  const path = line<Warm['points'][number]>()
    .defined((p) => p.c !== undefined)
    .x((p) => x(Date.parse(p.time)))
    .y((p) => y(p.c!));
  const labels = spread(
    warmth.map((w, i) => {
      const last = [...w.points].reverse().find((p) => p.c !== undefined);
      return {
        at: y(last?.c ?? lo),
        i,
        text: `${w.name} ${w.now_c === undefined ? 'dry' : number('temperature', w.now_c, 1)}`,
      };
    }),
    15,
  );
  return (
    <div ref={box} className="warmth">
      {width > 0 && (
        <svg width={width} height={height} role="img" aria-label={say.temperatureOverEachMark}>
          {y.ticks(4).map((t) => (
            <g key={t}>
              <line className="grid" x1={pad.left} x2={width - pad.right} y1={y(t)} y2={y(t)} />
              <text x={pad.left - 6} y={y(t) + 4} textAnchor="end">
                {number('temperature', t, 1)}
              </text>
            </g>
          ))}
          <line className="warm-now" x1={x(at)} x2={x(at)} y1={pad.top} y2={height - pad.bottom} />
          {warmth.map((w, i) => (
            <path key={w.mark_id} d={path(w.points) ?? ''} className={`warm-${i % 5}`} />
          ))}
          {labels.map((l) => (
            <g key={l.i}>
              <line
                className={`warm-${l.i % 5}`}
                x1={width - pad.right + 4}
                x2={width - pad.right + 22}
                y1={l.label}
                y2={l.label}
              />
              <text x={width - pad.right + 28} y={l.label + 4}>
                {l.text}
              </text>
            </g>
          ))}
          {[-12, -6, 0, 6, 12].map((h) => (
            <text key={h} x={x(at + h * 3600_000)} y={height - 5} textAnchor="middle">
              {clock(new Date(at + h * 3600_000), zone)}
            </text>
          ))}
        </svg>
      )}
    </div>
  );
}

import { scaleLinear } from 'd3-scale';
import { curveMonotoneX, line } from 'd3-shape';
import type { Template } from '../api/client';
import { number, unitOf } from '../format/spoken';
import { useMedia } from '../frame/fold';
import { begin as say } from '../words/begin';

/** A section with the water between low and high in it; large, with its marks and depths at low water. */
export function Profile({ t, large }: { t: Template; large?: boolean }) {
  const narrow = useMedia('(max-width: 700px)');
  const [w, h] = large ? [narrow ? 390 : 640, 260] : [220, 92];
  const pad = large ? { top: 74, bottom: 14 } : { top: 8, bottom: 0 };
  const z = t.section.map((p) => p.elevation_m);
  const far = t.section.at(-1)!.distance_m;
  const lo = Math.min(...z, t.low_m);
  const hi = Math.max(...z, t.high_m);
  const x = scaleLinear([0, far], [0, w]);
  const y = scaleLinear([hi + (hi - lo) * 0.08, lo - (hi - lo) * 0.12], [pad.top, h - pad.bottom]);
  const ground = line<(typeof t.section)[number]>()
    .x((p) => x(p.distance_m))
    .y((p) => y(p.elevation_m))
    .curve(curveMonotoneX)(t.section)!;
  return (
    <svg
      viewBox={`0 0 ${w} ${h}`}
      className={large ? 'profile large' : 'profile'}
      role="img"
      aria-label={say.fromTheSide(t.name)}
    >
      <rect x={0} width={w} y={y(t.high_m)} height={h - y(t.high_m)} className="profile-high" />
      <rect x={0} width={w} y={y(t.low_m)} height={h - y(t.low_m)} className="profile-low" />
      <path d={`${ground}L${w} ${h}L0 ${h}Z`} className="profile-ground" />
      {large &&
        t.marks.map((m, i) => {
          const d = t.low_m - (m.elevation_m ?? 0);
          const px = x(m.distance_m);
          const up = i % 2 === 0 ? 14 : 45;
          const anchor = px < 40 ? 'start' : px > w - 40 ? 'end' : 'middle';
          const tx = Math.min(Math.max(px, 4), w - 6);
          return (
            <g key={m.name} className="profile-mark">
              <line x1={px} x2={px} y1={y(m.elevation_m ?? 0)} y2={up + 18} />
              <text x={tx} y={up} textAnchor={anchor}>
                {m.name}
              </text>
              <text x={tx} y={up + 14} textAnchor={anchor} className="depth">
                {d > 0 ? `${number('depth', d)} ${unitOf('depth')}` : say.dry}
              </text>
            </g>
          );
        })}
      {large && (
        <text x={w * 0.68} y={y(t.low_m) + 13} className="profile-level">
          {say.lowWater}
        </text>
      )}
      {large && t.high_m - t.low_m > 0.1 && (
        <text x={w * 0.68} y={y(t.high_m) - 4} className="profile-level">
          {say.high}
        </text>
      )}
    </svg>
  );
}

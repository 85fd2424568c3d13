import { distance } from '../format/spoken';
import { scaleLinear } from 'd3-scale';
import { useQuery } from '@tanstack/react-query';
import { useRef } from 'react';
import { api, type BenchOut } from '../api/client';
import { useMoment, usePlace } from '../moment/moment';
import { useWidth } from '../ribbon/useWidth';
import { bench as say } from '../words/bench';

const height = 190;

/** A plug's way over the section, from the side. */
export function Swim(props: { swim: BenchOut<'plug'>; cast: number; stand: number }) {
  const { swim, cast, stand } = props;
  const here = usePlace();
  const moment = useMoment();
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box);
  const spot = useQuery({ queryKey: ['spot', here.spot.id], queryFn: () => api.spot(here.spot.id) });
  const level = moment.frame?.level_m ?? 0;
  const section = spot.data?.section ?? [];
  const ground = section.map((p) => ({ d: p.distance_m - stand, z: level - p.elevation_m }));
  const deepest = Math.max(
    swim.deepest_m,
    ...ground.filter((g) => g.d >= 0 && g.d <= cast).map((g) => g.z),
    0.5,
  );
  const x = scaleLinear([-2, cast], [8, width - 8]);
  const y = scaleLinear([-0.5, deepest * 1.15], [16, height - 22]);
  return (
    <div ref={box} className="swim">
      {width > 0 && (
        <svg width={width} height={height} role="img" aria-label={say.thePlugsWayOverThe}>
          <rect x={0} y={y(0)} width={width} height={height - y(0)} fill="var(--water-mid)" />
          {ground.length > 1 && (
            <path
              d={`M${ground.map((g) => `${x(g.d).toFixed(1)} ${y(g.z).toFixed(1)}`).join('L')}L${x(ground.at(-1)!.d)} ${height}L${x(ground[0]!.d)} ${height}Z`}
              fill="var(--ground)"
              stroke="var(--ground-line)"
            />
          )}
          <path
            className="swim-way"
            d={`M${swim.path.map((p) => `${x(p.distance_m).toFixed(1)} ${y(p.depth_m).toFixed(1)}`).join('L')}`}
          />
          {swim.touches_m !== undefined && (
            <circle
              cx={x(swim.touches_m)}
              cy={y(swim.path.find((p) => p.distance_m <= swim.touches_m!)?.depth_m ?? 0)}
              r={5}
              className="swim-knock"
            />
          )}
          {x.ticks(6).map((d) => (
            <text key={d} x={Math.min(x(d), width - 18)} y={height - 6} textAnchor="middle">
              {d < 0 ? '' : distance(d)}
            </text>
          ))}
        </svg>
      )}
    </div>
  );
}

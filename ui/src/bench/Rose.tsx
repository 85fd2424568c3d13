import { distance } from '../format/spoken';
import type { BenchOut } from '../api/client';
import { bearing, fixed } from '../format/measure';
import { bench as say } from '../words/bench';

const half = 120;

/** From above: how much of a cast in each direction lies over good depths. */
export function Rose(props: { directions: BenchOut<'cast'>['directions']; best?: number; cast: number }) {
  const { directions, best, cast } = props;
  const at = (deg: number, r: number) => {
    const a = ((deg - 90) * Math.PI) / 180;
    return `${(half + r * Math.cos(a)).toFixed(1)} ${(half + r * Math.sin(a)).toFixed(1)}`;
  };
  const scale = (half - 22) / cast;
  return (
    <svg className="cast-rose" width={2 * half} height={2 * half} role="img" aria-label={say.castsFromAbove}>
      <circle cx={half} cy={half} r={half - 22} className="rim" />
      {directions.map((d) => (
        <g key={d.bearing_deg}>
          <path d={`M${at(d.bearing_deg, 6)}L${at(d.bearing_deg, cast * scale)}`} className="ray" />
          {d.in_strip_m > 0 && (
            <path
              d={`M${at(d.bearing_deg, (d.first_m ?? 0) * scale)}L${at(d.bearing_deg, Math.min((d.first_m ?? 0) + d.in_strip_m, cast) * scale)}`}
              className={d.bearing_deg === best ? 'way best' : 'way'}
            >
              <title>{`${bearing(d.bearing_deg)}: ${distance(d.in_strip_m)}, ${fixed(d.seconds, 0)} s`}</title>
            </path>
          )}
        </g>
      ))}
      <circle cx={half} cy={half} r={4} />
      {['N', 'E', 'S', 'W'].map((n, i) => (
        <text
          key={n}
          x={half + (half - 9) * Math.sin((i * Math.PI) / 2)}
          y={half - (half - 9) * Math.cos((i * Math.PI) / 2) + 4}
          textAnchor="middle"
        >
          {n}
        </text>
      ))}
    </svg>
  );
}

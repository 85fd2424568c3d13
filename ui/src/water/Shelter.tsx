import { depth, show } from '../format/spoken';
import { useQuery } from '@tanstack/react-query';
import { api } from '../api/client';
import { useSpotState } from '../conditions/useSpotState';
import { bearing } from '../format/measure';
import { usePlace } from '../moment/moment';
import { water as say } from '../words/water';

const half = 78;
const ring = 26;
/** Waves this high, metres, reach the rim. */
const rim = 0.45;

/** Wind by wind, how the water would lie here: the longer a petal, the higher the chop from that side. */
export function Shelter() {
  const here = usePlace();
  const state = useSpotState();
  const now = (kind: string) => state.data?.conditions.find((r) => r.kind === kind)?.value;
  const shelter = state.data?.shelter;
  const from = now('wind_from_deg');
  const q = useQuery({
    queryKey: ['shelter', here.spot.id, shelter?.wind_ms],
    queryFn: ({ signal }) => api.shelter(here.spot.id, shelter!.wind_ms, signal),
    enabled: !!shelter,
    staleTime: 600_000,
  });
  const list = q.data ?? [];
  if (!shelter || list.length === 0) return null;
  const rad = (deg: number) => ((deg - 90) * Math.PI) / 180;
  const petal = (deg: number, wave: number) => {
    const r = ring + (half - ring - 8) * Math.min(wave / rim, 1);
    const at = (d: number, r: number) =>
      `${(half + r * Math.cos(rad(d))).toFixed(1)} ${(half + r * Math.sin(rad(d))).toFixed(1)}`;
    return `M${at(deg - 9, ring)}L${at(deg - 9, r)}A${r} ${r} 0 0 1 ${at(deg + 9, r)}L${at(deg + 9, ring)}Z`;
  };
  return (
    <section className="panel shelter">
      <h2>{say.shelterInOfWind(show('wind', shelter.wind_ms, 0))}</h2>
      <div className="shelter-two">
        <svg width={2 * half} height={2 * half} role="img" aria-label={say.wavesByTheDirectionOf}>
          <circle cx={half} cy={half} r={half - 8} className="rim" />
          <circle cx={half} cy={half} r={ring} className="rim" />
          {list.map((s) => (
            <path key={s.from_deg} d={petal(s.from_deg, s.wave_m)} className={`petal ${s.word}`}>
              <title>{`${bearing(s.from_deg)}: ${s.word}, ${depth(s.wave_m)}`}</title>
            </path>
          ))}
          {from !== undefined && from !== null && (
            <g transform={`rotate(${from} ${half} ${half})`} className="wind-now">
              <path d={`M${half} 1v${half - ring}m-5 -8l5 8l5 -8`} />
            </g>
          )}
          <text x={half} y={half + 4} textAnchor="middle">
            {from !== undefined && from !== null ? bearing(from) : ''}
          </text>
        </svg>
        <p className="small">{shelter.says}</p>
      </div>
    </section>
  );
}

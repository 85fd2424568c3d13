import { distance } from '../format/spoken';
import type { Said, Told } from './touch';
import type { Fix } from './position';
import { fish as say } from '../words/fish';

/** So far along the shore and out the plan reaches, metres, and farther where the trail goes farther. */
const half = 50;
const deep = 80;
const foot = 10;

/**
 * Casts along the shore from above: touched where one went, it is kept. The places that showed nothing are
 * spent, those with a sign full; what is walked lies along the water's edge.
 */
export function Trail({
  told,
  feature,
  aimless,
  fix,
  tell,
}: {
  told: Told;
  /** The kind of feature of the next cast; empty: none was named. */
  feature: string;
  /** The last cast, where nobody told yet where it went. */
  aimless: string | undefined;
  fix: () => Fix | undefined;
  tell: (said: Said) => void;
}) {
  const { trail, standing_m: stand, same_m: same } = told;
  const reach = Math.max(half, ...trail.map((c) => Math.abs(c.along_m - stand) + same));
  const out = Math.max(deep, ...trail.map((c) => c.out_m + same));
  const rings = [20, 40, 60, 80].filter((r) => r <= out);
  return (
    <>
      <p className="quiet small">{say.touchWhereItWent}</p>
      <svg
        className="fish-plan trail"
        viewBox={`${-reach} ${-out} ${2 * reach} ${out + foot}`}
        role="img"
        aria-label={say.planOfTheCasts(trail.length)}
        onClick={(e) => {
          const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(
            e.currentTarget.getScreenCTM()!.inverse(),
          );
          const aim = { along_m: Math.round(p.x), out_m: Math.max(0, Math.round(-p.y)) };
          if (aimless) return tell({ kind: 'correct', of: aimless, aim });
          const at = fix();
          tell({
            kind: 'cast',
            ...(feature ? { note: feature } : {}),
            aim,
            ...(at ? { at: { lat: at.lat, lon: at.lon } } : {}),
          });
        }}
      >
        <rect x={-reach} y={0} width={2 * reach} height={foot} className="shore" />
        {rings.map((r) => (
          <g key={r}>
            <line x1={-reach} x2={reach} y1={-r} y2={-r} className="ring" />
            <text x={-reach + 1} y={-r - 0.8} className="far">
              {distance(r)}
            </text>
          </g>
        ))}
        {trail.map((c, i) => (
          <circle
            key={i}
            cx={c.along_m - stand}
            cy={c.aimed ? -c.out_m : foot / 2}
            r={c.aimed ? same : 1.2}
            className={c.fish > 0 ? 'caught' : c.signs > 0 ? 'sign' : c.aimed ? 'spent' : 'walked'}
          />
        ))}
        <path d={`M 0 ${foot - 1} l -2.4 0 l 2.4 -5 l 2.4 5 z`} className="stand" />
      </svg>
      {told.again && <p role="status">{say.youCastThere}</p>}
    </>
  );
}

import type { ScaleLinear } from 'd3-scale';
import type { RibbonData, Visit } from '../api/client';
import { clock } from '../format/time';
import { ribbon as say } from '../words/ribbon';

/**
 * When one can get in and back, thin; until when to be out by the angler's margin, thicker; and when most
 * marks are worth a cast, dark.
 */
export function Visits(props: {
  x: ScaleLinear<number, number>;
  y: number;
  ribbon: RibbonData;
  visits: Visit[];
  zone: string;
}) {
  const { x, y, ribbon: r, visits, zone } = props;
  const from = Date.parse(r.from);
  const to = Date.parse(r.to);
  /** A stretch within the ribbon. */
  const bar = (a: string | null | undefined, b: string | null | undefined) => {
    const begin = Math.max(a ? Date.parse(a) : from, from);
    const end = Math.min(b ? Date.parse(b) : to, to);
    return end > begin ? { x: x(begin), width: Math.max(x(end) - x(begin), 2) } : undefined;
  };
  return (
    <g>
      {r.windows.map((w, i) => {
        const b = bar(w.opens, w.closes);
        return b && <rect key={i} className="open" {...b} y={y + 1} height={3} rx={1.5} />;
      })}
      {visits.map((v, i) => {
        const whole = bar(v.opens, v.closes);
        // What is missing of it is the visit's own end.
        const best =
          v.best_from || v.best_until ? bar(v.best_from ?? v.opens, v.best_until ?? v.closes) : undefined;
        return (
          whole && (
            <g key={i} data-visit={v.opens ?? 'open'}>
              <title>{v.says}</title>
              <rect className="visit" {...whole} y={y} height={5} rx={2.5} />
              {best && (
                <rect
                  className="best"
                  {...best}
                  y={y}
                  height={5}
                  rx={2.5}
                  aria-label={say.best(
                    v.best_from ? clock(v.best_from, zone) : '',
                    v.best_until ? clock(v.best_until, zone) : '',
                  )}
                />
              )}
            </g>
          )
        );
      })}
    </g>
  );
}

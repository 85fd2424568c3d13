import { memo } from 'react';
import type { ChartSpot, Means } from '../api/client';
import { clock, lasting } from '../format/time';
import type { Reach } from './SpotFilter';
import { water as say } from '../words/water';

const going: Record<string, string> = {
  'on foot': say.walk,
  wading: say.walk,
  kayak: say.paddle,
  boat: say.run,
};

/** When it shuts, or opens next. */
function when(s: ChartSpot): string {
  if (s.open) return s.closes ? say.until(clock(s.closes, s.time_zone)) : say.open;
  if (s.closed_by) return say.closedBy(s.closed_by);
  return s.opens ? say.from2(clock(s.opens, s.time_zone)) : say.shut;
}

/** The spots of the map in words. It stays as it is while only the moment moves. */
export const SpotList = memo(function SpotList(props: {
  spots: ChartSpot[];
  shown: Set<string>;
  reaches?: Map<string, Reach>;
  by?: Means;
  chosen: string;
  onChoose: (id: string) => void;
}) {
  const { spots, shown, reaches, by, chosen, onChoose } = props;
  const list = spots.filter((s) => shown.has(s.id));
  if (list.length === 0)
    return (
      <p className="panel">
        {spots.length === 0 ? say.noSpotsYetNewSpot : reaches ? say.noSpotIsLikeThat : say.noSpotIsLikeThat2}
      </p>
    );
  // What is open first, the nearest first where a way is known.
  const way = (s: ChartSpot) => reaches?.get(s.id)?.minutes ?? Infinity;
  const order = [...list].sort(
    (a, b) => Number(b.open) - Number(a.open) || way(a) - way(b) || a.name.localeCompare(b.name),
  );
  return (
    <ul className="spot-list">
      {order.map((s) => {
        const reach = reaches?.get(s.id);
        return (
          <li key={s.id}>
            <button aria-pressed={s.id === chosen} onClick={() => onChoose(s.id)} data-open={s.open}>
              <i className={s.open ? 'pebble-dot full' : 'pebble-dot'} aria-hidden="true" />
              <b>{s.name}</b>
              <span className={s.closing ? 'when closing' : 'when'}>{when(s)}</span>
              <span className="quiet small">
                {[
                  s.place,
                  s.surface.word,
                  reach?.minutes !== undefined &&
                    say.theWayTakes(
                      lasting(reach.minutes * 60000),
                      by === 'car' ? say.byRoad : going[reach.manner!]!,
                      reach.bee_line ?? false,
                    ),
                ]
                  .filter(Boolean)
                  .join(', ')}
              </span>
              {s.warnings.map((w) => (
                <span key={w} className="caution small">
                  {w}
                </span>
              ))}
            </button>
          </li>
        );
      })}
    </ul>
  );
});

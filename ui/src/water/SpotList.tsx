import { memo } from 'react';
import type { ChartSpot, Means } from '../api/client';
import { clock, lasting } from '../format/time';
import type { Reach } from './SpotFilter';

const going: Record<string, string> = { 'on foot': 'walk', wading: 'walk', kayak: 'paddle', boat: 'run' };

/** When it shuts, or opens next. */
function when(s: ChartSpot): string {
  if (s.open) return s.closes ? `until ${clock(s.closes, s.time_zone)}` : 'open';
  if (s.closed_by) return `closed by ${s.closed_by}`;
  return s.opens ? `from ${clock(s.opens, s.time_zone)}` : 'shut';
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
        {spots.length === 0
          ? 'No spots yet. “New spot” puts the first one on the map.'
          : reaches
            ? 'No spot is like that and in reach now. Allow more minutes, another way to go, or move the ribbon.'
            : 'No spot is like that now. Move the ribbon, or ask for less.'}
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
                {s.place}, {s.surface.word}
                {reach?.minutes !== undefined &&
                  `, ${lasting(reach.minutes * 60000)} ${by === 'car' ? 'by road' : going[reach.manner!]}${reach.bee_line ? ', guessed from the bee line' : ''}`}
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

import { memo, useMemo, useRef } from 'react';
import type { AheadData } from '../api/client';
import { times } from '../format/measure';
import { dayShort } from '../format/time';
import { useWidth } from '../ribbon/useWidth';
import { useLight } from '../theme/light';
import { bestAt, ordered, type Row } from './fortnight';
import { inked, Skyline } from './Skyline';
import { ahead as say } from '../words/ahead';
import { sentences } from '../words/joined';

const hour = 3600_000;

/** Spots down, days and hours across; the best first. */
export const Fortnight = memo(function Fortnight(props: {
  data: AheadData;
  targets: string[];
  chosen: string;
  at: number;
  /** Edge from which it is worth going. */
  least: number;
  onHour: (row: Row, time: number) => void;
}) {
  const { data, targets, chosen, at, least, onHour } = props;
  const { light } = useLight();
  // In the light of now: what it depends on is the light, though it does not name it.
  const ink = useMemo(inked, [light]);
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box);
  const rows = useMemo(() => ordered(data.spots, targets), [data.spots, targets]);
  const from = Date.parse(data.from);
  // Days are those of the chosen spot's clock.
  const chosenRow = data.spots.find((s) => s.spot_id === chosen);
  const water = data.waters.find((w) => w.water_id === chosenRow?.water_id) ?? data.waters[0];
  const zones = new Set(data.waters.map((w) => w.time_zone));
  const x = (t: number) => ((t - from) / hour / data.hours) * width;
  const shown = at >= from && at < from + data.hours * hour ? Math.floor((at - from) / hour) : -1;
  // So far somebody has told the weather; beyond it the usual is assumed.
  const told = (data.spots[0]?.told.lastIndexOf('1') ?? -1) + 1;
  const named = new Map(data.targets.map((t) => [t.id, t.name]));
  if (!water) return null;
  return (
    <div className="fortnight">
      <div className="fortnight-row">
        <span />
        <div className="fortnight-days" ref={box}>
          <i className="fortnight-told" style={{ width: (told * width) / data.hours }} />
          {width > 0 &&
            water.days.map((d) => {
              const left = Math.max(0, x(Date.parse(d.from)));
              const wide = Math.min(width, x(Date.parse(d.from) + 24 * hour)) - left;
              return (
                <span key={d.from} className="fortnight-day" style={{ left, width: wide }}>
                  {wide > 40 && <b>{dayShort(d.from, water.time_zone)}</b>}
                  {wide > 40 && d.tide && <span>{d.tide}</span>}
                  {wide > 40 && d.moon && <span>{moonIn(d.moon, wide > 60)}</span>}
                </span>
              );
            })}
        </div>
      </div>
      {rows.map(({ row, worth }) => (
        <div
          className="fortnight-row"
          key={row.spot_id}
          data-spot={row.spot}
          data-chosen={row.spot_id === chosen}
        >
          <span className="fortnight-spot">{row.spot}</span>
          {width > 0 && (
            <Skyline
              row={row}
              worth={worth}
              width={width}
              at={shown}
              ink={ink}
              least={least}
              label={inWords(row, worth, targets, named)}
              onHour={(h) => onHour(row, from + h * hour)}
            />
          )}
        </div>
      ))}
      <p className="quiet small fortnight-key">
        {sentences(
          say.theHigherTheBetterDotted,
          zones.size > 1 && say.daysAreThoseOf(water.water, water.time_zone),
        )}
      </p>
    </div>
  );
});

/** The moon's quarters in short. */
const quarters: Record<string, string> = {
  'new moon': 'new',
  'first quarter': 'half',
  'full moon': 'full',
  'last quarter': 'half',
};
const moonIn = (quarter: string, room: boolean) => {
  const says = quarters[quarter];
  return says && room ? say.moon(says) : says;
};

/** A row for those who do not see it: its best hour, and how much of it is open. */
function inWords(row: Row, worth: Int16Array, targets: string[], named: Map<string, string>): string {
  let best = -1;
  let open = 0;
  for (let h = 0; h < worth.length; h++) {
    if (row.state[h] !== 'o') continue;
    open++;
    if (best < 0 || worth[h]! > worth[best]!) best = h;
  }
  if (best < 0) return say.noHourOfTheseDays(row.spot);
  const first = bestAt(row, best, targets)[0];
  return say.hoursOpenAtBestFor(row.spot, open, times(worth[best]! / 100), named.get(first?.id ?? '') ?? '');
}

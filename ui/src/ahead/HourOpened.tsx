import type { AheadData, Along } from '../api/client';
import { times } from '../format/measure';
import { clock, day } from '../format/time';
import { ahead as say } from '../words/ahead';
import { sentences } from '../words/joined';
import { against, bestAt } from './fortnight';
import { useLookedInto } from './useLookedInto';

const hourLong = 3600_000;
/** So many fish are named. */
const most = 4;

/** An hour of a spot that was touched: what is on, how sure that is and what would spoil it, or why one does not
 * go. */
export function HourOpened(props: {
  data: AheadData;
  spot: string;
  time: number;
  targets: string[];
  least: number;
  along: Along[];
}) {
  const { data, spot, time, targets, least, along } = props;
  const row = data.spots.find((s) => s.spot_id === spot);
  const hour = Math.floor((time - Date.parse(data.from)) / hourLong);
  const within = row !== undefined && hour >= 0 && hour < data.hours;
  const best = within ? bestAt(row, hour, targets) : [];
  const into = useLookedInto({
    spot_id: spot,
    target: best[0]?.id ?? '',
    from: new Date(Date.parse(data.from) + hour * hourLong).toISOString(),
    until: new Date(Date.parse(data.from) + (hour + 1) * hourLong).toISOString(),
    least,
    along,
  });
  if (!within) return null;
  const zone = data.waters.find((w) => w.water_id === row.water_id)!.time_zone;
  const why = against(row, hour);
  const named = new Map(data.targets.map((t) => [t.id, t.name]));
  const on = best.slice(0, most).map((b) => `${named.get(b.id)} ${times(b.edge)}`);
  return (
    <p role="status" className="panel hour-opened small">
      <b>{say.spotAt(row.spot, `${day(new Date(time), zone)} ${clock(new Date(time), zone)}`)}</b>{' '}
      {why && <span className="caution">{why}</span>}{' '}
      {sentences(
        on.length > 0 && say.isOn(on),
        into.data && into.data.edge > 0 && say.theFirstIs(times(into.data.low), times(into.data.high)),
        ...(into.data && !why ? into.data.says : []),
      )}
    </p>
  );
}

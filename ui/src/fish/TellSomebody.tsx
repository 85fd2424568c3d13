import { Select } from 'antd';
import { useState } from 'react';
import type { Spot } from '../api/client';
import { clock, day } from '../format/time';
import { written } from '../format/position';
import { fish as say } from '../words/fish';

const hour = 3_600_000;

/** A plain text for whoever waits: where one is, and when to call. */
export function TellSomebody(props: {
  spot: Spot;
  from: Date;
  until: Date | undefined;
  /** Somebody was told to call then. */
  onCall: (at: Date) => void;
}) {
  const { spot, from, until } = props;
  const [hours, setHours] = useState(
    Math.max(
      1,
      Math.min(12, Math.ceil(((until?.getTime() ?? from.getTime() + 4 * hour) - from.getTime()) / hour) + 1),
    ),
  );
  const [copied, setCopied] = useState(false);
  const call = new Date(from.getTime() + hours * hour);
  const text = say.tellText({
    spot: spot.name,
    water: spot.water,
    at: written(spot),
    manner: spot.manner,
    day: day(from.toISOString(), spot.time_zone),
    from: clock(from.toISOString(), spot.time_zone),
    call: clock(call.toISOString(), spot.time_zone),
  });
  const share = async () => {
    props.onCall(call);
    if (navigator.share) return navigator.share({ text }).catch(() => undefined);
    await navigator.clipboard.writeText(text);
    setCopied(true);
  };
  return (
    <details className="fold fish-tell">
      <summary>{say.tellSomebody}</summary>
      <label className="fish-call">
        {say.callAfter}
        <Select
          aria-label={say.callAfter}
          value={hours}
          onChange={setHours}
          options={Array.from({ length: 12 }, (_, i) => ({
            value: i + 1,
            label: say.hoursAt(
              i + 1,
              clock(new Date(from.getTime() + (i + 1) * hour).toISOString(), spot.time_zone),
            ),
          }))}
        />
      </label>
      <pre>{text}</pre>
      <button className="act" onClick={() => void share()}>
        {copied ? say.copied : say.shareThis}
      </button>
    </details>
  );
}

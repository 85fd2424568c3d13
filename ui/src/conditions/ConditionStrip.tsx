import { Button, InputNumber, Popover, type GetRef } from 'antd';
import { useEffect, useRef, useState } from 'react';
import type { Condition } from '../api/client';
import { fixed, isKind, kinds, shownAt, type Kind } from '../format/measure';
import { clock, day } from '../format/time';
import { useMoment } from '../moment/moment';
import { TideChip } from './TideChip';
import { useSpotState } from './useSpotState';
import './conditions.css';

/**
 * What the water is like, each value underlined by where it came from: plain predicted, dashed forecast, ochre
 * observed, dotted assumed. One touch overrules it.
 */
export function ConditionStrip() {
  const m = useMoment();
  const state = useSpotState();
  const by = new Map((state.data?.conditions ?? []).map((c) => [c.kind, c]));
  const sun = by.get('sun_altitude_deg');
  return (
    <ul className="strip" aria-label="Conditions">
      <TideChip />
      {sun && (
        <li className="strip-wide">
          <span className="cond predicted" title="Height of the sun, from the ephemeris">
            sun <b>{fixed(sun.value, 0)}°</b>
          </span>
        </li>
      )}
      {shownAt(m.spot.place).map((k) => {
        const c = by.get(k);
        return c ? <Overrulable key={k} kind={k} believed={c} from={by.get('wind_from_deg')} /> : null;
      })}
    </ul>
  );
}

const meaning: Record<string, string> = {
  observed: 'You said so',
  forecast: 'From the forecast',
  predicted: 'Predicted',
  assumed: 'Not known; assumed',
};

function Overrulable({ kind, believed, from }: { kind: Kind; believed: Condition; from?: Condition }) {
  const m = useMoment();
  const [open, setOpen] = useState(false);
  const own = m.overrides[kind];
  const value = own?.value ?? believed.value;
  const origin = own ? 'observed' : believed.origin;
  const k = kinds[kind];
  const wind = kind === 'wind_speed_ms';
  const fromValue = m.overrides.wind_from_deg?.value ?? from?.value;
  return (
    <li>
      <Popover
        open={open}
        onOpenChange={setOpen}
        trigger="click"
        placement="bottomRight"
        destroyOnHidden
        content={
          <div className="overrule" onKeyDown={(e) => ['Enter', 'Escape'].includes(e.key) && setOpen(false)}>
            <p>
              <b>{k.long}</b>
            </p>
            <p className="quiet small">
              {own
                ? `You said so for ${clock(own.time, m.spot.time_zone)}; the ${believed.origin} value is ${k.write(believed.value)}.`
                : `${meaning[origin]}: ${believed.source}, ${day(believed.time, m.spot.time_zone)} ${clock(believed.time, m.spot.time_zone)}.`}
              {origin !== 'observed' && isKind(believed.kind)
                ? ` Likely between ${k.write(believed.low)} and ${k.write(believed.high)}.`
                : ''}
            </p>
            <Row kind={kind} initial={value} />
            {wind && <Row kind="wind_from_deg" initial={fromValue ?? 0} />}
            {own && (
              <Button
                onClick={() => {
                  m.override(kind, null);
                  setOpen(false);
                }}
              >
                Use the {believed.origin} value
              </Button>
            )}
          </div>
        }
      >
        <button className={`cond ${origin}`} title={`${meaning[origin]}. Change it`}>
          {k.name}{' '}
          <b>
            {wind && fromValue !== undefined ? `${kinds.wind_from_deg.write(fromValue)} ` : ''}
            {k.write(value)}
          </b>
          <span className="unseen">, {origin}</span>
        </button>
      </Popover>
    </li>
  );
}

function Row({ kind, initial }: { kind: Kind; initial: number }) {
  const m = useMoment();
  const k = kinds[kind];
  const field = useRef<GetRef<typeof InputNumber>>(null);
  const first = kind !== 'wind_from_deg';
  // The popover moves while it opens; the field is ready a moment later.
  useEffect(() => {
    const timer = setTimeout(() => first && field.current?.focus({ cursor: 'all' }), 80);
    return () => clearTimeout(timer);
  }, [first]);
  return (
    <label className="overrule-row">
      <span className={first ? 'unseen' : ''}>{k.long}</span>
      <InputNumber
        ref={field}
        defaultValue={Number(initial.toFixed(2))}
        min={k.min}
        max={k.max}
        step={k.step}
        suffix={k.unit}
        onChange={(v) => typeof v === 'number' && m.override(kind, v)}
      />
    </label>
  );
}

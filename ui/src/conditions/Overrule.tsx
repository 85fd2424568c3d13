import { useMutation } from '@tanstack/react-query';
import { Button, InputNumber, type GetRef } from 'antd';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import type { Condition } from '../api/client';
import { aged, kinds, type Kind } from '../format/measure';
import { clock, day } from '../format/time';
import { useMoment, type Said } from '../moment/moment';
import { meaning } from './origin';

/** The words for clarity, in the order of the plate disappearing. Their ranges come with the sheet. */
const clarity = ['muddy', 'stained', 'clear', 'gin clear'];

const theAngler = 'the angler';

/** What is known of a condition, and what the angler says instead. It is kept at once. */
export function Overrule(props: {
  kind: Kind;
  believed: Condition;
  from?: Condition;
  autoFocus?: boolean;
  onDone: () => void;
}) {
  const { kind, believed, from, onDone } = props;
  const m = useMoment();
  const k = kinds[kind];
  const zone = m.spot.time_zone;
  const pending = m.overrides[kind];
  const wind = kind === 'wind_speed_ms';
  const shown = pending?.value ?? believed.value;
  const [value, setValue] = useState<number | null>(Number(shown.toFixed(2)));
  const shownFrom = m.overrides.wind_from_deg?.value ?? from?.value ?? 0;
  const [fromValue, setFromValue] = useState<number | null>(Math.round(shownFrom));
  const own = believed.source === theAngler;
  const save = useMutation({
    mutationFn: (said: Said[]) => m.say(said),
    onSuccess: onDone,
    // With no signal it counts on this screen, and goes into the log with the next spell.
    onError: (_, said) => {
      for (const s of said) if (s.value !== undefined) m.override(s.kind, s.value);
    },
  });
  const back = useMutation({
    mutationFn: async () => {
      m.override(kind, null);
      if (own) await m.takeBack(kind, believed.time);
    },
    onSuccess: onDone,
  });
  const commit = () => {
    if (value === null) return;
    const said: Said[] = [{ kind, value }];
    if (wind && fromValue !== null) said.push({ kind: 'wind_from_deg', value: fromValue });
    save.mutate(said);
  };
  const keys = (e: KeyboardEvent) => {
    if (e.key === 'Enter' && (e.target as HTMLElement).tagName === 'INPUT') commit();
    if (e.key === 'Escape') onDone();
  };
  return (
    <div className="overrule" onKeyDown={keys}>
      <p>
        <b>{k.long}</b>
      </p>
      <p className="quiet small">
        {pending
          ? `You said ${k.write(pending.value)} for ${clock(pending.time, zone)}; not yet with the server.`
          : `${own ? 'You said so' : `${meaning[believed.origin]}: ${believed.source}`}${believed.place ? ` at ${believed.place}` : ''}, ${day(believed.time, zone)} ${clock(believed.time, zone)} (${aged(believed.age_s)}).`}{' '}
        Likely between {k.write(believed.low)} and {k.write(believed.high)}.
      </p>
      {kind === 'clarity_secchi_m' && (
        <div className="overrule-words" role="group" aria-label="In a word">
          {clarity.map((word) => (
            <Button
              key={word}
              size="small"
              aria-pressed={believed.says === word}
              onClick={() => save.mutate([{ kind, word }])}
            >
              {word}
            </Button>
          ))}
        </div>
      )}
      <Field kind={kind} value={value} onChange={setValue} autoFocus={props.autoFocus ?? true} />
      {wind && (
        <Field kind="wind_from_deg" value={fromValue} onChange={setFromValue} autoFocus={false} named />
      )}
      {(save.error ?? back.error) && (
        <p role="alert" className="small">
          {(save.error ?? back.error)!.message}
        </p>
      )}
      <Button type="primary" loading={save.isPending} disabled={value === null} onClick={commit}>
        So it is
      </Button>
      {(own || pending) && (
        <Button loading={back.isPending} onClick={() => back.mutate()}>
          Take it back
        </Button>
      )}
    </div>
  );
}

function Field(props: {
  kind: Kind;
  value: number | null;
  onChange: (v: number | null) => void;
  autoFocus: boolean;
  named?: boolean;
}) {
  const k = kinds[props.kind];
  const field = useRef<GetRef<typeof InputNumber>>(null);
  const { autoFocus } = props;
  // The popover moves while it opens; the field is ready a moment later.
  useEffect(() => {
    const timer = setTimeout(() => autoFocus && field.current?.focus({ cursor: 'all' }), 80);
    return () => clearTimeout(timer);
  }, [autoFocus]);
  return (
    <label className="overrule-row">
      <span className={props.named ? '' : 'unseen'}>{k.long}</span>
      <InputNumber
        ref={field}
        value={props.value}
        min={k.min}
        max={k.max}
        step={k.step}
        suffix={k.unit}
        onChange={(v) => props.onChange(typeof v === 'number' ? v : null)}
      />
    </label>
  );
}

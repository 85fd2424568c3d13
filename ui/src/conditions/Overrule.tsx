import { useMutation } from '@tanstack/react-query';
import { Button } from 'antd';
import { useEffect, useRef, useState } from 'react';
import type { Condition } from '../api/client';
import { aged } from '../format/measure';
import { NumberField, type NumberFieldHandle } from '../format/NumberField';
import { clock, day } from '../format/time';
import { useGiven, usePlace, type Said } from '../moment/moment';
import { theAngler, useKinds, write, type Kind, type Nature } from './kinds';
import { meaning } from './origin';
import { PopForm } from './PopForm';
import { conditions as say } from '../words/conditions';
import { sentences } from '../words/joined';

/** What is known of a condition, and what the angler says instead. It is kept at once. */
export function Overrule(props: {
  kind: Kind;
  believed: Condition;
  /** The condition shown and asked for with it: the wind's direction with its speed. */
  also?: Condition;
  autoFocus?: boolean;
  onDone: () => void;
}) {
  const { kind, believed, also, onDone } = props;
  const zone = usePlace().spot.time_zone;
  const given = useGiven();
  const kinds = useKinds();
  const n = kinds.of(kind)!;
  const alsoIs = kinds.alongside(kind);
  const pending = given.overrides[kind];
  const [value, setValue] = useState<number | undefined>(pending?.value ?? believed.value);
  const alsoShown = (alsoIs && given.overrides[alsoIs.kind]?.value) ?? also?.value ?? 0;
  const [alsoValue, setAlso] = useState<number | undefined>(Math.round(alsoShown));
  const own = believed.source === theAngler;
  const save = useMutation({
    mutationFn: (said: Said[]) => given.say(said),
    onSuccess: onDone,
    // With no signal it counts on this screen, and goes into the log with the next spell.
    onError: (_, said) => {
      for (const s of said) if (s.value !== undefined) given.override(s.kind, s.value);
    },
  });
  const back = useMutation({
    mutationFn: async () => {
      given.override(kind, null);
      if (own) await given.takeBack(kind, believed.time);
    },
    onSuccess: onDone,
  });
  const commit = () => {
    if (value === undefined) return;
    const said: Said[] = [{ kind, value }];
    if (alsoIs && alsoValue !== undefined) said.push({ kind: alsoIs.kind, value: alsoValue });
    save.mutate(said);
  };
  const failure = save.error ?? back.error;
  return (
    <PopForm onEnter={commit} onEscape={onDone}>
      <p>
        <b>{n.long}</b>
      </p>
      <p className="quiet small">
        {sentences(
          pending
            ? say.youSaidForNotYet(write(n, pending.value), clock(pending.time, zone))
            : say.believedSince(
                own ? say.youSaidSo : `${meaning[believed.origin]}: ${believed.source}`,
                believed.place,
                `${day(believed.time, zone)} ${clock(believed.time, zone)}`,
                aged(believed.age_s),
              ),
          say.likelyBetweenAnd(write(n, believed.low), write(n, believed.high)),
        )}
      </p>
      {n.words.length > 0 && (
        <div className="overrule-words" role="group" aria-label={say.inAWord}>
          {n.words.map((word) => (
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
      <Field n={n} value={value} onChange={setValue} autoFocus={props.autoFocus ?? true} />
      {alsoIs && <Field n={alsoIs} value={alsoValue} onChange={setAlso} autoFocus={false} named />}
      {failure && (
        <p role="alert" className="small">
          {failure.message}
        </p>
      )}
      <Button type="primary" loading={save.isPending} disabled={value === undefined} onClick={commit}>
        {say.soItIs}
      </Button>
      {(own || pending) && (
        <Button loading={back.isPending} onClick={() => back.mutate()}>
          {say.takeItBack}
        </Button>
      )}
    </PopForm>
  );
}

function Field(props: {
  n: Nature;
  value: number | undefined;
  onChange: (v: number | undefined) => void;
  autoFocus: boolean;
  named?: boolean;
}) {
  const { n, autoFocus } = props;
  const field = useRef<NumberFieldHandle>(null);
  // The popover moves while it opens; the field is ready a moment later.
  useEffect(() => {
    const timer = setTimeout(() => autoFocus && field.current?.focus(), 80);
    return () => clearTimeout(timer);
  }, [autoFocus]);
  return (
    <label className="overrule-row">
      <span className={props.named ? '' : 'unseen'}>{n.long}</span>
      <NumberField
        ref={field}
        value={props.value}
        measure={n.measure}
        unit={n.unit}
        min={n.min}
        max={n.max}
        step={n.measure ? undefined : n.step}
        onChange={props.onChange}
      />
    </label>
  );
}

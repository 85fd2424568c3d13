import { Select } from 'antd';
import type { Target } from '../api/client';
import { times } from '../format/measure';
import { Toggle } from '../water/Toggle';
import type { Asked } from './asked';
import { ahead as say } from '../words/ahead';
import { anyOf } from '../words/joined';

const manners = ['on foot', 'wading', 'kayak', 'boat'] as const;
const leasts = [1, 1.2, 1.5, 2, 3];

/** What is sought in the coming days, and when and how one would go. */
export function AskFor(props: {
  asked: Asked;
  targets: Target[];
  /** Kinds of place one has spots at. */
  places: string[];
  /** Little room: what is rarely changed is folded away. */
  narrow: boolean;
  onChange: (part: Partial<Asked>) => void;
}) {
  const { asked, targets, places, narrow, onChange } = props;
  const more = (
    <div className="ask-more">
      <Toggle on={asked.byDay} onChange={(byDay) => onChange({ byDay })}>
        {say.byDay}
      </Toggle>
      <Toggle on={asked.weekend} onChange={(weekend) => onChange({ weekend })}>
        {say.weekends}
      </Toggle>
      {manners.map((m) => (
        <Toggle
          key={m}
          on={asked.manners.includes(m)}
          onChange={(on) =>
            onChange({ manners: on ? [...asked.manners, m] : asked.manners.filter((k) => k !== m) })
          }
        >
          {m}
        </Toggle>
      ))}
      {places.length > 1 && (
        <Select
          aria-label={say.kindsOfPlace}
          className="ask-places"
          mode="multiple"
          maxTagCount="responsive"
          placeholder={say.everyKindOfPlace}
          value={asked.places}
          onChange={(kinds) => onChange({ places: kinds })}
          options={places.map((v) => ({ value: v, label: v }))}
        />
      )}
      <Select
        aria-label={say.worthAtLeast}
        value={asked.least}
        onChange={(least) => onChange({ least })}
        popupMatchSelectWidth={false}
        options={leasts.map((v) => ({ value: v, label: say.orBetter(times(v)) }))}
      />
    </div>
  );
  return (
    <div className="ask-for" role="group" aria-label={say.whatYouLookFor}>
      <Select
        aria-label={say.forWhichFish}
        className="ask-targets"
        mode="multiple"
        maxTagCount="responsive"
        placeholder={say.anythingThatIsOn}
        showSearch={{ optionFilterProp: 'label' }}
        value={asked.targets}
        onChange={(ids) => onChange({ targets: ids })}
        options={targets.map((t) => ({ value: t.id, label: t.name }))}
      />
      {narrow ? (
        <details className="fold ask-when">
          <summary>{inWords(asked)}</summary>
          {more}
        </details>
      ) : (
        more
      )}
    </div>
  );
}

const inWords = (a: Asked) =>
  [
    a.byDay ? say.byDay : say.atAnyHour,
    a.weekend && say.weekends,
    a.manners.length > 0 && anyOf(a.manners),
    a.places.length > 0 && anyOf(a.places),
    say.orBetter2(times(a.least)),
  ]
    .filter(Boolean)
    .join(', ');

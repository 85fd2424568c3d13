import { Select } from 'antd';
import type { Along, LatLon, Target } from '../api/client';
import { times } from '../format/measure';
import { hourMark, weekdays } from '../format/time';
import { Toggle } from '../water/Toggle';
import type { Asked } from './asked';
import { HomeField } from './Home';
import { ahead as say } from '../words/ahead';
import { allOf, anyOf } from '../words/joined';

const manners = ['on foot', 'wading', 'kayak', 'boat'] as const;
const leasts = [1, 1.2, 1.5, 2, 3];
const fars = [0, 15, 30, 60, 120, 240];
const hours = Array.from({ length: 25 }, (_, h) => h);
const weekend = [0, 6];
const others: Along[] = ['child', 'cannot wade'];

const isWeekend = (a: Asked) => a.weekdays.length === 2 && weekend.every((d) => a.weekdays.includes(d));

/** Some of a list, with or without one. */
const toggled = <T,>(list: T[], one: T, on: boolean) => (on ? [...list, one] : list.filter((k) => k !== one));

/** What is sought in the coming days, and when, with whom and how far one would go. */
export function AskFor(props: {
  asked: Asked;
  targets: Target[];
  /** Kinds of place one has spots at. */
  places: string[];
  home: LatLon | undefined;
  onHome: (p: LatLon | undefined) => void;
  /** Little room: what is rarely changed is folded away. */
  narrow: boolean;
  onChange: (part: Partial<Asked>) => void;
}) {
  const { asked, targets, places, home, onHome, narrow, onChange } = props;
  const often = (
    <>
      <Toggle on={asked.byDay} onChange={(byDay) => onChange({ byDay })}>
        {say.byDay}
      </Toggle>
      <Toggle on={isWeekend(asked)} onChange={(on) => onChange({ weekdays: on ? weekend : [] })}>
        {say.weekends}
      </Toggle>
      <Select
        aria-label={say.worthAtLeast}
        value={asked.least}
        onChange={(least) => onChange({ least })}
        popupMatchSelectWidth={false}
        options={leasts.map((v) => ({ value: v, label: say.orBetter(times(v)) }))}
      />
    </>
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
      {!narrow && often}
      <details className="fold ask-when">
        <summary>{inWords(asked, narrow, home !== undefined)}</summary>
        <div className="ask-more">
          {narrow && <div className="ask-row">{often}</div>}
          <fieldset className="ask-row">
            <legend>{say.gettingThere}</legend>
            {manners.map((m) => (
              <Toggle
                key={m}
                on={asked.manners.includes(m)}
                onChange={(on) => onChange({ manners: toggled(asked.manners, m, on) })}
              >
                {m}
              </Toggle>
            ))}
            <Select
              aria-label={say.howFar}
              value={asked.withinMin}
              onChange={(withinMin) => onChange({ withinMin })}
              popupMatchSelectWidth={false}
              options={fars.map((v) => ({ value: v, label: say.within(v) }))}
            />
            {asked.withinMin > 0 && <HomeField value={home} onChange={onHome} />}
          </fieldset>
          <fieldset className="ask-row">
            <legend>{say.alongComes}</legend>
            {others.map((k) => (
              <Toggle
                key={k}
                on={asked.along.includes(k)}
                onChange={(on) => onChange({ along: toggled(asked.along, k, on) })}
              >
                {say.along[k]}
              </Toggle>
            ))}
            <Toggle on={asked.kit} onChange={(kit) => onChange({ kit })}>
              {say.withMyKit}
            </Toggle>
          </fieldset>
          <fieldset className="ask-row">
            <legend>{say.iAmFree}</legend>
            <Select
              aria-label={say.daysFree}
              className="ask-days"
              mode="multiple"
              maxTagCount="responsive"
              placeholder={say.anyDay}
              value={asked.weekdays}
              onChange={(days) => onChange({ weekdays: days })}
              options={weekdays().map(({ day, name }) => ({ value: day, label: name }))}
            />
            <Select
              aria-label={say.freeFrom}
              value={asked.free[0]}
              onChange={(h) => onChange({ free: [h, Math.max(asked.free[1], h + 1)] })}
              popupMatchSelectWidth={false}
              options={hours.slice(0, 24).map((h) => ({ value: h, label: say.fromHour(hourMark(h)) }))}
            />
            <Select
              aria-label={say.freeUntil}
              value={asked.free[1]}
              onChange={(h) => onChange({ free: [asked.free[0], h] })}
              popupMatchSelectWidth={false}
              options={hours
                .filter((h) => h > asked.free[0])
                .map((h) => ({ value: h, label: say.untilHour(hourMark(h)) }))}
            />
          </fieldset>
          {places.length > 1 && (
            <fieldset className="ask-row">
              <legend>{say.kindsOfPlace}</legend>
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
            </fieldset>
          )}
        </div>
      </details>
    </div>
  );
}

/** What narrows the days; of what stands open beside it nothing is said. */
const inWords = (a: Asked, all: boolean, home: boolean) =>
  [
    all && (a.byDay ? say.byDay : say.atAnyHour),
    all && isWeekend(a) && say.weekends,
    a.weekdays.length > 0 && !isWeekend(a) && allOf(weekdaysOf(a)),
    (a.free[0] > 0 || a.free[1] < 24) && say.freeHours(hourMark(a.free[0]), hourMark(a.free[1])),
    a.manners.length > 0 && anyOf(a.manners),
    a.withinMin > 0 && (home ? say.within(a.withinMin) : say.withinOfWhere),
    ...a.along.map((k) => say.along[k]),
    a.kit && say.withMyKit,
    a.places.length > 0 && anyOf(a.places),
    all && say.orBetter2(times(a.least)),
  ]
    .filter(Boolean)
    .join(', ') || say.anyHowWithAnybody;

const weekdaysOf = (a: Asked) =>
  weekdays()
    .filter(({ day }) => a.weekdays.includes(day))
    .map(({ name }) => name);

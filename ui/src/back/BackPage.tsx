import { Fault } from '../frame/Fault';
import { useUndo } from '../frame/useUndo';
import { useTitle } from '../frame/useTitle';
import { rate } from '../format/measure';
import { fromSI, show, unitOf, way } from '../format/spoken';
import { keepPreviousData, useInfiniteQuery, useMutation, useQuery } from '@tanstack/react-query';
import { Button, Input, Segmented, Select } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Spell } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { useEntry } from '../entry/entry';
import { useKinds, write } from '../conditions/kinds';
import { fixed, metres } from '../format/measure';
import { clock, dayOfYear, lasting } from '../format/time';
import { usePlace } from '../moment/moment';
import { again, written } from './again';
import { Calendar } from './Calendar';
import { LogTable } from './LogTable';
import { MoreOfCatch } from './MoreOfCatch';
import { Photos } from './Photos';
import { SeenRow, useSightings, WriteSighting, type Sighting } from './Sightings';
import { SavedFilters } from './SavedFilters';
import { Unsent } from './Unsent';
import { useFilters, type Filters } from './useFilters';
import './back.css';
import '../conditions/conditions.css';
import { back as say } from '../words/back';

const stages = (['flood', 'ebb'] as const).flatMap((s) => [
  { value: s as string, label: say.stages[s].whole },
  ...say.stages[s].thirds.map((label, i) => ({ value: `${s} ${i + 1}`, label })),
]);

/** So many spells are asked for at once. */
const page = 200;

/** The log: every spell, blanks included. */
export default function BackPage() {
  useTitle('Back');
  const here = usePlace();
  const entry = useEntry();
  const { f, set, clear, seen, see, address } = useFilters();
  const targets = useQuery({ queryKey: keys.targets, queryFn: api.targets, staleTime: Infinity });
  const log = useInfiniteQuery({
    queryKey: ['spells', 'log', f],
    queryFn: ({ pageParam }) => api.spells({ ...f, most: page, ...(pageParam ? { after: pageParam } : {}) }),
    initialPageParam: '',
    getNextPageParam: (last) => last.next,
    placeholderData: keepPreviousData,
  });
  const d = log.data?.pages[0];
  const spells = log.data?.pages.flatMap((p) => p.spells) ?? [];
  const filtered = Object.keys(f).length > 0;
  // Those of the days that are shown; a filter that speaks of spells leaves them out.
  const oldest = log.hasNextPage ? (spells.at(-1)?.started_at ?? '') : '';
  const onlySpot = Object.keys(f).every((k) => k === 'spot_id');
  const seenThere = useSightings(f.spot_id);
  const sightings = onlySpot ? seenThere.filter((g) => g.seen_at >= oldest) : [];
  // On a phone the filters would fill the screen before the log.
  const [asking, setAsking] = useState(false);
  const open = asking || filtered;
  return (
    <div className="back">
      <Button className="filters-fold" aria-expanded={open} onClick={() => setAsking(!open)}>
        {say.filter}
      </Button>
      <div className={open ? 'filters open' : 'filters'}>
        <Select
          aria-label={say.target}
          allowClear
          showSearch={{ optionFilterProp: 'label' }}
          placeholder={say.anyTarget}
          value={f.target}
          onChange={(target) => set({ target })}
          options={(targets.data ?? []).map((t) => ({ value: t.id, label: t.name }))}
        />
        <Select
          aria-label={say.spot}
          allowClear
          placeholder={say.anySpot}
          value={f.spot_id}
          onChange={(spot_id) => set({ spot_id })}
          options={here.spots.map((s) => ({ value: s.id, label: s.name }))}
        />
        <Select
          aria-label={say.tideStage}
          allowClear
          placeholder={say.anyStage}
          value={f.stage && (f.third ? `${f.stage} ${f.third}` : f.stage)}
          onChange={(v?: string) => {
            const [stage, third] = (v ?? '').split(' ');
            set({
              stage: (stage || undefined) as Filters['stage'],
              third: third ? Number(third) : undefined,
            });
          }}
          options={stages}
        />
        <Segmented
          aria-label={say.outcome}
          value={f.outcome ?? 'all'}
          onChange={(v) => set({ outcome: v === 'all' ? undefined : (v as Filters['outcome']) })}
          options={[
            { value: 'all', label: say.all },
            { value: 'catch', label: say.catches },
            { value: 'blank', label: say.blanks },
          ]}
        />
        <Select
          aria-label={say.approach}
          allowClear
          placeholder={say.anyApproach}
          value={f.approach}
          onChange={(approach) => set({ approach })}
          options={say.approaches}
        />
        <Input
          aria-label={say.textIn}
          placeholder={say.textIn}
          allowClear
          maxLength={80}
          defaultValue={f.text}
          onChange={(e) => set({ text: e.target.value.trim() })}
        />
        <SavedFilters address={address} />
      </div>
      <Segmented
        className="log-seen"
        aria-label={say.seenAs}
        value={seen}
        onChange={see}
        options={[
          { value: 'days', label: say.byDay },
          { value: 'table', label: say.table },
          { value: 'calendar', label: say.calendar },
        ]}
      />
      <p className="back-more">
        <Link to="/back/evidence">{say.whatTheLogSays}</Link>
        <Link to="/back/compare">{say.whichIsBetter}</Link>
        <Link to="/back/trials">{say.trials}</Link>
        <Link to="/back/measures">{say.measures2.title}</Link>
        <Link to={`/back/files?${address}`}>{say.files.title}</Link>
      </p>
      <Unsent />
      {log.error && (
        <p role="alert" className="panel">
          {log.error.message}
        </p>
      )}
      {d && d.total > 0 && (
        <p className="sum" aria-live="polite">
          {say.sumOfSpells(
            d.total,
            d.blanks,
            d.catches,
            fixed(d.rod_hours, 1),
            d.per_rod_hour !== null && f.outcome === undefined ? fixed(d.per_rod_hour, 2) : undefined,
          )}
        </p>
      )}
      {d && d.total === 0 && (
        <div className="panel empty">
          <h2>{filtered ? say.noSpellMatches : say.nothingInTheLogYet}</h2>
          <p className="quiet">{filtered ? say.takeAFilterAwayTo : say.logTheFirstSpellAlso}</p>
          {filtered ? (
            <Button onClick={clear}>{say.showEverything}</Button>
          ) : (
            <Button type="primary" onClick={() => entry.open({ kind: 'blank' })}>
              {say.logASpell}
            </Button>
          )}
        </div>
      )}
      {seen === 'days' && d && <WriteSighting {...(f.spot_id ? { spot: f.spot_id } : {})} />}
      {seen === 'calendar' && <Calendar f={f} now={here.present()} />}
      {seen === 'table' && d && d.total > 0 && <LogTable spells={spells} />}
      {seen === 'days' &&
        byDay(spells, sightings).map(([day, list]) => <Day key={day} day={day} entries={list} />)}
      {seen !== 'calendar' && d && log.hasNextPage && (
        <p>
          <Button loading={log.isFetchingNextPage} onClick={() => void log.fetchNextPage()}>
            {say.showMore(spells.length, d.total)}
          </Button>
        </p>
      )}
    </div>
  );
}

/** What a day brought: spells, and what was seen without fishing. */
type Entry = { at: string; zone: string } & ({ spell: Spell } | { sighting: Sighting });

function byDay(spells: Spell[], sightings: Sighting[]): [string, Entry[]][] {
  const all: Entry[] = [
    ...spells.map((spell) => ({ at: spell.started_at, zone: spell.time_zone, spell })),
    ...sightings.map((sighting) => ({ at: sighting.seen_at, zone: sighting.time_zone, sighting })),
  ].sort((a, b) => Date.parse(b.at) - Date.parse(a.at));
  const days = new Map<string, Entry[]>();
  for (const e of all) {
    const d = dayOfYear(e.at, e.zone);
    days.set(d, [...(days.get(d) ?? []), e]);
  }
  return [...days];
}

function Day({ day, entries }: { day: string; entries: Entry[] }) {
  return (
    <section className="log-day">
      <h2>{day}</h2>
      <ul className="panel log">
        {entries.map((e) =>
          'spell' in e ? (
            <SpellRow key={e.spell.id} s={e.spell} />
          ) : (
            <SeenRow key={e.sighting.id} g={e.sighting} />
          ),
        )}
      </ul>
    </section>
  );
}

function SpellRow({ s }: { s: Spell }) {
  return (
    <li data-spell={s.id} data-blank={s.blank}>
      <details>
        <summary>
          <Stone n={s.catches.length} />
          <span className="log-time">
            {clock(s.started_at, s.time_zone)}–{clock(s.ended_at, s.time_zone)}
          </span>
          <span className="log-what">
            <b>{s.blank ? say.blank : caught(s)}</b>
            <span className="quiet"> {s.blank ? say.forWord(s.target_in_sentence) : sizes(s)}</span>
          </span>
          <span className="log-where">
            {s.spot_name}
            {s.mark ? `, ${s.mark.toLowerCase()}` : ''}
          </span>
          <span className="log-stage">
            {s.tide_stage} <span className="quiet">{metres(s.tide_level_m)}</span>
          </span>
          <span className="log-with quiet">{s.offering}</span>
        </summary>
        <SpellDetail s={s} />
      </details>
    </li>
  );
}

const caught = (s: Spell) => {
  const names = new Map<string, number>();
  for (const c of s.catches) names.set(c.target_in_sentence, (names.get(c.target_in_sentence) ?? 0) + 1);
  return [...names].map(([name, n]) => `${n} ${name}`).join(', ');
};

/** "52, 54, 46.5 cm", the first few. */
const sizes = (s: Spell) => {
  const long = s.catches.flatMap((c) =>
    c.length_m ? [minimal(fromSI(way('fish_length'), c.length_m))] : [],
  );
  if (long.length === 0) return '';
  return `${long.slice(0, 3).join(', ')}${long.length > 3 ? ', …' : ''} ${unitOf('fish_length')}`;
};
const minimal = (x: number) => fixed(x, Math.abs(x - Math.round(x)) < 0.05 ? 0 : 1);

function SpellDetail({ s }: { s: Spell }) {
  const entry = useEntry();
  const invalidate = useInvalidate();
  const kinds = useKinds();
  const undo = useUndo();
  const follow = () => invalidate('log');
  const remove = useMutation({
    mutationFn: () => api.deleteSpell(s.id),
    onSuccess: () => {
      void follow();
      undo(say.theSpell, () => api.putSpell(s.id, again(s)).then(follow));
    },
  });
  const release = useMutation({
    mutationFn: (c: Spell['catches'][number]) => api.deleteCatch(c.id),
    onSuccess: (_, c) => {
      void follow();
      undo(say.the(c.target_in_sentence), () =>
        api.putCatch(c.id, { spell_id: s.id, ...written(c) }).then(follow),
      );
    },
  });
  return (
    <div className="log-detail">
      <dl>
        <div>
          <dt>{say.tide}</dt>
          <dd>
            {(s.tide_rate_m_per_h >= 0 ? say.risingAt : say.fallingAt)(
              metres(s.tide_level_m),
              rate(s.tide_rate_m_per_h),
            )}
          </dd>
        </div>
        <div>
          <dt>{say.light}</dt>
          <dd>{say.sun(s.light, fixed(s.sun_altitude_deg, 0))}</dd>
        </div>
        <div>
          <dt>{say.moon}</dt>
          <dd>
            {s.moon_phase}, {fixed(s.moon_illumination * 100, 0)} %
          </dd>
        </div>
        {s.readings.map((r) => {
          const n = kinds.of(r.kind);
          return n ? (
            <div key={r.kind}>
              <dt>{n.alongside ? `${kinds.of(n.alongside)?.name} ${n.name}` : n.name}</dt>
              <dd>
                <span className={`cond ${r.origin}`} title={`${r.origin}: ${r.source}`}>
                  {write(n, r.value)}
                </span>{' '}
                <span className="quiet small">{r.origin}</span>
              </dd>
            </div>
          ) : null;
        })}
        <div>
          <dt>{say.effort}</dt>
          <dd>{say.lastingWithRods(lasting(Date.parse(s.ended_at) - Date.parse(s.started_at)), s.rods)}</dd>
        </div>
      </dl>
      {s.catches.length > 0 && (
        <ul>
          {s.catches.map((c) => (
            <li key={c.id}>
              {[
                `${clock(c.caught_at, s.time_zone)} ${c.target_in_sentence}`,
                c.length_m && show('fish_length', c.length_m),
                c.mass_kg
                  ? show('fish', c.mass_kg, 2)
                  : c.mass_estimate_kg && say.aboutByItsLength(show('fish', c.mass_estimate_kg)),
                c.kept ? say.kept : say.released,
              ]
                .filter(Boolean)
                .join(', ')}{' '}
              <Button
                size="small"
                type="text"
                aria-label={say.takeTheOfOut(c.target_in_sentence, clock(c.caught_at, s.time_zone))}
                onClick={() => release.mutate(c)}
              >
                {say.takeOut}
              </Button>
              <MoreOfCatch c={c} spot={s.spot_id} />
              <Photos c={c} zone={s.time_zone} />
            </li>
          ))}
        </ul>
      )}
      {s.note && <p>{s.note}</p>}
      <Fault of={[remove, release]} />
      <div className="log-acts">
        <Button size="small" onClick={() => entry.open({ kind: s.blank ? 'blank' : 'catch', spell: s })}>
          {say.change}
        </Button>
        <Button size="small" loading={remove.isPending} onClick={() => remove.mutate()}>
          {say.remove}
        </Button>
      </div>
    </div>
  );
}

/** A stone for a spell: hollow when blank, filled with the number caught. */
function Stone({ n }: { n: number }) {
  return (
    <svg className={n ? 'stone full' : 'stone'} width="30" height="24" viewBox="0 0 30 24" aria-hidden="true">
      <path d="M3 14c0-6 5-10 12-10s12 3 12 8c0 6-5 9-12 9S3 19 3 14z" />
      {n > 0 && (
        <text x="15" y="17" textAnchor="middle">
          {n}
        </text>
      )}
    </svg>
  );
}

import { useMutation } from '@tanstack/react-query';
import { Input, Select } from 'antd';
import { useState } from 'react';
import { api, type Spell, type SpellIn } from '../api/client';
import { useInvalidate } from '../api/keys';
import { Fault } from '../frame/Fault';
import { Wide } from '../frame/Wide';
import { useUndo } from '../frame/useUndo';
import { fixed } from '../format/measure';
import { number, show } from '../format/spoken';
import { clock, day } from '../format/time';
import { again } from './again';
import './table.css';
import { back as say } from '../words/back';

const key = 'greypebble.log-columns';
const usual = ['day', 'spot', 'target', 'fish', 'longest', 'hours', 'tide', 'offering'];

const longest = (s: Spell) => Math.max(0, ...s.catches.map((c) => c.length_m ?? 0));
const read = (s: Spell, kind: string) => s.readings.find((r) => r.kind === kind)?.value;
const told = (m: 'temperature' | 'depth' | 'wind', v: number | undefined) =>
  v === undefined ? '' : number(m, v, 1);

/** Columns there are: what stands in them, and what they are sorted by. */
const columns: Record<
  string,
  { cell: (s: Spell) => string; by: (s: Spell) => number | string; end?: boolean }
> = {
  day: { cell: (s) => day(s.started_at, s.time_zone), by: (s) => s.started_at },
  time: { cell: (s) => clock(s.started_at, s.time_zone), by: (s) => s.started_at.slice(11) },
  spot: { cell: (s) => s.spot_name, by: (s) => s.spot_name },
  mark: { cell: (s) => s.mark, by: (s) => s.mark },
  target: { cell: (s) => s.target_name, by: (s) => s.target_name },
  fish: { cell: (s) => String(s.catches.length), by: (s) => s.catches.length, end: true },
  longest: { cell: (s) => (longest(s) ? show('fish_length', longest(s)) : ''), by: longest, end: true },
  hours: { cell: (s) => fixed(s.rod_hours, 1), by: (s) => s.rod_hours, end: true },
  tide: { cell: (s) => s.tide_stage, by: (s) => s.tide_stage },
  level: { cell: (s) => number('depth', s.tide_level_m, 2), by: (s) => s.tide_level_m, end: true },
  light: { cell: (s) => s.light, by: (s) => s.light },
  water: {
    cell: (s) => told('temperature', read(s, 'water_temp_c')),
    by: (s) => read(s, 'water_temp_c') ?? -99,
    end: true,
  },
  clarity: {
    cell: (s) => told('depth', read(s, 'clarity_secchi_m')),
    by: (s) => read(s, 'clarity_secchi_m') ?? -99,
    end: true,
  },
  wind: {
    cell: (s) => told('wind', read(s, 'wind_speed_ms')),
    by: (s) => read(s, 'wind_speed_ms') ?? -99,
    end: true,
  },
  moon: { cell: (s) => s.moon_phase, by: (s) => s.moon_illumination },
  approach: { cell: (s) => s.approach, by: (s) => s.approach },
  offering: { cell: (s) => s.offering, by: (s) => s.offering },
  who: { cell: (s) => s.who ?? '', by: (s) => s.who ?? '' },
  note: { cell: (s) => s.note, by: (s) => s.note },
};

const compare = (a: number | string, b: number | string) => (a < b ? -1 : a > b ? 1 : 0);

/** The log as a table: columns one chooses, sorted by any of them, several spells changed at once. */
export function LogTable({ spells }: { spells: Spell[] }) {
  const [chosen, choose] = useState<string[]>(() => {
    try {
      return JSON.parse(localStorage.getItem(key) ?? 'null') ?? usual;
    } catch {
      return usual;
    }
  });
  const [picked, pick] = useState<string[]>([]);
  const [by, sort] = useState({ column: 'day', down: true });
  const shown = chosen.filter((c) => columns[c]);
  const list = [...spells].sort((a, b) => {
    const of = columns[by.column]!.by;
    return (by.down ? -1 : 1) * compare(of(a), of(b));
  });
  const toggle = (id: string) => pick(picked.includes(id) ? picked.filter((p) => p !== id) : [...picked, id]);
  return (
    <div className="log-table">
      <Select
        aria-label={say.whichColumns}
        mode="multiple"
        virtual={false}
        value={chosen}
        onChange={(now: string[]) => {
          localStorage.setItem(key, JSON.stringify(now));
          choose(now);
        }}
        options={Object.keys(columns).map((c) => ({
          value: c,
          label: say.columns[c as keyof typeof say.columns],
        }))}
      />
      {picked.length > 0 && (
        <Several spells={spells.filter((s) => picked.includes(s.id))} onDone={() => pick([])} />
      )}
      <Wide label={say.table}>
        <table>
          <thead>
            <tr>
              <th scope="col">
                <input
                  type="checkbox"
                  aria-label={say.pickAll}
                  checked={picked.length > 0 && picked.length === spells.length}
                  onChange={(e) => pick(e.target.checked ? spells.map((s) => s.id) : [])}
                />
              </th>
              {shown.map((c) => (
                <th
                  key={c}
                  scope="col"
                  className={columns[c]!.end ? 'end' : undefined}
                  aria-sort={by.column !== c ? 'none' : by.down ? 'descending' : 'ascending'}
                >
                  <button onClick={() => sort({ column: c, down: by.column === c ? !by.down : true })}>
                    {say.columns[c as keyof typeof say.columns]}
                    {by.column === c && <span aria-hidden="true">{by.down ? ' ▾' : ' ▴'}</span>}
                  </button>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {list.map((s) => (
              <tr key={s.id} aria-selected={picked.includes(s.id)}>
                <td>
                  <input
                    type="checkbox"
                    aria-label={say.pickSpell(day(s.started_at, s.time_zone), s.spot_name)}
                    checked={picked.includes(s.id)}
                    onChange={() => toggle(s.id)}
                  />
                </td>
                {shown.map((c) => (
                  <td key={c} className={columns[c]!.end ? 'end' : undefined}>
                    {columns[c]!.cell(s)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </Wide>
    </div>
  );
}

/** What may be written to several spells at once: what can be emptied again when it is taken back. */
const fields = ['offering', 'mark', 'note'] as const;
type Field = (typeof fields)[number];

/** Several spells changed at once, one after the other; what was done can be taken back. */
function Several({ spells, onDone }: { spells: Spell[]; onDone: () => void }) {
  const invalidate = useInvalidate();
  const undo = useUndo();
  const [field, setField] = useState<Field>('offering');
  const [text, setText] = useState('');
  const [done, setDone] = useState(0);
  const follow = () => invalidate('log');
  const each = async (what: (s: Spell) => Promise<unknown>) => {
    for (const [i, s] of spells.entries()) {
      await what(s);
      setDone(i + 1);
    }
  };
  const change = useMutation({
    mutationFn: async (part: Partial<SpellIn>) => {
      const now: Spell[] = [];
      await each(async (s) =>
        now.push(await api.putSpell(s.id, { ...again(s), catches: [], ...part, revision: s.revision })),
      );
      return now;
    },
    onSettled: follow,
    onSuccess: (now) => {
      undo(
        say.severalSpells(now.length),
        () =>
          Promise.all(
            spells.map((s, i) =>
              api.putSpell(s.id, { ...again(s), catches: [], revision: now[i]!.revision }),
            ),
          ).then(follow),
        say.severalChanged(now.length),
      );
      onDone();
    },
  });
  const remove = useMutation({
    mutationFn: () => each((s) => api.deleteSpell(s.id)),
    onSettled: follow,
    onSuccess: () => {
      undo(say.severalSpells(spells.length), () =>
        Promise.all(spells.map((s) => api.putSpell(s.id, again(s)))).then(follow),
      );
      onDone();
    },
  });
  const busy = change.isPending || remove.isPending;
  return (
    <div className="several">
      <span>{busy ? say.severalDone(done, spells.length) : say.severalPicked(spells.length)}</span>
      <Select
        aria-label={say.whatIsWritten}
        value={field}
        onChange={(f: Field) => setField(f)}
        options={fields.map((f) => ({ value: f, label: say.fields[f] }))}
      />
      <Input
        aria-label={say.fields[field]}
        maxLength={field === 'note' ? 1000 : 60}
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      <button
        className="act"
        disabled={busy || !text.trim()}
        onClick={() => change.mutate({ [field]: text.trim() })}
      >
        {say.writeIt}
      </button>
      <button className="act" disabled={busy} onClick={() => remove.mutate()}>
        {say.removeThem}
      </button>
      <Fault of={[change, remove]} />
    </div>
  );
}

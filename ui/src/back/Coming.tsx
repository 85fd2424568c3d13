import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { Button, Checkbox, InputNumber, Segmented, Select } from 'antd';
import { useState } from 'react';
import { v7 } from 'uuid';
import { api, type Schemas } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { Fault } from '../frame/Fault';
import { Wide } from '../frame/Wide';
import { clock, dayOfYear, isoDay } from '../format/time';
import { usePlace } from '../moment/moment';
import { back as say } from '../words/back';

type Asked = Omit<Schemas['IncomingBody'], 'id' | 'name' | 'text' | 'keep'>;

/** What names of earlier files were said to mean, on this device. */
const remembered = 'greypebble.log-names';
const recall = (): Pick<Asked, 'spots' | 'targets'> => {
  try {
    return JSON.parse(localStorage.getItem(remembered) ?? '{}') as Pick<Asked, 'spots' | 'targets'>;
  } catch {
    return {};
  }
};

/** What a file would do to the log, what it leaves open, and the button that does it. */
export function Coming(props: { name: string; text: string; onDone: () => void }) {
  const { name, text, onDone } = props;
  const here = usePlace();
  const invalidate = useInvalidate();
  const targets = useQuery({ queryKey: keys.targets, queryFn: api.targets, staleTime: Infinity });
  const [id] = useState(() => v7());
  const [asked, set] = useState<Asked>(() => recall());
  const ask = (part: Partial<Asked>) => set({ ...asked, ...part });
  const body = { ...asked, id, name: name.slice(0, 120), text };
  // The id stands for the file, which is long.
  // eslint-disable-next-line @tanstack/query/exhaustive-deps
  const preview = useQuery({
    queryKey: ['coming', id, asked],
    queryFn: () => api.importLog({ ...body, keep: false }),
    placeholderData: keepPreviousData,
    retry: false,
    gcTime: 0,
  });
  const take = useMutation({
    mutationFn: () => api.importLog({ ...body, keep: true }),
    onSuccess: () => {
      localStorage.setItem(remembered, JSON.stringify({ spots: asked.spots, targets: asked.targets }));
      onDone();
      void invalidate('log');
    },
  });
  const p = preview.data;
  // A name that was answered stays to be changed.
  const [names, setNames] = useState({ spots: [] as string[], targets: [] as string[] });
  const merged = {
    spots: [...new Set([...names.spots, ...(p?.unknown_spots ?? []).map((u) => u.name)])],
    targets: [...new Set([...names.targets, ...(p?.unknown_targets ?? []).map((u) => u.name)])],
  };
  if (merged.spots.length !== names.spots.length || merged.targets.length !== names.targets.length)
    setNames(merged);
  const open = (p?.unknown_spots.length ?? 0) + (p?.unknown_targets.length ?? 0) + (p?.faults.length ?? 0);
  return (
    <div className="coming" aria-busy={preview.isFetching}>
      <h3>{say.files.whatWould(name)}</h3>
      <Fault of={[preview, take]} />
      {(p?.wants_order || asked.order) && (
        <div className="coming-ask">
          <span id="order">{say.files.order}</span>
          <Segmented
            aria-labelledby="order"
            value={asked.order ?? ''}
            onChange={(v) => ask({ order: v as NonNullable<Asked['order']> })}
            options={say.files.orders}
          />
        </div>
      )}
      <label className="coming-ask">
        <span>{say.files.sought}</span>
        <Select
          aria-label={say.files.sought}
          allowClear
          virtual={false}
          showSearch={{ optionFilterProp: 'label' }}
          placeholder={say.files.asTheFileSays}
          value={asked.target}
          onChange={(target?: string) => ask({ target })}
          options={(targets.data ?? []).map((t) => ({ value: t.id, label: t.name }))}
        />
      </label>
      <label className="coming-ask">
        <span>{say.files.hours}</span>
        <InputNumber
          aria-label={say.files.hours}
          min={0.1}
          max={24}
          step={0.5}
          value={asked.hours ?? null}
          onChange={(hours) => ask({ hours: hours ?? undefined })}
        />
      </label>
      {merged.spots.map((n) => (
        <label key={n} className="coming-ask">
          <span>{say.files.spotOf(n)}</span>
          <Select
            aria-label={say.files.spotOf(n)}
            virtual={false}
            placeholder={say.files.chooseOne}
            value={asked.spots?.[n]}
            onChange={(v: string) => ask({ spots: { ...asked.spots, [n]: v } })}
            options={here.spots.map((s) => ({ value: s.id, label: s.name }))}
          />
        </label>
      ))}
      {merged.targets.map((n) => (
        <label key={n} className="coming-ask">
          <span>{say.files.fishOf(n)}</span>
          <Select
            aria-label={say.files.fishOf(n)}
            virtual={false}
            showSearch={{ optionFilterProp: 'label' }}
            placeholder={say.files.chooseOne}
            value={asked.targets?.[n]}
            onChange={(v: string) => ask({ targets: { ...asked.targets, [n]: v } })}
            options={[
              { value: 'other', label: say.files.noneOfThem },
              ...(targets.data ?? []).map((t) => ({ value: t.id, label: t.name })),
            ]}
          />
        </label>
      ))}
      {p && !p.wants_order && (
        <>
          <p aria-live="polite" className="coming-sum">
            {say.files.sum(p.spells, p.blanks, p.catches)}{' '}
            {p.from &&
              p.to &&
              say.files.between(
                dayOfYear(p.from, here.spots[0]?.time_zone ?? 'UTC'),
                dayOfYear(p.to, here.spots[0]?.time_zone ?? 'UTC'),
              )}{' '}
            {p.doubles > 0 && say.files.doubles(p.doubles)} {p.reckoned > 0 && say.files.reckoned(p.reckoned)}
          </p>
          {p.faults.length > 0 && (
            <div className="coming-faults" role="alert">
              <p>{say.files.faults(p.faults.length)}</p>
              <ul>
                {p.faults.slice(0, 8).map((f, i) => (
                  <li key={i}>{say.files.fault(f.line, f.column ?? '', f.says)}</li>
                ))}
              </ul>
            </div>
          )}
          {p.first.length > 0 && <First list={p.first} />}
          {open > 0 && p.spells > 0 && (
            <Checkbox
              checked={asked.partial ?? false}
              onChange={(e) => ask({ partial: e.target.checked || undefined })}
            >
              {say.files.leaveOut}
            </Checkbox>
          )}
          <div className="log-acts">
            <Button
              type="primary"
              loading={take.isPending}
              disabled={p.spells === 0 || (open > 0 && !asked.partial)}
              onClick={() => take.mutate()}
            >
              {say.files.take(p.spells)}
            </Button>
            <Button onClick={onDone}>{say.files.leave}</Button>
          </div>
        </>
      )}
    </div>
  );
}

function First({ list }: { list: readonly Schemas['ComingOut'][] }) {
  return (
    <Wide label={say.files.first}>
      <table className="evidence-table coming-first">
        <caption className="quiet small">{say.files.first}</caption>
        <thead>
          <tr>
            {say.files.columns.map((c) => (
              <th key={c} scope="col">
                {c}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {list.map((s) => (
            <tr key={s.line} className={s.double ? 'quiet' : undefined}>
              <th scope="row">{s.line}</th>
              <td>{isoDay(s.started_at, s.time_zone)}</td>
              <td>
                {clock(s.started_at, s.time_zone)}–{clock(s.ended_at, s.time_zone)}
              </td>
              <td>{s.spot_name}</td>
              <td>{s.target_name}</td>
              <td>{s.offering}</td>
              <td>{s.fish}</td>
              <td>{s.double ? say.files.there : say.files.new}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Wide>
  );
}

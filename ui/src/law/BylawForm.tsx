import { useMutation, useQuery } from '@tanstack/react-query';
import { App, AutoComplete, Button, Checkbox, Input, InputNumber, Select } from 'antd';
import { useDeferredValue, useState } from 'react';
import { api, type Schemas } from '../api/client';
import { keys } from '../api/keys';
import { Fault } from '../frame/Fault';
import { useLeaveGuard } from '../frame/unkept';
import { NumberField } from '../format/NumberField';
import { law as say } from '../words/law';
import { useRulesChanged } from './useRulesChanged';
import { Area } from './Area';
import type { Editing } from './Bylaws';
import { FoundList } from './Check';

type Body = Schemas['BylawBody'];
type Season = NonNullable<Body['seasons']>[number];
const days = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'] as const;

/** A rule written piece by piece, with the sentence it makes above it and what is wrong with it below. */
export function BylawForm({
  editing,
  known,
  onDone,
}: {
  editing: Editing;
  known: string[];
  onDone: () => void;
}) {
  const changed = useRulesChanged();
  const { message } = App.useApp();
  const [b, setBody] = useState<Body>(editing.body);
  // A list that stays open would lie over what comes next.
  const [choosing, setChoosing] = useState(false);
  const { letGo } = useLeaveGuard(b !== editing.body);
  const targets = useQuery({ queryKey: keys.targets, queryFn: api.targets, staleTime: Infinity });
  const set = (part: { [K in keyof Body]?: Body[K] | undefined }) => setBody(without({ ...b, ...part }));
  // Half an area would be a rule for everywhere.
  const placed = !b.area || b.area.ring.length >= 3;
  const whole =
    placed && b.species.length > 0 && b.source.trim() !== '' && /^\d{4}-\d\d-\d\d$/.test(b.checked);
  const asked = useDeferredValue(b);
  // The sentence is said before the source is known.
  const said = useQuery({
    queryKey: ['bylaw-said', editing.id, asked],
    queryFn: ({ signal }) =>
      api.checkBylaws({ bylaw: { ...asked, source: asked.source.trim() || '…' }, id: editing.id }, signal),
    enabled: placed && asked.species.length > 0 && /^\d{4}-\d\d-\d\d$/.test(asked.checked),
    placeholderData: (before) => before,
    retry: false,
  });
  const save = useMutation({
    mutationFn: () => api.putBylaw(editing.id, { ...b, revision: editing.revision }),
    onSuccess: async () => {
      letGo();
      void message.success(say.isKept);
      await changed();
      onDone();
    },
  });
  const seasons = b.seasons ?? [];
  const season = (i: number, part: Partial<Season>) =>
    set({ seasons: seasons.map((s, k) => (k === i ? { ...s, ...part } : s)) });
  const gear = b.gear ?? {};
  const duty = (kind: 'tag' | 'report') => b.duties?.find((d) => d.kind === kind);
  const setDuty = (kind: 'tag' | 'report', d?: { within_h?: number; to?: string }) =>
    set({ duties: [...(b.duties ?? []).filter((k) => k.kind !== kind), ...(d ? [{ kind, ...d }] : [])] });
  const length = (name: 'min_m' | 'max_m' | 'over_m', label: string) => (
    <label>
      {label}
      <NumberField
        measure="fish_length"
        aria-label={label}
        min={0}
        max={6}
        value={b[name]}
        onChange={(m) => set({ [name]: m })}
      />
    </label>
  );
  const count = (name: 'bag' | 'boat_bag' | 'possession' | 'over', label: string) => (
    <label>
      {label}
      <InputNumber
        aria-label={label}
        min={0}
        max={1000}
        precision={0}
        value={b[name] ?? null}
        onChange={(n) => set({ [name]: n ?? undefined })}
      />
    </label>
  );
  const text = (
    name:
      | 'name'
      | 'licence'
      | 'source'
      | 'address'
      | 'checked'
      | 'checked_by'
      | 'advisory'
      | 'note'
      | 'from'
      | 'to',
    label: string,
    hint = '',
    most = 80,
  ) => (
    <label className={most > 80 ? 'wide' : undefined}>
      {label}
      <Input
        aria-label={label}
        value={b[name] ?? ''}
        placeholder={hint}
        maxLength={most}
        onChange={(e) =>
          set({ [name]: e.target.value || (name === 'source' || name === 'checked' ? '' : undefined) })
        }
      />
    </label>
  );
  const limited = !b.status;
  return (
    <form
      className="bylaw-form"
      aria-label={say.newRule}
      onSubmit={(e) => {
        e.preventDefault();
        save.mutate();
      }}
    >
      {said.data?.says && (
        <p className="bylaw-sentence" aria-live="polite" aria-label={say.sentence}>
          {said.data.says}
        </p>
      )}
      <fieldset>
        <legend>{say.whose}</legend>
        <div className="bylaw-row">
          <label>
            {say.authority}
            <AutoComplete
              aria-label={say.authority}
              placeholder={say.authorityHint}
              value={b.authority ?? ''}
              options={known.map((value) => ({ value }))}
              onChange={(v: string) => set({ authority: v || undefined })}
            />
          </label>
          {text('name', say.name)}
          <label>
            {say.kind}
            <Select
              aria-label={say.kind}
              value={b.voluntary ?? false}
              options={[
                { value: false, label: say.ofLaw },
                { value: true, label: say.ofCode },
              ]}
              onChange={(v: boolean) => set({ voluntary: v || undefined })}
            />
          </label>
          {text('licence', say.licence, say.licenceHint)}
        </div>
      </fieldset>
      <fieldset>
        <legend>{say.what}</legend>
        <Select
          aria-label={say.what}
          mode="tags"
          open={choosing}
          onOpenChange={setChoosing}
          onSelect={() => setChoosing(false)}
          virtual={false}
          style={{ width: '100%' }}
          placeholder={say.speciesHint}
          value={b.species}
          tokenSeparators={[',', ';']}
          options={[
            { value: 'any', label: say.any },
            ...(targets.data ?? []).map((t) => ({ value: t.name, label: t.name })),
          ]}
          onChange={(species: string[]) => set({ species: species.map((s) => s.trim()).filter(Boolean) })}
        />
      </fieldset>
      <Area area={b.area} onArea={(area) => set({ area })} />
      <fieldset>
        <legend>{say.when}</legend>
        {seasons.map((s, i) => (
          <div className="bylaw-row" key={i}>
            {(['from', 'to'] as const).map((end) => (
              <label key={end}>
                {end === 'from' ? say.from : say.to}
                <Input
                  aria-label={`${end === 'from' ? say.from : say.to} ${i + 1}`}
                  value={s[end]}
                  placeholder={say.dayHint}
                  maxLength={10}
                  onChange={(e) => season(i, { [end]: e.target.value })}
                />
              </label>
            ))}
            <Button onClick={() => set({ seasons: seasons.filter((_, k) => k !== i) })}>
              {say.lessSeason}
            </Button>
          </div>
        ))}
        <div className="bylaw-row">
          <Button onClick={() => set({ seasons: [...seasons, { from: '', to: '' }] })}>
            {say.anotherSeason}
          </Button>
          <label>
            {say.days}
            <Select
              aria-label={say.days}
              mode="multiple"
              style={{ minWidth: 180 }}
              placeholder={say.everyDay}
              value={b.days ?? []}
              options={days.map((value) => ({ value, label: value }))}
              onChange={(v: (typeof days)[number][]) => set({ days: v.length > 0 ? v : undefined })}
            />
          </label>
          {text('from', say.fromHour, say.hourHint)}
          {text('to', say.toHour, say.hourHint)}
        </div>
      </fieldset>
      <fieldset>
        <legend>{say.does}</legend>
        <div className="bylaw-row">
          <label className="wide">
            {say.status}
            <Select
              aria-label={say.status}
              value={b.status ?? ''}
              options={say.statuses}
              onChange={(v) => set({ status: (v || undefined) as Body['status'] })}
            />
          </label>
          {limited && (
            <>
              {length('min_m', say.atLeast)}
              {length('max_m', say.atMost)}
              {count('over', say.over)}
              {!!b.over && length('over_m', say.overFrom)}
              <label>
                {say.measure}
                <Select
                  aria-label={say.measure}
                  value={b.measure ?? 'total'}
                  options={say.measures}
                  onChange={(v) => set({ measure: v as Body['measure'] })}
                />
              </label>
            </>
          )}
        </div>
        {limited && (
          <>
            <div className="bylaw-row">
              {count('bag', say.bag)}
              {b.species.length > 1 && b.bag !== undefined && (
                <label>
                  {say.each}
                  <Select
                    aria-label={say.each}
                    value={b.each ?? false}
                    options={[
                      { value: false, label: say.together },
                      { value: true, label: say.ofEach },
                    ]}
                    onChange={(v: boolean) => set({ each: v || undefined })}
                  />
                </label>
              )}
              {count('boat_bag', say.boatBag)}
              {count('possession', say.possession)}
            </div>
            <Checkbox
              checked={b.no_limits ?? false}
              onChange={(e) => set({ no_limits: e.target.checked || undefined })}
            >
              {say.noLimits} <span className="quiet small">{say.noLimitsSays}</span>
            </Checkbox>
          </>
        )}
        <div className="bylaw-row">
          <label className="wide">
            {say.notKept}
            <Select
              aria-label={say.notKept}
              mode="multiple"
              value={b.not_kept ?? []}
              options={say.sexes.map((value) => ({ value, label: value }))}
              onChange={(v) =>
                set({ not_kept: v.length > 0 ? (v as NonNullable<Body['not_kept']>) : undefined })
              }
            />
          </label>
        </div>
      </fieldset>
      <fieldset>
        <legend>{say.gear}</legend>
        <div className="bylaw-row">
          {say.gears.map((g) => (
            <Checkbox
              key={g.value}
              checked={gear[g.value] ?? false}
              onChange={(e) =>
                set({ gear: { ...gear, [g.value]: e.target.checked || undefined } as Body['gear'] })
              }
            >
              {g.label}
            </Checkbox>
          ))}
        </div>
        <div className="bylaw-row">
          {(
            [
              ['most_rods', say.mostRods],
              ['most_hooks', say.mostHooks],
            ] as const
          ).map(([name, label]) => (
            <label key={name}>
              {label}
              <InputNumber
                aria-label={label}
                min={1}
                max={100}
                precision={0}
                value={gear[name] ?? null}
                onChange={(n) => set({ gear: { ...gear, [name]: n ?? undefined } as Body['gear'] })}
              />
            </label>
          ))}
        </div>
      </fieldset>
      <fieldset>
        <legend>{say.duties}</legend>
        <div className="bylaw-row">
          <Checkbox
            checked={!!duty('tag')}
            onChange={(e) => setDuty('tag', e.target.checked ? {} : undefined)}
          >
            {say.tag}
          </Checkbox>
          <label>
            {say.report}
            <InputNumber
              aria-label={say.report}
              min={0}
              max={8784}
              value={duty('report')?.within_h ?? null}
              onChange={(n) => setDuty('report', n === null ? undefined : { ...duty('report'), within_h: n })}
            />
          </label>
          {duty('report') && (
            <label className="wide">
              {say.reportTo}
              <Input
                aria-label={say.reportTo}
                maxLength={120}
                value={duty('report')?.to ?? ''}
                onChange={(e) => setDuty('report', { ...duty('report'), to: e.target.value })}
              />
            </label>
          )}
        </div>
        <div className="bylaw-row">
          {text('advisory', say.advisory, say.advisoryHint, 400)}
          {text('note', say.note, '', 400)}
        </div>
      </fieldset>
      <fieldset>
        <legend>{say.stands}</legend>
        <div className="bylaw-row">
          {text('source', say.source, say.sourceHint, 200)}
          {text('address', say.address, '', 400)}
        </div>
        <div className="bylaw-row">
          {text('checked', say.checked, say.checkedHint)}
          {text('checked_by', say.checkedBy)}
          <label>
            {say.life}
            <InputNumber
              aria-label={say.life}
              min={1}
              max={3660}
              precision={0}
              placeholder="365"
              value={b.life_days ?? null}
              onChange={(n) => set({ life_days: n ?? undefined })}
            />
          </label>
        </div>
      </fieldset>
      {said.error && whole && (
        <p role="alert" className="caution">
          {said.error.message}
        </p>
      )}
      {said.data && said.data.found.length > 0 && <FoundList found={said.data.found} />}
      <Fault of={[save]} />
      <div className="bylaw-acts">
        <Button type="primary" htmlType="submit" disabled={!whole} loading={save.isPending}>
          {say.keepIt}
        </Button>
        <Button
          onClick={() => {
            letGo();
            onDone();
          }}
        >
          {say.leaveIt}
        </Button>
      </div>
    </form>
  );
}

/** Without the pieces that were taken out again. */
function without(b: { [K in keyof Body]?: Body[K] | undefined }): Body {
  return Object.fromEntries(Object.entries(b).filter(([, v]) => v !== undefined)) as unknown as Body;
}

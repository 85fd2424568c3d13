import { soughtLast } from '../tie/asking';
import { NumberField } from '../format/NumberField';
import { useMutation, useQuery } from '@tanstack/react-query';
import { App, Button, Checkbox, Drawer, Form, Input, Segmented, Select } from 'antd';
import { useState } from 'react';
import { v7 } from 'uuid';
import { clashOf } from '../api/clash';
import { api, Problem, type ReadingIn, type SpellIn } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { useSpotState } from '../conditions/useSpotState';
import { useKinds, type Kind, type Kinds, write } from '../conditions/kinds';
import { metres } from '../format/measure';
import { clock, day } from '../format/time';
import { owner } from '../device/device';
import { keptOf, type Waiting } from '../device/entries';
import { sendOrKeep } from '../device/outbox';
import { usePost } from '../device/post';
import { useWaitingIfKnown } from '../device/useWaiting';
import { nearest, useGiven, useMoment, usePlace } from '../moment/moment';
import { useLeaveGuard } from '../frame/unkept';
import { Verdict } from '../law/Verdict';
import { last, remember, type Entry } from './entry';
import './entry.css';
import { entry as say } from '../words/entry';

/** Logs a catch or a blank in a few touches; tide, light and moon are filled in. */
export default function QuickEntry({ entry, onClose }: { entry: Entry | null; onClose: () => void }) {
  const [changed, setChanged] = useState(false);
  const { letGo, leave } = useLeaveGuard(changed);
  const waiting = useWaitingIfKnown();
  const close = () => {
    letGo();
    setChanged(false);
    onClose();
  };
  return (
    <Drawer
      open={!!entry}
      onClose={() => leave(close)}
      destroyOnHidden
      placement="right"
      size={Math.min(460, window.innerWidth)}
      title={entry?.spell || entry?.waiting ? say.changeThisSpell : say.intoTheLog}
      styles={{ body: { paddingTop: 14 } }}
    >
      {entry && waiting && (
        <EntryForm entry={entry} waiting={waiting} onClose={close} onChange={() => setChanged(true)} />
      )}
    </Drawer>
  );
}

/** So many of the readings shown with a spot are asked for. */
const asked = 3;

/** So many fish are told in one go at most. */
const most = 50;

interface Fields {
  many?: number;
  minutes: number;
  target: string;
  approach?: string;
  offering?: string;
  mark?: string;
  length_m?: number;
  mass_kg?: number;
  kept?: boolean;
  note?: string;
  readings?: Partial<Record<Kind, number | null>>;
}

function EntryForm(props: { entry: Entry; waiting: Waiting[]; onClose: () => void; onChange: () => void }) {
  const { entry, waiting, onClose, onChange } = props;
  const here = usePlace();
  const moment = useMoment();
  const given = useGiven();
  const kinds = useKinds();
  const invalidate = useInvalidate();
  const { message } = App.useApp();
  const { sendNow } = usePost();
  const state = useSpotState();
  const overridable = askedFor(kinds, state.data?.shown ?? []);
  const targets = useQuery({ queryKey: keys.targets, queryFn: api.targets, staleTime: Infinity });
  const [kind, setKind] = useState(entry.kind);
  // Ids are made once, so that sending again after a lost answer writes nothing twice.
  const waits = entry.waiting ?? waiting.find((e) => e.id === entry.spell?.id);
  const [unsent] = useState(() => (waits?.kind === 'spell' ? waits.body : undefined));
  const [ids] = useState(() => ({
    spell: entry.spell?.id ?? entry.waiting?.id ?? v7(),
    fish: Array.from({ length: most }, (_, i) => unsent?.catches?.[i]?.id ?? v7()),
  }));
  const [form] = Form.useForm<Fields>();
  const old = entry.spell;
  // What was changed here and waits goes over what the log has.
  const before = unsent ?? old;
  const told = unsent?.readings ?? old?.readings.filter((r) => r.origin === 'observed');
  /** It changes a spell the log has. */
  const edits = !!before?.revision;
  const adding = kind === 'catch' && !edits;
  const zone = old?.time_zone ?? entry.waiting?.zone ?? here.spot.time_zone;
  const spot = before?.spot_id ?? here.spot.id;
  const spotName = old?.spot_name ?? entry.waiting?.spot ?? here.spot.name;
  // A fish cannot be caught at a time to come: then it is logged for now.
  const [present] = useState(here.present);
  const ahead = !!moment.frame && Date.parse(moment.frame.time) > present.getTime() + 300_000;
  const ended = before ? before.ended_at : moment.frame && !ahead ? moment.frame.time : present.toISOString();
  // What is sought on screen, else what was logged last.
  const sought = soughtLast();
  const seed = { ...last(), ...(sought ? { target: sought } : {}), ...dropEmpty(entry) };
  // What was used last may have been at another spot.
  const marks = (moment.ribbon?.marks ?? []).map((k) => k.name);
  const mark = before ? before.mark : seed.mark && marks.includes(seed.mark) ? seed.mark : undefined;
  // The tide kept with a spell is that of its middle, so that is what is shown.
  const minutes = Form.useWatch('minutes', form) ?? 30;
  const length = Form.useWatch('length_m', form);
  const kept = Form.useWatch('kept', form);
  const target = Form.useWatch('target', form);
  const middle = Date.parse(ended) - minutes * 30_000;
  // One that waits may be of another spot, or of a time the ribbon does not reach.
  const near =
    spot === here.spot.id ? moment.ribbon?.frames[nearest(moment.ribbon.frames, middle)] : undefined;
  const filled = near && Math.abs(Date.parse(near.time) - middle) < 3_600_000 ? near : undefined;

  const save = useMutation({
    mutationFn: async ({ over, ...f }: Fields & { sure?: boolean; over?: unknown }) => {
      const mine = body(f);
      const b = clashOf(over, mine)?.over ?? mine;
      const sent = await sendOrKeep({
        kind: 'spell',
        id: ids.spell,
        owner: owner(),
        at: here.present().toISOString(),
        spot: spotName,
        zone,
        body: b,
      });
      return { b, sent };
    },
    onSuccess: ({ b, sent }) => {
      remember({
        target: b.target,
        approach: b.approach,
        offering: b.offering,
        mark: b.mark,
        ...(seed.way?.offering === b.offering ? { way: seed.way } : {}),
      });
      if (sent) void invalidate('log');
      else sendNow();
      void message.open({
        type: 'success',
        key: 'logged',
        content: !sent
          ? say.keptHere
          : edits
            ? say.changed
            : kind === 'blank'
              ? say.theBlankIsInThe
              : say.theCatchIsInThe,
      });
      onClose();
    },
  });

  function body(f: Fields & { sure?: boolean }): SpellIn {
    const readings: ReadingIn[] = overridable.flatMap(({ kind }) => {
      const v = f.readings?.[kind];
      return typeof v === 'number' ? [{ kind, value: v }] : [];
    });
    const kept = (told ?? [])
      .filter((r) => !overridable.some((n) => n.kind === r.kind))
      .map((r) => ({ kind: r.kind, value: r.value }) as ReadingIn);
    // Several in one go: the measures are of the first.
    const others = (g: Fields) =>
      ids.fish.slice(1, Math.max(Math.round(g.many ?? 1), 1)).map((id) => ({
        id,
        target: g.target,
        ...(g.kept ? { kept: true } : {}),
      }));
    const fish = {
      id: ids.fish[0]!,
      target: f.target,
      ...(f.length_m ? { length_m: f.length_m } : {}),
      ...(f.mass_kg ? { mass_kg: f.mass_kg } : {}),
      ...(f.kept ? { kept: true } : {}),
      ...(f.sure ? { sure: true } : {}),
    };
    return {
      spot_id: spot,
      target: f.target,
      started_at: new Date(Date.parse(ended) - f.minutes * 60000).toISOString(),
      ended_at: ended,
      ...(before?.rods ? { rods: before.rods } : {}),
      ...(f.mark ? { mark: f.mark } : {}),
      ...(f.approach ? { approach: f.approach as SpellIn['approach'] } : {}),
      ...(f.offering ? { offering: f.offering } : {}),
      ...(f.note ? { note: f.note } : {}),
      ...(unsent?.presentation && unsent.offering === f.offering
        ? { presentation: unsent.presentation }
        : {}),
      ...(!before && f.offering && seed.way?.offering === f.offering
        ? {
            presentation: {
              ...seed.way,
              ...(f.approach ? { approach: f.approach as SpellIn['approach'] } : {}),
            },
          }
        : {}),
      ...(readings.length + kept.length ? { readings: [...readings, ...kept] } : {}),
      ...(adding ? { catches: [fish, ...others(f)] } : {}),
      ...(before?.revision ? { revision: before.revision } : {}),
    };
  }

  const error = save.error instanceof Problem ? save.error : null;
  const clash = error && save.variables && clashOf(error, body(save.variables));
  // A fish longer than any known is asked about, not refused.
  const doubted = error?.fields.some(
    (f) => /\.(length_m|mass_kg)$/.test(f.location) && f.message.includes('?'),
  );
  return (
    <Form
      form={form}
      layout="vertical"
      className="entry"
      requiredMark={false}
      onFinish={(f: Fields) => save.mutate(f)}
      onValuesChange={onChange}
      initialValues={{
        minutes: before ? (Date.parse(before.ended_at) - Date.parse(before.started_at)) / 60000 : 30,
        target: before?.target ?? seed.target,
        approach: (before ? before.approach : seed.approach) || undefined,
        offering: before ? before.offering : seed.offering,
        mark: mark || undefined,
        note: before?.note ?? entry?.note,
        readings: observed(kinds, told ?? given.readings),
        ...(unsent?.catches?.[0]
          ? {
              length_m: unsent.catches[0].length_m,
              mass_kg: unsent.catches[0].mass_kg,
              kept: unsent.catches[0].kept,
            }
          : {}),
      }}
    >
      {!edits && (
        <Segmented
          block
          size="large"
          aria-label={say.catchOrBlank}
          value={kind}
          onChange={(v) => setKind(v as typeof kind)}
          options={[
            { value: 'catch', label: say.catchWord },
            { value: 'blank', label: say.blank },
          ]}
        />
      )}
      <div className="entry-where">
        <p>
          <b>{spotName}</b>, {day(ended, zone)} {clock(ended, zone)}
        </p>
        <p className="quiet small">
          {old
            ? `${old.tide_stage}, ${metres(old.tide_level_m)}, ${old.light}, ${old.moon_phase}`
            : ahead
              ? say.theRibbonShowsATime
              : filled
                ? say.filledInForTheMiddle(filled.stage, metres(filled.level_m), filled.light)
                : ''}
        </p>
      </div>
      <div className="entry-two">
        <Form.Item
          label={say.sought}
          name="target"
          rules={[{ required: true, message: say.sayWhatYouWereAfter }]}
        >
          <Select
            showSearch={{ optionFilterProp: 'label' }}
            options={(targets.data ?? []).map((t) => ({ value: t.id, label: t.name }))}
          />
        </Form.Item>
        <Form.Item
          label={say.fishedFor}
          name="minutes"
          rules={[{ required: true, message: say.howLongInMinutes }]}
          tooltip={say.aSpellIsAStretch}
        >
          <NumberField unit="min" min={1} max={1440} />
        </Form.Item>
      </div>
      {adding && (
        <div className="entry-two">
          <Form.Item label={say.length} name="length_m">
            <NumberField measure="fish_length" min={0.01} max={3.99} />
          </Form.Item>
          <Form.Item label={say.weight} name="mass_kg">
            <NumberField measure="fish" min={0.01} max={499} />
          </Form.Item>
          <Form.Item label={say.howMany} name="many" initialValue={Math.max(unsent?.catches?.length ?? 1, 1)}>
            <NumberField min={1} max={most} />
          </Form.Item>
          <Form.Item label=" " name="kept" valuePropName="checked">
            <Checkbox>{say.kept}</Checkbox>
          </Form.Item>
        </div>
      )}
      {adding && (length || kept) && target && (
        <Verdict
          fish={{
            species: target,
            spot_id: spot,
            time: ended,
            catch_id: ids.fish[0]!,
            kept: keptOf(waiting.filter((e) => e.id !== ids.spell)),
            ...(length ? { length_m: length } : {}),
          }}
        />
      )}
      <div className="entry-two">
        <Form.Item label={say.withWord} name="approach">
          <Select
            allowClear
            options={['live bait', 'cut bait', 'lure'].map((v) => ({ value: v, label: v }))}
          />
        </Form.Item>
        <Form.Item label={say.baitOrLure} name="offering">
          <Input maxLength={80} />
        </Form.Item>
      </div>
      <Form.Item label={say.mark} name="mark">
        <Select allowClear options={marks.map((k) => ({ value: k, label: k }))} />
      </Form.Item>
      <div className="entry-three">
        {overridable.map((n) => {
          const believed = state.data?.conditions.find((c) => c.kind === n.kind);
          return (
            <Form.Item
              key={n.kind}
              label={<span className="entry-label">{n.name}</span>}
              name={['readings', n.kind]}
            >
              <NumberField
                measure={n.measure}
                unit={n.unit}
                min={n.min}
                max={n.max}
                placeholder={believed && !old ? write(n, believed.value).replace(/ \S+$/, '') : ''}
                aria-label={n.long}
              />
            </Form.Item>
          );
        })}
      </div>
      <p className="quiet small entry-hint">{say.leftEmptyTheGreyValue}</p>
      <Form.Item label={say.note} name="note">
        <Input.TextArea rows={2} maxLength={1000} />
      </Form.Item>
      {save.error && (
        <div role="alert" className="entry-error">
          {clash?.says ?? save.error.message}
          {clash && (
            <>
              {' '}
              <Button size="small" onClick={() => save.mutate({ ...form.getFieldsValue(), over: error })}>
                {say.writeMine}
              </Button>
            </>
          )}
          {doubted && (
            <>
              {' '}
              <Button size="small" onClick={() => save.mutate({ ...form.getFieldsValue(), sure: true })}>
                {say.itWasLogIt}
              </Button>
            </>
          )}
        </div>
      )}
      <div className="entry-save">
        <Button type="primary" htmlType="submit" size="large" block loading={save.isPending}>
          {edits ? say.save : kind === 'catch' ? say.logTheCatch : say.logTheBlank}
        </Button>
      </div>
    </Form>
  );
}

/** The readings a spell is asked for: the first of those shown at this kind of place. */
export function askedFor(kinds: Kinds, shown: string[]) {
  return shown.flatMap((k) => kinds.of(k) ?? []).slice(0, asked);
}

function dropEmpty<T extends object>(o: T): Partial<T> {
  return Object.fromEntries(Object.entries(o).filter(([, v]) => v !== undefined && v !== '')) as Partial<T>;
}

/** A value as finely as its kind is written; what comes back so is still the same reading. */
const written = (n: ReturnType<Kinds['of']>, value: number) =>
  n ? Number(value.toFixed(n.decimals)) : value;

/** The readings the angler gave, as they are written: those of a spell, or those overruled on screen. */
function observed(
  kinds: Kinds,
  list: readonly { kind: string; value?: number | undefined }[],
): Partial<Record<Kind, number>> {
  return Object.fromEntries(
    list.map((r) => [r.kind, r.value === undefined ? undefined : written(kinds.of(r.kind), r.value)]),
  );
}
